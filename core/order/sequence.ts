import { RemainingBound } from './bound';
import { Heap } from './heap';
import { changeMinutes, minutesOf, orderModel, type OrderModel, type Want } from './model';
import type { OrderAsked } from './task';

/** The order of some work, and how good it is known to be. */
export interface WorkOrder {
  readonly sequence: readonly string[];
  readonly changeMinutes: number;
  /** No order has less. */
  readonly bound: number;
  /** The bound is reached: there is no better order. */
  readonly proved: boolean;
  /** In the order in which the tasks were given; null where that breaks what comes before what. */
  readonly asWritten: number | null;
}

/** Costs that differ by binary noise alone are equal. */
const noise = 1e-9;

/** How far some work has come. */
interface Node {
  /** Which tasks are done, as bits in characters of 16. */
  readonly done: string;
  readonly standing: readonly number[];
  readonly waits: Int16Array;
  /** Tasks that wait for nothing and are not done. */
  readonly ready: readonly number[];
  readonly left: number;
  readonly minutes: number;
  /** With what is left at least. */
  readonly atLeast: number;
  readonly before: Node | null;
  /** What was done since. */
  readonly tasks: readonly number[];
}

/** Sets which tasks are done. */
function withDone(done: string, tasks: readonly number[]): string {
  const bits = Array.from(done, (char) => char.charCodeAt(0));
  for (const task of tasks) bits[task >> 4] = (bits[task >> 4] ?? 0) | (1 << (task & 15));
  return String.fromCharCode(...bits);
}

/**
 * Puts tasks in the order with the least minutes of change that keeps what comes before what.
 *
 * What can be done without any change is done at once: it alters nothing, and whoever came for it
 * later need not. What is left is a search over which change to make next, best bound first, from a
 * beam's order as the one to beat. Source: docs/formulas.md, “Order of work”.
 */
class Search {
  private readonly bound: RemainingBound;
  /** The fewest minutes in which each state was reached. */
  private readonly reached = new Map<string, number>();

  constructor(private readonly model: OrderModel) {
    this.bound = new RemainingBound(model);
  }

  /** The start, with whatever needs no change done. */
  first(): Node {
    const { count, waitsFor, start } = this.model;
    const waits = Int16Array.from(waitsFor);
    const ready = waitsFor.flatMap((n, task) => (n === 0 ? [task] : []));
    const none = String.fromCharCode(...Array.from({ length: Math.ceil(count / 16) }, () => 0));
    const empty = { done: none, standing: start, waits, ready, left: count };
    return this.settled({ ...empty, minutes: 0, atLeast: 0, before: null, tasks: [] }, []);
  }

  /** Does everything that is ready and needs no change, lowest number first. */
  private settled(node: Node, begun: readonly number[]): Node {
    const waits = Int16Array.from(node.waits);
    const tasks = [...begun];
    let ready = node.ready.filter((task) => !begun.includes(task));
    const free = (task: number) => {
      for (const next of this.model.after[task] ?? []) {
        waits[next] = (waits[next] ?? 0) - 1;
        if (waits[next] === 0) ready.push(next);
      }
    };
    begun.forEach(free);
    for (;;) {
      const now = ready
        .filter((task) => this.change(task, node.standing) === 0)
        .sort((a, b) => a - b);
      if (now.length === 0) break;
      ready = ready.filter((task) => !now.includes(task));
      tasks.push(...now);
      now.forEach(free);
    }
    const left = node.left - tasks.length;
    const atLeast = node.minutes + (left === 0 ? 0 : this.bound.minutes(ready, node.standing));
    return { ...node, done: withDone(node.done, tasks), waits, ready, left, atLeast, tasks };
  }

  private change(task: number, standing: readonly number[]): number {
    return changeMinutes(this.model, this.model.wants[task] ?? [], standing);
  }

  /** Every change that could come next, each followed by all it makes possible without another. */
  next(node: Node): Node[] {
    const seen = new Set<string>();
    return node.ready.flatMap((task): Node[] => {
      const wants = this.model.wants[task] ?? [];
      // Tasks that ask for the same come together anyway.
      const key = wants.map(({ slot, value }: Want) => `${slot}:${value}`).join();
      if (seen.has(key)) return [];
      seen.add(key);
      const standing = [...node.standing];
      for (const { slot, value } of wants) standing[slot] = value;
      const minutes = node.minutes + this.change(task, node.standing);
      return [this.settled({ ...node, standing, minutes, before: node }, [task])];
    });
  }

  /** Whether a state was not reached as cheaply before. */
  isNews({ done, standing, minutes }: Node): boolean {
    const key = `${done}${standing.join()}`;
    const before = this.reached.get(key);
    if (before !== undefined && before <= minutes + noise) return false;
    this.reached.set(key, minutes);
    return true;
  }

  forget(): void {
    this.reached.clear();
  }
}

/** All that was done up to a node. */
function sequenceOf(node: Node): number[] {
  const parts: (readonly number[])[] = [];
  for (let at: Node | null = node; at; at = at.before) parts.push(at.tasks);
  return parts.reverse().flat();
}

/** A good order, found by keeping the most promising few at each change. */
function byBeam(search: Search, first: Node, width: number): Node | null {
  let beam = [first];
  let best: Node | null = null;
  search.forget();
  while (beam.length > 0) {
    const finished = beam.filter(({ left }) => left === 0);
    for (const node of finished) if (!best || node.minutes < best.minutes - noise) best = node;
    const most = best?.minutes ?? Infinity;
    beam = beam
      .filter(({ left }) => left > 0)
      .flatMap((node) => search.next(node))
      .filter((node) => node.atLeast < most - noise && search.isNews(node))
      .sort((a, b) => a.atLeast - b.atLeast || a.left - b.left)
      .slice(0, width);
  }
  return best;
}

/** What the search may cost: as many states are looked at, so that the same asks give the same. */
export interface OrderEffort {
  readonly beam: number;
  readonly states: number;
}

/** Enough for a garment; of a large one fewer states are looked at, since each takes longer. */
const effortFor = (count: number): OrderEffort => ({
  beam: 60,
  states: Math.round(Math.min(30_000, 1_800_000 / Math.max(1, count))),
});

/**
 * The order with the least minutes of change.
 *
 * @param asked without a ring, and with every id known; see `orderIssues`
 * @returns with a bound that no order goes below; proved where both are equal
 */
export function workOrder(
  asked: OrderAsked,
  effort: OrderEffort = effortFor(asked.tasks.length),
): WorkOrder {
  const model = orderModel(asked);
  const asWritten = minutesOf(
    model,
    asked.tasks.map((_, i) => i),
  );
  const search = new Search(model);
  const first = search.first();
  let best = first.left === 0 ? first : byBeam(search, first, effort.beam);
  let bound = first.atLeast;
  if (best && bound < best.minutes - noise) {
    search.forget();
    const open = new Heap<Node>();
    open.push(first.atLeast, first);
    let looked = 0;
    while (open.size > 0 && looked < effort.states) {
      if (open.least >= best.minutes - noise) break;
      const node = open.pop()!;
      looked++;
      for (const next of search.next(node)) {
        if (next.atLeast >= best.minutes - noise || !search.isNews(next)) continue;
        if (next.left === 0) best = next;
        else open.push(next.atLeast, next);
      }
    }
    bound = Math.min(best.minutes, open.least);
  }
  const found = best ? sequenceOf(best) : [];
  const minutes = minutesOf(model, found) ?? 0;
  bound = Math.min(bound, minutes);
  return {
    sequence: found.map((task) => asked.tasks[task]?.id ?? ''),
    changeMinutes: minutes,
    bound,
    proved: bound >= minutes - noise,
    asWritten,
  };
}
