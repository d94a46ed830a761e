import { stepMinutes } from '../choose/minutes';
import type { WorkStep } from '../finish/work';
import type { FootKind } from '../kit/foot-kind';
import type { MachineKind } from '../kit/machine';
import type { MachineState } from '../order/task';
import { stepsOfSecond } from '../plan/second-of-pair';
import { taskId, type GarmentTask, type Wait } from './garment-task';

/** An edge or a seam with its steps, as a garment's order takes it. */
export interface EdgeWork {
  readonly id: string;
  readonly name: string;
  readonly lengthMm: number;
  readonly steps: readonly WorkStep[];
  /** Whether a second one is copied from the finished first. */
  readonly secondIsCopied: boolean;
  readonly ticks: readonly string[];
  /** Where a step at a machine is done, and what must be on it. */
  stateAt(at: { readonly machine: MachineKind; readonly foot: FootKind | null }): {
    readonly place: string;
    readonly state: MachineState;
  };
}

/** Where a step is done, as the order of work names it. */
function placeOf(step: WorkStep, work: EdgeWork) {
  return typeof step.at === 'string' ? { place: step.at, state: null } : work.stateAt(step.at);
}

/**
 * The tasks of an edge, each after the one before it; those of the second of a pair hang on the
 * first where hands make it so: laid against the first and marked before either is sewn (or copied
 * from the finished one), and sewn with the setting that the first was tried with. What was changed
 * on the machine is put back once, for the whole garment.
 */
export function edgeTasks(work: EdgeWork): {
  readonly tasks: GarmentTask[];
  readonly waits: Wait[];
} {
  const second = stepsOfSecond(work.steps);
  const first = work.steps.filter(
    ({ id, phase }) => phase !== 'put-back' && !(second.length > 0 && id === 'second-leg'),
  );
  const id = (step: WorkStep) => taskId(work.id, step.id);
  const task = (step: WorkStep): GarmentTask => ({
    ...{ id: id(step), edgeId: work.id, edgeName: work.name, stepId: step.id, step },
    ...{ text: step.text, values: step.values, cautions: step.cautions, phase: step.phase },
    minutes: stepMinutes(step, work.lengthMm),
    ...placeOf(step, work),
    done: work.ticks.includes(step.id),
  });
  const chain = (steps: readonly WorkStep[]): Wait[] =>
    steps.slice(1).map((step, i) => ({ first: id(steps[i]!), then: id(step), why: 'chain' }));
  const waits = [...chain(first), ...chain(second)];
  const [laid] = second;
  if (laid) {
    const pair = (before: WorkStep | undefined, then: WorkStep | undefined) => {
      if (before && then) waits.push({ first: id(before), then: id(then), why: 'second' });
    };
    const sewn = first.find(({ phase }) => phase === 'sew' || phase === 'start');
    const marked = first.findLast(({ phase }) => phase === 'measure');
    if (work.secondIsCopied) pair(first.at(-1), laid);
    else {
      pair(marked, laid);
      pair(laid, sewn);
    }
    const tried = first.findLast(({ phase }) => phase === 'set' || phase === 'scrap');
    pair(
      tried,
      second.find(({ phase }) => phase === 'sew' || phase === 'start'),
    );
  }
  return { tasks: [...first, ...second].map(task), waits };
}
