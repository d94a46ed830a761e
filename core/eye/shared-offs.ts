import type { MeasuredDepth } from '../margin/measured-depths';
import { middleOf } from './middle';

const { hypot, max, min, PI, sqrt } = Math;

/** What all depths of one photo are off by in common: where its fold was told, how its thread ends. */
export interface SharedOff {
  /** By so much they are too deep, as far as is known, mm. */
  readonly offMm: number;
  /** How far that may be off where one photo is all there is, and how far it still may be, one spread each, mm. */
  readonly spreadMm: number;
  readonly leftMm: number;
}

/** The same of both faces. */
export interface SharedOffs {
  readonly wrong: SharedOff;
  readonly right: SharedOff;
}

const nothing: SharedOff = { offMm: 0, spreadMm: 0, leftMm: 0 };
/** Where nothing is known of it, every depth stands for itself. */
export const noOffs: SharedOffs = { wrong: nothing, right: nothing };

/** Every bite strays so much by itself at the least, mm. */
const leastOwnMm = 0.015;
/** Of fewer bites on both faces nothing is told that they have in common. */
const leastPairs = 4;

/** How far all depths of a photo may be off in common, one spread, mm: no more than the surest of them is. */
export const commonSpreadMm = (depths: readonly MeasuredDepth[]): number =>
  min(...depths.map(({ depthSpreadMm }) => depthSpreadMm));

/** How far a depth strays by itself, one spread, mm. @param commonMm how far all of its photo may be off in common */
export const ownSpreadMm = ({ depthSpreadMm }: MeasuredDepth, commonMm: number): number =>
  sqrt(max(leastOwnMm ** 2, depthSpreadMm ** 2 - commonMm ** 2));

/**
 * What the depths of both faces are off by in common, told by the bites that show on both. No more is in common to all than
 * the surest of them is off. Two normals of which the difference is seen, by the middle of all bites, so that a few
 * that were taken for others say nothing. Source: docs/formulas.md, “The eye”.
 *
 * @param pairs the depths of each bite on the wrong side and on the right
 */
export function sharedOffs(
  pairs: readonly (readonly [wrong: MeasuredDepth, right: MeasuredDepth])[],
): SharedOffs {
  if (pairs.length < leastPairs) return noOffs;
  const [wrong, right] = [0, 1].map((side) => {
    const spreadMm = commonSpreadMm(pairs.map((pair) => pair[side]!));
    return { offMm: 0, spreadMm, leftMm: spreadMm };
  }) as [SharedOff, SharedOff];
  const apartMm = middleOf(pairs.map(([one, other]) => one.depthMm - other.depthMm));
  const own = pairs.reduce(
    (sum, [one, other]) =>
      sum + hypot(ownSpreadMm(one, wrong.spreadMm), ownSpreadMm(other, right.spreadMm)) ** 2,
    0,
  );
  // A middle is off by more than a mean would be.
  const noise = ((PI / 2) * own) / pairs.length ** 2;
  const all = wrong.spreadMm ** 2 + right.spreadMm ** 2 + noise;
  const told = (one: SharedOff, sign: 1 | -1): SharedOff => {
    const share = one.spreadMm ** 2 / all;
    return {
      offMm: sign * share * apartMm,
      spreadMm: one.spreadMm,
      leftMm: one.spreadMm * sqrt(1 - share),
    };
  };
  return { wrong: told(wrong, 1), right: told(right, -1) };
}
