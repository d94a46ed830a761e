import { minutesOf, orderModel, changesAlong, type Changed } from '../order/model';
import type { OrderAsked } from '../order/task';
import type { Wait } from './garment-task';

/** What an order of one's own costs. */
export interface OwnOrder {
  readonly sequence: readonly string[];
  readonly changeMinutes: number;
}

/** A task put elsewhere: the order then, or what keeps it from going there. */
export type Moved =
  | ({ readonly ok: true } & OwnOrder)
  /** The first thing that would come on the wrong side of it. */
  | { readonly ok: false; readonly wait: Wait };

const numbersOf = ({ tasks }: OrderAsked, sequence: readonly string[]): number[] => {
  const index = new Map(tasks.map(({ id }, i) => [id, i]));
  return sequence.flatMap((id) => index.get(id) ?? []);
};

/** Minutes of change in an order of one's own; null where it breaks what comes before what. */
export function minutesInOrder(asked: OrderAsked, sequence: readonly string[]): number | null {
  return minutesOf(orderModel(asked), numbersOf(asked, sequence));
}

/** What is changed before each task of an order, with its minutes. */
export function changesInOrder(asked: OrderAsked, sequence: readonly string[]): Changed[][] {
  return changesAlong(asked, numbersOf(asked, sequence));
}

/**
 * Puts a task to another place of an order.
 *
 * @param to its place in the order afterwards, from 0
 */
export function moved(
  asked: OrderAsked,
  waits: readonly Wait[],
  sequence: readonly string[],
  id: string,
  to: number,
): Moved {
  const others = sequence.filter((other) => other !== id);
  const after = [...others.slice(0, to), id, ...others.slice(to)];
  const at = new Map(after.map((other, i) => [other, i]));
  const wait = waits.find(({ first, then }) => (at.get(first) ?? -1) > (at.get(then) ?? Infinity));
  if (wait) return { ok: false, wait };
  return { ok: true, sequence: after, changeMinutes: minutesInOrder(asked, after) ?? 0 };
}

/**
 * An order of one's own, after the work has changed since: what is gone is left out, what is new
 * goes in as early as it can behind what it waits for.
 *
 * @returns null where it breaks what comes before what now
 */
export function stillOwn(
  asked: OrderAsked,
  waits: readonly Wait[],
  kept: readonly string[],
): string[] | null {
  const known = new Set(asked.tasks.map(({ id }) => id));
  const sequence = [...new Set(kept)].filter((id) => known.has(id));
  const there = new Set(sequence);
  for (const { id } of asked.tasks) {
    if (there.has(id)) continue;
    const needs = new Set(waits.filter(({ then }) => then === id).map(({ first }) => first));
    const last = sequence.findLastIndex((other) => needs.has(other));
    sequence.splice(last + 1, 0, id);
    there.add(id);
  }
  return minutesInOrder(asked, sequence) === null ? null : sequence;
}
