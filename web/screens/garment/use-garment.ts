import { useMemo } from 'react';
import type { EdgeRecord, PlanRecord, ProjectRecord } from '../../../contract/records';
import { plainGarment, type Garment } from '../../../core/garment/garment';
import { paceOf, type Pace } from '../../../core/garment/pace';
import type { OrderedWork } from '../../../core/garment/work-of';
import type { Issue } from '../../../core/impossible';
import { change, latest, useList, useRecord } from '../../ground/records';
import { identityOf } from '../../bench/identity';
import { tickStep } from '../../bench/plan-change';
import { latestOnly } from '../../workers/latest';
import { solver } from '../../workers/solver';
import { useLatestAnswer } from '../../workers/use-latest-answer';
import type { Outcome, solverTasks } from '../../workers/solver-tasks';

/** A project as a garment, with its work in order as far as that is worked out. */
export interface GarmentBench {
  readonly project: ProjectRecord;
  readonly garment: Garment;
  readonly edges: readonly EdgeRecord[];
  readonly plans: readonly PlanRecord[];
  /** Null until it is worked out, and while the order contradicts itself. */
  readonly work: OrderedWork | null;
  readonly issues: readonly Issue[];
  readonly isBusy: boolean;
  readonly pace: Pace | null;
}

const putInOrder = latestOnly(
  async (...asked: Parameters<typeof solverTasks.garment>): Promise<Outcome<OrderedWork>> =>
    solver.garment(...asked),
);
const noWays = {};

/**
 * What of plans the order hangs on; the same object while nothing of it changes, so that ticking a
 * step off works nothing out anew.
 */
const withoutTicks = (plans: PlanRecord[]) =>
  plans.map(({ took: _took, version: _version, updatedAt: _at, ...plan }) => ({
    ...plan,
    ticks: [] as string[],
  }));

/** Ticks as they stand now, on an order that was worked out without them. */
function ticked(
  work: OrderedWork,
  plans: readonly PlanRecord[],
  done: readonly string[],
): OrderedWork {
  const ticksOf = new Map(plans.map(({ edgeId, ticks }) => [edgeId, ticks]));
  return {
    ...work,
    tasks: work.tasks.map((task) => ({
      ...task,
      done:
        task.edgeId === null
          ? done.includes(task.id)
          : (ticksOf.get(task.edgeId) ?? []).includes(task.stepId),
    })),
  };
}

/**
 * A project with its work in the order with the least changes; worked out on a thread.
 *
 * @param isShown whether anything of the order is shown. Where it is not, it is worked out only for
 *   pieces that meet, which say in which order edges are listed: a wardrobe takes seconds, in which
 *   the thread could solve nothing for the edge that is opened next
 */
export function useGarment(
  projectId: string,
  isShown: boolean,
): {
  readonly bench: GarmentBench | null;
  readonly error: Error | null;
} {
  const project = useRecord('projects', projectId);
  const edges = useList('edges', { projectId });
  const plans = useList('plans');
  const planned = useList('plans', {}, withoutTicks);
  const cloths = useList('cloths');
  const machines = useList('machines');
  const feet = useList('feet');
  const needles = useList('needles');
  const threads = useList('threads');
  const preferences = useRecord('preferences', 'mine');
  const garment = project.data?.garment ?? plainGarment;
  const own = useMemo(
    () => (plans.data ?? []).filter(({ edgeId }) => edges.data?.some((edge) => edge.id === edgeId)),
    [plans.data, edges.data],
  );
  // What is ticked as ready or done orders nothing.
  const { before, sequence, meets, own: tasks } = garment;
  // All that the order hangs on: half of it would be worked out for nothing.
  const known = project.data !== undefined && preferences.data !== undefined;
  const asked = useMemo(() => {
    if (!edges.data || !planned.data || !cloths.data || !machines.data || !feet.data) return null;
    if (!needles.data || !threads.data || !known) return null;
    const ids = new Set(edges.data.map(({ id }) => id));
    return {
      records: {
        ...{ edges: edges.data, machines: machines.data },
        plans: planned.data.filter(({ edgeId }) => ids.has(edgeId)),
        ...{ feet: feet.data, cloths: cloths.data, ways: preferences.data?.schools ?? noWays },
        meets,
      },
      garment: { ...plainGarment, before, sequence, meets, own: tasks },
      drawer: { needles: needles.data, threads: threads.data },
    };
  }, [
    edges.data,
    planned.data,
    cloths.data,
    machines.data,
    feet.data,
    needles.data,
    threads.data,
    known,
    before,
    sequence,
    meets,
    tasks,
    preferences.data?.schools,
  ]);
  const answer = useLatestAnswer(
    ['garment', projectId, identityOf(asked)],
    () => putInOrder(asked!.records, asked!.garment, asked!.drawer),
    asked !== null && (isShown || meets.length > 0),
  );
  const outcome = answer.data;
  const work = useMemo(
    () => (outcome?.ok ? ticked(outcome.value, own, garment.done) : null),
    [outcome, own, garment.done],
  );
  const pace = useMemo(
    () => paceOf((plans.data ?? []).flatMap(({ took }) => Object.values(took))),
    [plans.data],
  );
  const error = project.error ?? edges.error ?? plans.error ?? preferences.error ?? answer.error;
  if (!project.data || !edges.data || !plans.data) return { bench: null, error };
  return {
    bench: {
      ...{ project: project.data, garment, edges: edges.data, plans: own, work, pace },
      issues: outcome && !outcome.ok ? outcome.issues : [],
      isBusy: answer.isFetching || asked === null,
    },
    error: null,
  };
}

/** Changes something of a project as a garment. */
export function changeGarment(
  { project, garment }: Pick<GarmentBench, 'project' | 'garment'>,
  patch: Partial<Garment>,
): void {
  // What the sums only read, the record may write.
  change('projects', project.id, {
    garment: { ...garment, ...patch } as ProjectRecord['garment'],
  });
}

/** Ticks a task off, or takes the tick back. @param tookMinutes where it was timed */
export function tickTask(
  bench: Pick<GarmentBench, 'project' | 'garment' | 'plans' | 'work'>,
  task: OrderedWork['tasks'][number],
  on: boolean,
  tookMinutes: number | null = null,
): void {
  const { edgeId, stepId, id, minutes } = task;
  if (edgeId === null) {
    const now = latest('projects', bench.project.id)?.garment ?? bench.garment;
    const others = now.done.filter((one) => one !== id);
    changeGarment({ ...bench, garment: now }, { done: on ? [...others, id] : others });
    return;
  }
  const plan = bench.plans.find((one) => one.edgeId === edgeId);
  if (!plan) return;
  const took = tookMinutes === null ? null : { minutes: tookMinutes, usualMinutes: minutes };
  const proposed = bench.work?.proposed.find((one) => one.edgeId === edgeId);
  tickStep(plan.id, stepId, on, took, proposed?.takes);
}
