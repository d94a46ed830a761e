import cdf from '@stdlib/stats-base-dists-normal-cdf';
import type { DriftBelief } from './belief';

/**
 * Drift believed to be normal with a constant offset and a spread.
 * Source: the normal distribution function, accurate in its tails; docs/formulas.md “Margin”.
 *
 * @param shiftMm the offset m, mm to the right
 * @param sigmaMm the spread σ, > 0
 */
export function normalDrift(shiftMm: number, sigmaMm: number): DriftBelief {
  const leftOf = (atMm: number) => cdf(atMm - shiftMm, 0, sigmaMm);
  const rightOf = (atMm: number) => cdf(shiftMm - atMm, 0, sigmaMm);
  const within = (loMm: number, hiMm: number) => {
    if (!(hiMm > loMm)) return 0;
    // Both ends right of the middle: subtract the small upper tails, which keep their digits.
    return loMm > shiftMm ? rightOf(loMm) - rightOf(hiMm) : leftOf(hiMm) - leftOf(loMm);
  };
  return { shiftMm, sigmaMm, leftOf, rightOf, within };
}
