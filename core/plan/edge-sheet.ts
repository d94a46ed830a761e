import { finishById } from '../finish/catalogue';
import { foldsAsSewn } from '../finish/as-sewn';
import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import type { WorkRequest, WorkStep } from '../finish/work';
import { sectionOf, type Section } from '../fold/section';
import type { DialSettings } from '../kit/dial-steps';
import type { Carried } from './carried';
import { foldPlanOf } from './fold-plan';
import { judge, type Judgement } from './judge';
import { learnedBeliefs, learnedFrom, type SewnSample } from './learn-plan';
import { passesOf, type PassKit } from './passes';
import { stepsOfSecond } from './second-of-pair';
import { setUpOf } from './set-up-of';
import { sewnWith } from './sewn-with';
import { startingSetting } from './starting-setting';
import { stepsOf } from './work';
import type { Sole } from '../seam/crossings';

/** Everything the work on an edge is printed from. */
export interface SheetAsked {
  readonly finish: Finish;
  readonly plan: SewingPlan;
  readonly request: WorkRequest;
  readonly kit: PassKit;
  readonly foot: { readonly name: string; readonly soleMm: Sole };
  /** Where the dials were put; null for where they are solved, with what was learned. */
  readonly settings: DialSettings | null;
  readonly samples: readonly SewnSample[];
  readonly carried: Carried;
}

/** The work on an edge as it stands on paper. */
export interface EdgeSheet {
  readonly steps: readonly (WorkStep & { readonly section: Section | null })[];
  /** Null for a finish that has no dials to solve. */
  readonly settings: DialSettings | null;
  readonly margin: Pick<Judgement['margins'][number], 'fromMm' | 'toMm'> | null;
}

/** How many times as thick the cloth is drawn on paper, where a hem is a thumb wide. */
export const paperTimes = 3;

/** The steps of an edge with the fold each makes, at the setting in force. @throws Impossible */
export function edgeSheet(asked: SheetAsked): EdgeSheet {
  const { finish, plan, request, kit, foot, samples, carried } = asked;
  const hasMargin = finish.margin(plan.fold.variant) !== null;
  const set = hasMargin
    ? setUpOf(finish, plan, learnedBeliefs(learnedFrom(finish, plan, samples, carried)))
    : null;
  const settings = set && (asked.settings ?? startingSetting(finish, plan, set));
  const judgement = set && settings && judge(set, settings);
  const passes = passesOf(finish, request, kit, finishById);
  const work: WorkRequest = {
    ...request,
    sewn: judgement && !judgement.blocked ? sewnWith(finish, plan, judgement, foot) : null,
    passes: Object.fromEntries(passes.map((pass) => [pass.id, pass])),
  };
  const { stages } = foldPlanOf(finish, foldsAsSewn(work));
  const first = stepsOf(finish, work);
  const second = stepsOfSecond(first);
  const all = [...first.filter(({ id }) => second.length === 0 || id !== 'second-leg'), ...second];
  const [margin] = judgement?.margins ?? [];
  // The line itself is sewn as the last stage shows it.
  const line = first.find(({ phase, onceMinutes }) => phase === 'sew' && onceMinutes === null)?.id;
  return {
    steps: all.map((step) => {
      const own = step.id.replace(/^second /, '');
      const stage = stages.find(({ id }) => id === (own === line ? 'stitch' : own));
      return { ...step, section: stage ? sectionOf(stage.stack, paperTimes) : null };
    }),
    settings,
    margin: margin ? { fromMm: margin.fromMm, toMm: margin.toMm } : null,
  };
}
