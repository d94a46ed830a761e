import { plainPlaces, type OrderAsked, type OrderStart } from '../order/task';
import { edgeTasks, type EdgeWork } from './edge-tasks';
import type { Garment } from './garment';
import { ownTaskId, putBackId, type GarmentTask, type Wait } from './garment-task';

/** All tasks of a garment, and what waits for what. */
export interface GarmentWork {
  /** Edge after edge, in the order in which the edges are given. */
  readonly tasks: readonly GarmentTask[];
  readonly waits: readonly Wait[];
  /** Where one begins, and how the machines stand then, as far as that is known. */
  readonly start?: OrderStart;
}

const isPlain = (place: string) => (plainPlaces as readonly string[]).includes(place);

/** Whatever was changed on a machine is put back when nothing more is sewn on it. */
function puttingBack(tasks: readonly GarmentTask[], done: readonly string[]): GarmentWork {
  const machines = [...new Set(tasks.map(({ place }) => place).filter((it) => !isPlain(it)))];
  const back = machines.map((machine): GarmentTask => {
    const id = putBackId(machine);
    return {
      ...{
        id,
        minutes: 0.5,
        place: machine,
        state: null,
        edgeId: null,
        edgeName: null,
        step: null,
      },
      ...{ stepId: 'put-back', values: {}, cautions: ['power-off'], phase: 'put-back' },
      text: 'Put the machine back as it usually stands.',
      done: done.includes(id),
    };
  });
  const waits = machines.flatMap((machine) =>
    tasks
      .filter(({ place }) => place === machine)
      .map(({ id }): Wait => ({ first: id, then: putBackId(machine), why: 'put-back' })),
  );
  return { tasks: back, waits };
}

/** Of each edge the task that is done first and the one that is done last. */
function endsOf(tasks: readonly GarmentTask[], edgeId: string) {
  const own = tasks.filter((task) => task.edgeId === edgeId);
  // A second of a pair has an end of its own; both count.
  const last = own.filter(
    ({ stepId }, i) =>
      i === own.length - 1 ||
      (!stepId.startsWith('second ') && Boolean(own[i + 1]?.stepId.startsWith('second '))),
  );
  return { first: own[0], last };
}

/**
 * Every step of a garment's edges and seams, its own tasks and the putting back, with what must come
 * before what. Source: docs/formulas.md, “Order of work”.
 *
 * @param edges in the order in which one would do them one after the other
 */
export function garmentWork(
  edges: readonly EdgeWork[],
  garment: Garment,
  start: OrderStart = {},
): GarmentWork {
  const parts = edges.map(edgeTasks);
  const sewn = parts.flatMap(({ tasks }) => tasks);
  const own = garment.own.map(({ id, text, minutes, place }): GarmentTask => ({
    ...{ id: ownTaskId(id), minutes, place, state: null, edgeId: null, edgeName: null, step: null },
    ...{ stepId: id, text, values: {}, cautions: [], phase: null },
    done: garment.done.includes(ownTaskId(id)),
  }));
  const back = puttingBack(sewn, garment.done);
  const ends = new Map(edges.map(({ id }) => [id, endsOf(sewn, id)]));
  const waits: Wait[] = [...parts.flatMap((part) => part.waits), ...back.waits];
  const add = (first: string | undefined, then: string | undefined, why: Wait['why']) => {
    if (first !== undefined && then !== undefined) waits.push({ first, then, why });
  };
  for (const { edgeId, seamId, edge } of garment.meets) {
    const [before, after] = edge === 'before' ? [edgeId, seamId] : [seamId, edgeId];
    const why = edge === 'before' ? 'edge-before-seam' : 'seam-before-edge';
    for (const last of ends.get(before)?.last ?? []) add(last.id, ends.get(after)?.first?.id, why);
  }
  for (const { id, beforeEdges, afterEdges } of garment.own) {
    for (const edgeId of beforeEdges) add(ownTaskId(id), ends.get(edgeId)?.first?.id, 'own');
    for (const edgeId of afterEdges) {
      for (const last of ends.get(edgeId)?.last ?? []) add(last.id, ownTaskId(id), 'own');
    }
  }
  const tasks = [...own, ...sewn, ...back.tasks];
  const known = new Set(tasks.map(({ id }) => id));
  // A wish for a step that the work no longer has is kept, and means nothing meanwhile.
  for (const [first, then] of garment.before) {
    if (known.has(first) && known.has(then)) add(first, then, 'wish');
  }
  return { tasks, waits, start };
}

/** A garment's work as the search for its order takes it. */
export function orderOf({ tasks, waits, start = {} }: GarmentWork): OrderAsked {
  return {
    ...{ tasks, start },
    before: waits.map(({ first, then }) => [first, then] as const),
  };
}

/**
 * The tasks done edge after edge: each edge as far as it can go, then the next one that can. What
 * the order with the least changes is held against.
 *
 * @returns ids of tasks; fewer than there are where some wait for each other in a ring
 */
export function edgeAfterEdge({ tasks, waits }: GarmentWork): string[] {
  const open = new Map(tasks.map(({ id }) => [id, 0]));
  const after = new Map<string, string[]>();
  for (const { first, then } of waits) {
    open.set(then, (open.get(then) ?? 0) + 1);
    after.set(first, [...(after.get(first) ?? []), then]);
  }
  const groups = [...new Set(tasks.map(({ edgeId, id }) => edgeId ?? id))].map((group) =>
    tasks.filter(({ edgeId, id }) => (edgeId ?? id) === group),
  );
  const done = new Set<string>();
  const sequence: string[] = [];
  const takeAllOf = (group: readonly GarmentTask[]): boolean => {
    let any = false;
    for (;;) {
      const next = group.find(({ id }) => !done.has(id) && open.get(id) === 0);
      if (!next) return any;
      any = true;
      done.add(next.id);
      sequence.push(next.id);
      for (const then of after.get(next.id) ?? []) open.set(then, (open.get(then) ?? 0) - 1);
    }
  };
  for (;;) if (!groups.some(takeAllOf)) return sequence;
}
