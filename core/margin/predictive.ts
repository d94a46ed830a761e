import type { DriftBelief } from './belief';
import { normalDrift } from './normal';

/** The distribution function of the next stitch's drift, on an even grid; plain data. */
export interface PredictiveTable {
  readonly fromMm: number;
  readonly stepMm: number;
  /** Probability of drift left of each grid point, ascending. */
  readonly leftOf: readonly number[];
}

/** Beyond this many mm on either side no believable drift is left. */
const reachMm = 8;

/**
 * Averages the normal distribution function over a posterior on a grid of offset × spread.
 *
 * The grid of the table has the step of the offsets, so that for each spread one list of values
 * serves every pair: a convolution in place of a sum over the whole grid for each place.
 *
 * @param weights posterior, a row of offsets for each spread, summing to 1
 * @param sigmasMm the spreads of the rows
 * @param shifts the even grid of offsets
 */
export function tabulatePredictive(
  weights: Float64Array,
  sigmasMm: readonly number[],
  shifts: { readonly fromMm: number; readonly stepMm: number; readonly count: number },
): PredictiveTable {
  const { stepMm, count } = shifts;
  const reach = Math.round(reachMm / stepMm);
  const firstShift = Math.round(shifts.fromMm / stepMm);
  const leftOf = new Float64Array(2 * reach + 1);
  sigmasMm.forEach((sigma, row) => {
    const rowWeights = weights.subarray(row * count, (row + 1) * count);
    // Only offsets that hold something count; what is left out is below 1e-12 in all.
    const visible = (weight: number) => weight > 1e-17;
    const first = rowWeights.findIndex(visible);
    if (first < 0) return;
    const last = rowWeights.findLastIndex(visible);
    const hand = normalDrift(0, sigma);
    const farthest = Math.ceil((9 * sigma) / stepMm);
    const cdf = Float64Array.from({ length: 2 * farthest + 1 }, (_, i) =>
      hand.leftOf((i - farthest) * stepMm),
    );
    // Of hands so far to the left that all of their drifts lie left of a place, the sum will do.
    const upTo = new Float64Array(count + 1);
    for (let i = 0; i < count; i++) upTo[i + 1] = upTo[i]! + rowWeights[i]!;
    const total = upTo[count]!;
    // Left of all these hands nothing has happened yet; right of them, everything.
    const from = Math.max(0, reach + firstShift + first - farthest);
    const to = Math.min(leftOf.length, reach + firstShift + last + farthest + 1);
    for (let place = from; place < to; place++) {
      const here = place - reach - firstShift;
      const near = Math.max(first, here - farthest);
      const far = Math.min(last, here + farthest);
      let sum = near > first ? upTo[near]! : 0;
      for (let i = near, at = here - near + farthest; i <= far; i++, at--) {
        sum += rowWeights[i]! * cdf[at]!;
      }
      leftOf[place] = leftOf[place]! + sum;
    }
    for (let place = to; place < leftOf.length; place++) leftOf[place] = leftOf[place]! + total;
  });
  return { fromMm: -reach * stepMm, stepMm, leftOf: Array.from(leftOf) };
}

/**
 * A belief read from a table, by cubic interpolation between its points.
 *
 * @param shiftMm posterior mean of the offset, for showing
 * @param sigmaMm posterior mean of the spread, for showing
 */
export function predictiveDrift(
  table: PredictiveTable,
  shiftMm: number,
  sigmaMm: number,
): DriftBelief {
  const { fromMm, stepMm, leftOf: points } = table;
  const leftOf = (atMm: number): number => {
    const place = (atMm - fromMm) / stepMm;
    if (place <= 1) return 0;
    if (place >= points.length - 2) return 1;
    const i = Math.floor(place);
    const t = place - i;
    const [a, b, c, d] = [
      points[i - 1] ?? 0,
      points[i] ?? 0,
      points[i + 1] ?? 1,
      points[i + 2] ?? 1,
    ];
    const value =
      (-t * (t - 1) * (t - 2) * a) / 6 +
      ((t + 1) * (t - 1) * (t - 2) * b) / 2 -
      ((t + 1) * t * (t - 2) * c) / 2 +
      ((t + 1) * t * (t - 1) * d) / 6;
    return Math.min(1, Math.max(0, value));
  };
  return {
    shiftMm,
    sigmaMm,
    leftOf,
    rightOf: (atMm) => 1 - leftOf(atMm),
    within: (loMm, hiMm) => (hiMm > loMm ? Math.max(0, leftOf(hiMm) - leftOf(loMm)) : 0),
  };
}
