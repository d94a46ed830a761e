import type { OrderModel } from './model';

/**
 * How often a slot must at least be set to a value from each task on: along the chain of tasks that
 * asks it most often to leave the value and come back.
 */
interface Entries {
  readonly slot: number;
  readonly value: number;
  readonly minutes: number;
  /** By task: while the slot stands at something else, and while it stands at the value. */
  readonly fromElsewhere: Uint16Array;
  readonly fromThere: Uint16Array;
}

/** Tasks with whatever comes after them first. */
function lastFirst({ count, after, waitsFor }: OrderModel): number[] {
  const waits = [...waitsFor];
  const order: number[] = [];
  const ready = waits.flatMap((n, task) => (n === 0 ? [task] : []));
  for (let task = ready.pop(); task !== undefined; task = ready.pop()) {
    order.push(task);
    for (const next of after[task] ?? []) {
      waits[next] = (waits[next] ?? 0) - 1;
      if (waits[next] === 0) ready.push(next);
    }
  }
  if (order.length < count) throw new RangeError('What comes before what goes round in a ring.');
  return order.reverse();
}

/**
 * What remains at least: for each slot and value, every time the slot is set to that value is a
 * change of its own, and along any chain of tasks the times are forced; so the most that any chain
 * forces may be added up over all values. Source: docs/formulas.md, “Order of work”.
 */
export class RemainingBound {
  private readonly entries: readonly Entries[];

  constructor(model: OrderModel) {
    const order = lastFirst(model);
    this.entries = model.values.flatMap((count, slot) =>
      Array.from({ length: count }, (_, value) => entriesOf(model, order, slot, value)),
    );
  }

  /** Minutes of change that are left at least. @param ready the tasks that wait for nothing */
  minutes(ready: readonly number[], standing: ArrayLike<number>): number {
    let minutes = 0;
    for (const { slot, value, minutes: each, fromElsewhere, fromThere } of this.entries) {
      const from = standing[slot] === value ? fromThere : fromElsewhere;
      let most = 0;
      for (const task of ready) {
        const entries = from[task] ?? 0;
        if (entries > most) most = entries;
      }
      minutes += most * each;
    }
    return minutes;
  }
}

function entriesOf(
  { count, after, wants, slots }: OrderModel,
  order: readonly number[],
  slot: number,
  value: number,
): Entries {
  const fromElsewhere = new Uint16Array(count);
  const fromThere = new Uint16Array(count);
  for (const task of order) {
    let [elsewhere, there] = [0, 0];
    for (const next of after[task] ?? []) {
      elsewhere = Math.max(elsewhere, fromElsewhere[next] ?? 0);
      there = Math.max(there, fromThere[next] ?? 0);
    }
    const asked = (wants[task] ?? []).find((want) => want.slot === slot);
    if (asked === undefined) {
      fromElsewhere[task] = elsewhere;
      fromThere[task] = there;
    } else if (asked.value === value) {
      fromElsewhere[task] = Math.max(1 + there, elsewhere);
      fromThere[task] = there;
    } else {
      fromElsewhere[task] = elsewhere;
      fromThere[task] = Math.max(elsewhere, there);
    }
  }
  return { slot, value, minutes: slots[slot]?.minutes ?? 0, fromElsewhere, fromThere };
}
