import type { SewingPlan } from '../../../core/finish/sewing-plan';
import { ownFootOf } from '../../../core/kit/own-foot';

/** Whether loopers make the stitch: then its needles' distance and its foot are the machine's own. */
export const isLooped = ({ machine }: Pick<SewingPlan, 'machine'>): boolean =>
  ownFootOf(machine.kind) !== null;
