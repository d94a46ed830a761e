import type { MeasuredDepth } from '../margin/measured-depths';
import { middleOf } from './middle';

const { abs, hypot, max, min, PI, sqrt } = Math;

/** What all depths of one photo are off by in common: where its fold was told, how its thread ends. */
export interface SharedOff {
  /** By so much they are too deep, as far as is known, mm. */
  readonly offMm: number;
  /** How far that may be off where one photo is all there is, and how far it still may be, one spread each, mm. */
  readonly spreadMm: number;
  readonly leftMm: number;
}

/** The same of two photos of one scrap: of its faces, or of one face under two lights. */
export type SharedOffs = readonly [one: SharedOff, other: SharedOff];

const nothing: SharedOff = { offMm: 0, spreadMm: 0, leftMm: 0 };
/** Where nothing is known of it, every depth stands for itself. */
export const noOffs: SharedOffs = [nothing, nothing];

/** Every bite strays so much by itself at the least, mm. */
const leastOwnMm = 0.015;
/** Of fewer bites in both photos nothing is told that they have in common. */
const leastPairs = 4;

/** How far all depths of a photo may be off in common, one spread, mm: no more than the surest of them is. */
export const commonSpreadMm = (depths: readonly MeasuredDepth[]): number =>
  min(...depths.map(({ depthSpreadMm }) => depthSpreadMm));

/** How far a depth strays by itself, one spread, mm. @param commonMm how far all of its photo may be off in common */
export const ownSpreadMm = ({ depthSpreadMm }: MeasuredDepth, commonMm: number): number =>
  sqrt(max(leastOwnMm ** 2, depthSpreadMm ** 2 - commonMm ** 2));

/** Two depths of one bite that lie farther apart than so many spreads are not both right. */
export const disagreeAt = 3;

/**
 * What the depths of two photos are off by in common, told by the bites that show in both. No more is in common to all than
 * the surest of them is off. Two normals of which the difference is seen, by the middle of all bites, so that a few
 * that were taken for others say nothing. Source: docs/formulas.md, “The eye”.
 *
 * @param pairs the depths of each bite in one photo and in the other
 * @param sameShare so much of what each photo may be off by in common is the same in both, as a share of its variance: by
 * how far they differ it is not told
 */
export function sharedOffs(
  pairs: readonly (readonly [one: MeasuredDepth, other: MeasuredDepth])[],
  sameShare = 0,
): SharedOffs {
  if (pairs.length < leastPairs) return noOffs;
  const [one, other] = [0, 1].map((photo) => commonSpreadMm(pairs.map((pair) => pair[photo]!))) as [
    number,
    number,
  ];
  const apartMm = middleOf(pairs.map(([a, b]) => a.depthMm - b.depthMm));
  const own = pairs.reduce(
    (sum, [a, b]) => sum + hypot(ownSpreadMm(a, one), ownSpreadMm(b, other)) ** 2,
    0,
  );
  // A middle is off by more than a mean would be.
  const noise = ((PI / 2) * own) / pairs.length ** 2;
  const itsOwn = 1 - sameShare;
  const all = itsOwn * (one ** 2 + other ** 2) + noise;
  const told = (spreadMm: number, sign: 1 | -1): SharedOff => {
    const share = (itsOwn * spreadMm ** 2) / all;
    return {
      ...{ offMm: sign * share * apartMm, spreadMm },
      leftMm: spreadMm * sqrt(1 - itsOwn * share),
    };
  };
  return [told(one, 1), told(other, -1)];
}

/**
 * How deep a bite goes by two photos: the mean of both, each by how far it strays by itself, once what all bites of its photo are off
 * by in common is taken away.
 *
 * @returns null where the two can't both be right
 */
export function depthOfTwo(
  [one, other]: readonly [MeasuredDepth, MeasuredDepth],
  offs: SharedOffs,
): MeasuredDepth | null {
  const [oneMm, otherMm] = [one.depthMm - offs[0].offMm, other.depthMm - offs[1].offMm];
  if (abs(oneMm - otherMm) > disagreeAt * hypot(one.depthSpreadMm, other.depthSpreadMm))
    return null;
  const [a, b] = [
    ownSpreadMm(one, offs[0].spreadMm) ** -2,
    ownSpreadMm(other, offs[1].spreadMm) ** -2,
  ];
  // What is left open in common is nearly the same of both: they differ by what was seen.
  const left = (a * offs[0].leftMm + b * offs[1].leftMm) / (a + b);
  return {
    depthMm: (a * oneMm + b * otherMm) / (a + b),
    depthSpreadMm: hypot(1 / sqrt(a + b), left),
  };
}
