import { undriftedMm } from '../margin/check';
import { plainLogSigmaSd, plainShiftSdMm } from '../margin/prior';
import { normalDraw } from '../margin/sewist';
import { learnedFrom, type SewnSample } from '../plan/learn-plan';
import { studied, type StudySetting } from './study';

/** How many measured stitches tell as much as a whole scrap that was counted. */
export interface MeasuredStudy {
  /** Stitches counted on a scrap. */
  readonly counted: number;
  /** The fewest measured ones, of those tried, whose 90 % interval of the offset is no wider. */
  readonly asSure: number;
  /** How wide that interval is after as many as were counted, counted and measured, mm. */
  readonly countedWidthMm: number;
  readonly measuredWidthMm: number;
  /** The share of sewists whose offset lies in the interval of half as many, measured. */
  readonly heldByHalf: number;
  readonly sewists: number;
}

const counted = 24;
/** So many measured ones are tried. */
const tried = [2, 3, 4, 6, 8, counted / 2, counted];
/** How far a depth in a photo is off, one spread, mm: by the study of the eye. */
const depthSpreadMm = 0.07;

/**
 * Hands drawn from the very prior sew one scrap at the starting setting. What is learned of their
 * offset from its counts is compared with what is learned from fewer stitches that were measured.
 *
 * @param random even numbers in 0 … 1
 */
export function measuredStudy(
  setting: StudySetting,
  sewists: number,
  random: () => number,
): MeasuredStudy {
  const { check, ruleSigmaMm, start } = studied(setting);
  const learned = (sample: Omit<SewnSample, 'settings' | 'check'>) =>
    learnedFrom(setting.finish, setting.plan, [{ ...sample, settings: start, check: check.name }])[
      check.source
    ]!.shiftInterval;
  const widths = new Map(tried.map((n) => [n, 0]));
  let [countedMm, held] = [0, 0];
  for (let i = 0; i < sewists; i++) {
    const shiftMm = plainShiftSdMm * normalDraw(random);
    const sigmaMm = ruleSigmaMm * Math.exp(plainLogSigmaSd * normalDraw(random));
    const values = Array.from(
      { length: counted },
      () => undriftedMm(check, start) + check.k * (shiftMm + sigmaMm * normalDraw(random)),
    );
    const short = values.filter((value) => value < check.loMm).length;
    const over = values.filter((value) => value > check.hiMm).length;
    const [from, to] = learned({ n: counted, short, over });
    countedMm += to - from;
    const depths = values.map((value) => ({
      depthMm: value + depthSpreadMm * normalDraw(random),
      depthSpreadMm,
    }));
    for (const n of tried) {
      const [low, high] = learned({ n, short: 0, over: 0, depths: depths.slice(0, n) });
      widths.set(n, widths.get(n)! + high - low);
      if (n === counted / 2 && shiftMm >= low && shiftMm <= high) held++;
    }
  }
  return {
    ...{ counted, sewists, heldByHalf: held / sewists },
    asSure: tried.find((n) => widths.get(n)! <= countedMm) ?? Infinity,
    countedWidthMm: countedMm / sewists,
    measuredWidthMm: widths.get(counted)! / sewists,
  };
}
