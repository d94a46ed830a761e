import {
  depthByBoth,
  matchFaces,
  offsOf,
  surelyMatched,
  type OutsideBite,
} from '../eye/both-faces';
import { marginOfPlan } from '../plan/margin-of-plan';
import { drawnFaces, type EyeCase } from './drawn-photo';
import { depthOf, holds, measuredOf, rootMeanSquare, trueOf } from './true-stitch';

/** How well bites of both faces are told to be the same. */
export interface FacesSeen {
  readonly scraps: number;
  /** Scraps of which one photo was refused. */
  readonly refused: number;
  /** Scraps whose faces could not be laid together surely enough. */
  readonly unsure: number;
  /** Of the bites that were matched, those that really are one. */
  readonly rightlyShare: number;
  /** Off by so much in the root of the mean square: by the wrong side alone, and by both, mm. */
  readonly depthErrorMm: { readonly alone: number; readonly both: number };
  /** Share of the 90 % intervals by both that hold the truth. */
  readonly coverage: number;
}

const hiddenOf = ({ finish, plan }: EyeCase) => {
  const hidden = marginOfPlan(finish, plan.fold.variant).hiddenOnRight?.(plan);
  if (!hidden) throw new RangeError(`No stitch of ${finish.id} is hidden.`);
  return hidden;
};

/** Draws both faces of so many scraps and sees whether their bites are matched. @param random 0 … 1 */
export function facesStudy(it: EyeCase, scraps: number, random: () => number): FacesSeen {
  let [refused, unsure, matched, rightly, inInterval] = [0, 0, 0, 0, 0];
  const errors = { alone: [] as number[], both: [] as number[] };
  for (let n = 0; n < scraps; n++) {
    const { wrong, right } = drawnFaces(it, random);
    const [shows, comesOut] = [measuredOf(wrong), measuredOf(right)];
    if (!shows || !comesOut) {
      refused++;
      continue;
    }
    const seen = {
      inside: shows.stitches.filter((one) => one.counted),
      outside: comesOut.stitches,
    };
    const { hiddenMm } = hiddenOf(it);
    const outside = seen.outside.map((one): OutsideBite => {
      const depth = depthOf(one);
      return { atMm: one.atMm, depth, shows: depth !== null };
    });
    const inside = seen.inside.map((one) => ({ atMm: one.atMm, depth: depthOf(one) }));
    const match = matchFaces(inside, outside, hiddenMm);
    if (!match || match.sure < surelyMatched) {
      unsure++;
      continue;
    }
    const offs = offsOf(inside, outside, match);
    match.onRight.forEach((j, i) => {
      if (j === null) return;
      matched++;
      const bite = trueOf(wrong, seen.inside[i]!);
      if (bite === trueOf(right, seen.outside[j]!)) rightly++;
      const { depth } = inside[i]!;
      if (bite < 0 || !depth) return;
      const { depthMm } = wrong.truth[bite]!;
      errors.alone.push(depth.depthMm - depthMm);
      const both = depthByBoth(depth, outside[j]!, hiddenMm, offs);
      errors.both.push(both.depthMm - depthMm);
      if (holds(both, depthMm)) inInterval++;
    });
  }
  return {
    ...{ scraps, refused, unsure, rightlyShare: rightly / matched },
    depthErrorMm: {
      alone: rootMeanSquare(errors.alone),
      both: rootMeanSquare(errors.both),
    },
    coverage: inInterval / errors.both.length,
  };
}
