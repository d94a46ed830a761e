import { depthsByLights, matchLights } from '../eye/both-lights';
import { countsAt } from '../eye/likeliest-counts';
import type { MeasuredDepth } from '../margin/measured-depths';
import { drawnLights, type DrawnPhoto, type EyeCase } from './drawn-photo';
import { depthOf, holds, isWithinOne, measuredOf, rootMeanSquare, trueOf } from './true-stitch';

/** How much surer a second photo with the lamp on the other side makes what was measured. */
export interface LightsSeen {
  readonly scraps: number;
  /** Scraps of which one photo was refused, or in which too few bites were found again. */
  readonly refused: number;
  /** Off by so much in the root of the mean square: by the first photo alone, and by both, mm. */
  readonly depthErrorMm: { readonly alone: number; readonly both: number };
  /** Scraps whose faults are told to within one: by the first photo alone, and by both. */
  readonly withinOne: { readonly alone: number; readonly both: number };
  /** Share of the 90 % intervals by both that hold the truth. */
  readonly coverage: number;
}

/** Bites in a photo whose depths are told, and which true stitch each is; null where it is refused. */
const bitesIn = (photo: DrawnPhoto) =>
  measuredOf(photo)?.stitches.flatMap((one) => {
    const depth = one.counted ? depthOf(one) : null;
    return depth ? [{ atMm: one.atMm, depth, of: trueOf(photo, one) }] : [];
  }) ?? null;

/** Draws so many scraps under a lamp from one side and from the other. @param random 0 … 1 */
export function lightsStudy(it: EyeCase, scraps: number, random: () => number): LightsSeen {
  const errors = { alone: [] as number[], both: [] as number[] };
  const withinOne = { alone: 0, both: 0 };
  let [refused, inside] = [0, 0];
  for (let n = 0; n < scraps; n++) {
    const [first, second] = drawnLights(it, random);
    const [before, after] = [bitesIn(first), bitesIn(second)];
    const inFirst = before && after && matchLights(before, after);
    if (!inFirst) {
      refused++;
      continue;
    }
    const matched = after.flatMap((bite, j) => {
      const i = inFirst[j] ?? null;
      return i === null ? [] : [{ one: before[i]!, other: bite }];
    });
    const { judged } = first.expected;
    const both = depthsByLights(
      matched.map(({ one, other }) => [one.depth, other.depth] as const),
      judged,
    );
    const truth = countsAt(first.truth, judged);
    const isRight = (depths: readonly MeasuredDepth[]) =>
      isWithinOne(countsAt(depths, judged), truth, it.face);
    if (isRight(before.map(({ depth }) => depth))) withinOne.alone++;
    if (isRight(matched.map(({ other }, k) => both[k] ?? other.depth))) withinOne.both++;
    for (const [k, { one }] of matched.entries()) {
      const [depth, is] = [both[k], first.truth[one.of]];
      if (!depth || !is) continue;
      errors.alone.push(one.depth.depthMm - is.depthMm);
      errors.both.push(depth.depthMm - is.depthMm);
      if (holds(depth, is.depthMm)) inside++;
    }
  }
  return {
    ...{ scraps, refused, withinOne, coverage: inside / errors.both.length },
    depthErrorMm: {
      alone: rootMeanSquare(errors.alone),
      both: rootMeanSquare(errors.both),
    },
  };
}
