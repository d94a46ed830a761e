import type { WorkRequest, Workplace } from '../work';
import { covered, woven } from './binding-schools';
import { home } from './said';

/** The way chosen of putting it on, by the school that the variant has; none for satin. */
export function attachWay({ wish: { variant }, schools }: Pick<WorkRequest, 'wish' | 'schools'>) {
  if (woven.includes(variant)) return schools['attach'];
  if (variant === 'knit-strip') return schools['attach-cover'];
  return variant === 'fold-over-elastic' ? schools['attach-elastic'] : undefined;
}

/** Whether an attachment before the foot folds the strip while it is sewn. */
export const throughAttachment = (request: Pick<WorkRequest, 'wish' | 'schools'>) =>
  ['binder-attachment', 'attachment', 'binder'].includes(attachWay(request) ?? '');

/** Whether it is sewn on a coverstitch machine, which wraps in one pass. */
export const isCovered = ({ wish, machineKind }: WorkRequest) =>
  machineKind === 'coverstitch' || (covered.includes(wish.variant) && machineKind === undefined);

/** Whether elastic is zigzagged on where there is no coverstitch machine. */
export const isZigzagged = ({ wish, machineKind, schools }: WorkRequest) =>
  wish.variant === 'fold-over-elastic' &&
  (machineKind === 'lockstitch' ||
    (machineKind === undefined && schools['attach-elastic'] === 'stretched'));

/** Where it is sewn. */
export function machineOf(request: WorkRequest): Workplace {
  const {
    wish: { variant },
    schools,
  } = request;
  const byAttachment = throughAttachment(request);
  if (isZigzagged(request)) return home('zigzag');
  if (covered.includes(variant) || isCovered(request)) {
    return { machine: 'coverstitch', foot: byAttachment ? 'binder-attachment' : null };
  }
  if (variant === 'satin') return { machine: 'lockstitch', foot: 'walking' };
  if (byAttachment) return { machine: 'lockstitch', foot: 'binder-attachment' };
  return schools['attach'] === 'binder-foot'
    ? { machine: 'lockstitch', foot: 'binder' }
    : home('edge-guide');
}
