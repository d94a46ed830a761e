import type { WorkStep } from '../finish/finish';
import { machineChanges } from '../plan/work';

/** Starting guesses: minutes a metre of each kind of work takes a person who has done it before. */
const perMetre = { iron: 1.5, hand: 3, table: 0.8, machine: 1 } as const;
/** Starting guess: minutes to change a foot or go to another machine. */
const perChange = 2;
/** Steps that are done once, however long the edge is. */
const onceOnly = ['change-foot', 'test-scrap', 'thread', 'needle'];

/**
 * Minutes a metre of an edge takes from cutting to the last pressing; changes of machine and foot
 * are spread over the edge.
 */
export function minutesPerMetre(steps: readonly WorkStep[], lengthMm: number): number {
  const along = steps
    .filter(({ id }) => !onceOnly.includes(id))
    .reduce((sum, { at }) => sum + perMetre[typeof at === 'string' ? at : 'machine'], 0);
  return along + (perChange * machineChanges(steps)) / (lengthMm / 1000);
}
