import type { WorkStep } from '../finish/work';

/** What was done for the pair once, before either is sewn, or holds for both: not done again. */
const doneOnce: readonly WorkStep['phase'][] = ['measure', 'set', 'scrap', 'put-back'];

/** A step of the second one is ticked apart from the first's. */
export const ofSecond = (id: string): string => `second ${id}`;

/**
 * The work on the second of a pair, after the first: laid against it, cut, and worked as it was, with
 * the machine as it stands.
 *
 * @param steps of the first, with its `second-leg`
 * @returns the steps by ids of their own; none where there is no second
 */
export function stepsOfSecond(steps: readonly WorkStep[]): WorkStep[] {
  const laidOn = steps.find(({ id }) => id === 'second-leg');
  if (!laidOn) return [];
  const again = steps.filter(
    (step) => step !== laidOn && (step.id === 'cut' || !doneOnce.includes(step.phase)),
  );
  return [laidOn, ...again].map((step) => ({ ...step, id: ofSecond(step.id) }));
}
