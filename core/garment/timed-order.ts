import type { TimedTask } from './evenings';
import { changesInOrder } from './own-order';
import type { Pace } from './pace';
import { orderOf, type GarmentWork } from './tasks';

/**
 * Each task of an order with its minutes and those of what is changed before it, at a person's own
 * pace where one is known.
 */
export function timedOrder(
  work: GarmentWork,
  sequence: readonly string[],
  pace: Pick<Pace, 'times'> | null,
): TimedTask[] {
  const changes = changesInOrder(orderOf(work), sequence);
  const minutesOf = new Map(work.tasks.map(({ id, minutes }) => [id, minutes]));
  const times = pace?.times ?? 1;
  return sequence.map((id, i) => {
    const change = (changes[i] ?? []).reduce((sum, { minutes }) => sum + minutes, 0);
    return { id, minutes: ((minutesOf.get(id) ?? 0) + change) * times };
  });
}
