import type { Took } from './garment';
import studentQuantile from '@stdlib/stats-base-dists-t-quantile';

/** From so many steps on a pace is more than chance. */
export const fewestSteps = 5;

/** How long this person takes, against the usual minutes. */
export interface Pace {
  /** Times the usual minutes; 1 is as usual. */
  readonly times: number;
  /** With nine of ten chances it lies between these. */
  readonly fromTimes: number;
  readonly toTimes: number;
  readonly steps: number;
}

/** What is no step but a forgotten tick, or one that was ticked off afterwards. */
const believable = { atLeast: 0.1, atMost: 8 };

/**
 * A person's pace from steps that were timed: the mean of the logarithms of taken against usual
 * minutes, with Student's interval of nine in ten. A step that took a tenth or eight times of the
 * usual was not timed but ticked off. Source: docs/formulas.md, “Pace”.
 *
 * @returns null from fewer than {@link fewestSteps} steps: nothing is learned from nothing
 * @example paceOf(Array.from({ length: 9 }, () => ({ minutes: 3, usualMinutes: 2 })))?.times // 1.5
 */
export function paceOf(took: readonly Took[]): Pace | null {
  const logs = took
    .filter(({ minutes, usualMinutes }) => {
      const times = minutes / usualMinutes;
      return usualMinutes > 0 && times >= believable.atLeast && times <= believable.atMost;
    })
    .map(({ minutes, usualMinutes }) => Math.log(minutes / usualMinutes));
  const n = logs.length;
  if (n < fewestSteps) return null;
  const mean = logs.reduce((sum, log) => sum + log, 0) / n;
  const variance = logs.reduce((sum, log) => sum + (log - mean) ** 2, 0) / (n - 1);
  const reach = studentQuantile(0.95, n - 1) * Math.sqrt(variance / n);
  return {
    times: Math.exp(mean),
    fromTimes: Math.exp(mean - reach),
    toTimes: Math.exp(mean + reach),
    steps: n,
  };
}
