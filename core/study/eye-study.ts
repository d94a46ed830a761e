import { doubtfulBelow, faultOf } from '../eye/how-sure';
import { countsAt } from '../eye/likeliest-counts';
import type { MeasuredScrap, MeasuredStitch } from '../eye/measured-scrap';
import { answered } from './answered';
import { drawnPhoto, type DrawnPhoto, type EyeCase } from './drawn-photo';
import { depthOf, holds, isWithinOne, measuredOf, nearMm } from './true-stitch';

/** How well the eye sees one kind of photo; a share of nothing is NaN. */
export interface EyeSeen {
  readonly photos: number;
  /** Photos it said it can’t count on. */
  readonly refused: number;
  /** Of all counted stitches, those that were found where they are. */
  readonly foundShare: number;
  /** Finds where nothing is, for every photo that was counted. */
  readonly falseFinds: number;
  /** Photos whose faults are told to within one. */
  readonly withinOneShare: number;
  /** The same once its person has said what the two least sure ones are, and how many were asked about in the mean. */
  readonly answered: { readonly withinOneShare: number; readonly answers: number };
  /** Of how deep a stitch lies: the middle one, and what nine of ten keep below, mm. */
  readonly depthErrorMm: { readonly median: number; readonly nineOfTen: number };
  /** Of the stitch length, the middle one, mm. */
  readonly lengthErrorMm: number;
  /** Depths that lie within the 90 % interval that was stated for them. */
  readonly coverage: number;
  /** Finds judged wrongly that it was sure of, for every photo that was counted. */
  readonly surelyWrong: number;
}

interface Matched {
  readonly errors: readonly number[];
  readonly surelyWrong: number;
  readonly inside: number;
  readonly missed: number;
  readonly none: number;
}

function matched({ truth, expected }: DrawnPhoto, { stitches }: MeasuredScrap): Matched {
  const free = new Set<MeasuredStitch>(stitches.filter(({ counted }) => counted));
  const errors: number[] = [];
  let [inside, missed, surelyWrong] = [0, 0, 0];
  for (const { atMm, depthMm, isSeen } of truth) {
    const [nearest] = [...free].sort((a, b) => apart(a.atMm, atMm) - apart(b.atMm, atMm));
    if (!nearest || apart(nearest.atMm, atMm) > nearMm) {
      if (isSeen) missed++;
      continue;
    }
    free.delete(nearest);
    const depth = depthOf(nearest);
    if (!depth) {
      if (isSeen) missed++;
      continue;
    }
    errors.push(Math.abs(depth.depthMm - depthMm));
    if (holds(depth, depthMm)) inside++;
    const isWrong = nearest.fault !== faultOf(depthMm, expected.judged);
    if (isWrong && nearest.sure >= doubtfulBelow) surelyWrong++;
  }
  const none = [...free].filter(({ depthMm }) => depthMm !== null).length;
  return { errors, inside, missed, none, surelyWrong };
}

const apart = (a: readonly [number, number], b: readonly [number, number]) =>
  Math.hypot(a[0] - b[0], a[1] - b[1]);

function shareAt(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

/** A person is asked so often at the most. */
const mostAnswers = 2;

/** Draws so many photos of a kind and sees how well they are measured. */
export function eyeStudy(it: EyeCase, photos: number, random: () => number): EyeSeen {
  const errors: number[] = [];
  const lengths: number[] = [];
  let [refused, inside, missed, none, seen, wrong] = [0, 0, 0, 0, 0, 0];
  let [within, withinAnswered, answers] = [0, 0, 0];
  for (let i = 0; i < photos; i++) {
    const photo = drawnPhoto(it, random);
    const measured = measuredOf(photo);
    if (!measured) {
      refused++;
      continue;
    }
    const found = matched(photo, measured);
    errors.push(...found.errors);
    inside += found.inside;
    missed += found.missed;
    none += found.none;
    wrong += found.surelyWrong;
    seen += photo.truth.filter(({ isSeen }) => isSeen).length;
    lengths.push(Math.abs(measured.lengthMm.mean - photo.dials.lengthMm));
    const truth = countsAt(photo.truth, photo.expected.judged);
    if (isWithinOne(measured.counts, truth, it.face)) within++;
    const after = answered(photo, measured, mostAnswers);
    answers += after.answers;
    if (isWithinOne(after, truth, it.face)) withinAnswered++;
  }
  const counted = photos - refused;
  return {
    ...{ photos, refused },
    foundShare: seen > 0 ? 1 - missed / seen : NaN,
    falseFinds: counted > 0 ? none / counted : 0,
    withinOneShare: within / counted,
    answered: { withinOneShare: withinAnswered / counted, answers: answers / counted },
    depthErrorMm: { median: shareAt(errors, 0.5), nineOfTen: shareAt(errors, 0.9) },
    lengthErrorMm: shareAt(lengths, 0.5),
    coverage: inside / errors.length,
    surelyWrong: counted > 0 ? wrong / counted : 0,
  };
}
