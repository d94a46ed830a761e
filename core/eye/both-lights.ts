import type { MeasuredDepth } from '../margin/measured-depths';
import type { PhotoBite } from './both-faces';
import type { Judged } from './expected';
import { likeliestCounts } from './likeliest-counts';
import { middleOf } from './middle';
import { commonSpreadMm, depthOfTwo, sharedOffs } from './shared-offs';

/** A scrap that stayed where it lay has each bite within such a share of the bites’ spacing of where it was. */
const nearShare = 0.3;
/** Of the fewer bites so many are found again where the scrap stayed where it lay. */
const leastAgain = 0.8;
/**
 * Of how far a photo may be off in common so much of the variance is the same under either light: the cloth’s own weave along its fold,
 * how its thread ends.
 */
const sameShare = 0.4;
/** Fewer tell nothing. */
const leastBites = 3;

const apart = (one: PhotoBite, other: PhotoBite): number =>
  Math.hypot(one.atMm[0] - other.atMm[0], one.atMm[1] - other.atMm[1]);

/** The place in a list that lies the nearest to one, and how far from it. */
function nearestOf(places: readonly PhotoBite[], to: PhotoBite): readonly [i: number, mm: number] {
  let [nearest, least] = [-1, Infinity];
  for (const [i, place] of places.entries()) {
    const mm = apart(place, to);
    if (mm < least) [nearest, least] = [i, mm];
  }
  return [nearest, least];
}

/**
 * Which bite of one photo is which of another, of a face that was lit from one side and then from the other. The scrap stays
 * where it lies on its card, so a bite lies where it lay.
 *
 * @returns for each of the second photo its place in the first one, null where none lay there; or null where the scrap has been
 * moved, or too few bites are seen to say
 */
export function matchLights(
  first: readonly PhotoBite[],
  second: readonly PhotoBite[],
): readonly (number | null)[] | null {
  if (Math.min(first.length, second.length) < leastBites) return null;
  const gaps = first.map((one, i) => nearestOf(first.toSpliced(i, 1), one)[1]);
  const within = nearShare * middleOf(gaps);
  const inFirst = second.map((bite, j): number | null => {
    const [i, mm] = nearestOf(first, bite);
    return mm <= within && nearestOf(second, first[i]!)[0] === j ? i : null;
  });
  const again = inFirst.filter((i) => i !== null).length;
  return again >= leastAgain * Math.min(first.length, second.length) ? inFirst : null;
}

/**
 * How deep bites go by two photos under different lights. Light over the cloth darkens a fold’s flank and draws its line in,
 * light from beyond it draws the line out: what both photos are off by in common is told by how far they differ, and all
 * depths are then laid where their counts are the likeliest right. Source: docs/formulas.md, “The eye”.
 *
 * @param pairs the depths of each bite in one photo and in the other
 * @returns for each of them its depth by both, null where the two can't both be right
 */
export function depthsByLights(
  pairs: readonly (readonly [one: MeasuredDepth, other: MeasuredDepth])[],
  bounds: Pick<Judged, 'loMm' | 'hiMm'>,
): (MeasuredDepth | null)[] {
  const offs = sharedOffs(pairs, sameShare);
  const depths = pairs.map((pair) => depthOfTwo(pair, offs));
  const agreed = depths.flatMap((depth) => (depth ? [depth] : []));
  if (agreed.length === 0) return depths;
  const { shiftMm } = likeliestCounts(agreed, commonSpreadMm(agreed), bounds);
  return depths.map((depth) => depth && { ...depth, depthMm: depth.depthMm - shiftMm });
}
