import type { MeasuredDepth } from '../margin/measured-depths';
import { normalDrift } from '../margin/normal';
import type { Judged } from './expected';
import { ownSpreadMm } from './shared-offs';

const { abs, exp, max, min } = Math;

type Bounds = Pick<Judged, 'loMm' | 'hiMm'>;

/** What all depths are off by in common is tried so far, in spreads of it, and so closely. */
const mostOff = 3;
const offSteps = 15;
/** Where they are measured from is moved by no more than such a share of how far it may be off. */
const mostShifted = 0.5;
const shiftSteps = 10;
/** A chance that is less by so much is as good: then it is moved the less. */
const asGood = 0.01;

/** How likely each number of them is, from none to all. @param shares how likely each is, by itself */
function chancesOf(shares: readonly number[]): number[] {
  const chances = [1];
  for (const share of shares) {
    chances.push(0);
    for (let k = chances.length - 1; k >= 0; k--) {
      chances[k] = chances[k]! * (1 - share) + (chances[k - 1] ?? 0) * share;
    }
  }
  return chances;
}

/** How likely a number is right to within one. */
const withinOne = (chances: readonly number[], count: number): number =>
  (chances[count - 1] ?? 0) + (chances[count] ?? 0) + (chances[count + 1] ?? 0);

/**
 * How likely it is that counts of a face are both right to within one, by the depths that were measured: each is off by itself, and
 * all by what they have in common. Of what is too short and what is over, each is counted as if the other were not: no depth is
 * near to both bounds. Source: docs/formulas.md, “The eye”.
 *
 * @param commonMm how far all may be off in common, one spread
 * @returns of how many are short and how many over, 0 … 1
 */
export function countChances(
  depths: readonly MeasuredDepth[],
  commonMm: number,
  { loMm, hiMm }: Bounds,
): (counts: { readonly short: number; readonly over: number }) => number {
  const cases = Array.from({ length: 2 * offSteps + 1 }, (_, i) => {
    const off = ((i - offSteps) / offSteps) * mostOff;
    const beliefs = depths.map((depth) =>
      normalDrift(depth.depthMm - off * commonMm, ownSpreadMm(depth, commonMm)),
    );
    return {
      weight: exp((-off * off) / 2),
      short: chancesOf(beliefs.map((belief) => belief.leftOf(loMm))),
      over: chancesOf(beliefs.map((belief) => belief.rightOf(hiMm))),
    };
  });
  const all = cases.reduce((sum, { weight }) => sum + weight, 0);
  return ({ short, over }) =>
    cases.reduce(
      (sum, one) => sum + one.weight * withinOne(one.short, short) * withinOne(one.over, over),
      0,
    ) / all;
}

/** How many depths are too short, and how many over, were all less by so much. */
export const countsAt = (
  depths: readonly Pick<MeasuredDepth, 'depthMm'>[],
  { loMm, hiMm }: Bounds,
  shiftMm = 0,
) => ({
  short: depths.filter(({ depthMm }) => depthMm - shiftMm < loMm).length,
  over: depths.filter(({ depthMm }) => depthMm - shiftMm > hiMm).length,
});

/**
 * By how much all depths of a face are to be less, so that what they come to is as likely as can be right to within one. Where
 * they are measured from may lie here or there; what it lies the likeliest at is not where the counts are the likeliest, when
 * many depths lie close to a bound on its one side and few on its other. Source: docs/formulas.md, “The eye”.
 *
 * @param commonMm how far all may be off in common, one spread
 * @returns at most half of that, either way, and how likely the counts are then right to within one
 */
export function likeliestCounts(
  depths: readonly MeasuredDepth[],
  commonMm: number,
  bounds: Bounds,
): { readonly shiftMm: number; readonly sure: number } {
  const chance = countChances(depths, commonMm, bounds);
  const tried = Array.from({ length: 2 * shiftSteps + 1 }, (_, i) => {
    const shiftMm = ((i - shiftSteps) / shiftSteps) * mostShifted * commonMm;
    return { shiftMm, sure: min(1, chance(countsAt(depths, bounds, shiftMm))) };
  });
  const best = tried.reduce((most, { sure }) => max(most, sure), 0);
  return tried
    .filter(({ sure }) => sure >= best - asGood)
    .reduce((least, one) => (abs(one.shiftMm) < abs(least.shiftMm) ? one : least));
}
