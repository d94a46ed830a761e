import type { MeasuredDepth } from '../margin/measured-depths';
import { normalDrift } from '../margin/normal';
import type { Judged } from './expected';
import { likeliestCounts } from './likeliest-counts';
import { commonSpreadMm, ownSpreadMm } from './shared-offs';

const { abs, exp, hypot, max, sqrt } = Math;

type Bounds = Pick<Judged, 'loMm' | 'hiMm'>;

/** What a person who looks at the scrap itself says a stitch is. */
export type Answer = 'short' | 'sound' | 'over';

/** What a stitch of a value would be said to be. */
export const answerAt = (valueMm: number, { loMm, hiMm }: Bounds): Answer =>
  valueMm < loMm ? 'short' : valueMm > hiMm ? 'over' : 'sound';

/** A depth as a photo tells it, and what the person says of that stitch; null where nothing is said. */
export interface AnsweredDepth {
  readonly depth: MeasuredDepth;
  readonly answer: Answer | null;
}

/** What all depths are off by in common is tried so far, in spreads of it, and so closely. */
const mostOff = 3;
const offSteps = 30;
/** Of so many answers one is a slip, or says something else than how deep a stitch goes. Starting guess. */
const slips = 0.02;

/** Of how far the surest depth is off so much is common to all: it strays by itself too. As 580 drawn photos have it, about. */
const commonShare = 0.85;

/** How far all depths may be off in common, one spread, mm. */
const commonOf = (all: readonly AnsweredDepth[]): number =>
  commonShare * commonSpreadMm(all.map(({ depth }) => depth));

/** How likely an answer is where a stitch is believed to lie. */
function likely(answer: Answer, { depthMm, depthSpreadMm }: MeasuredDepth, bounds: Bounds): number {
  const { loMm, hiMm } = bounds;
  const belief = normalDrift(depthMm, depthSpreadMm);
  const chances: Readonly<Record<Answer, number>> = {
    short: belief.leftOf(loMm),
    sound: belief.within(loMm, hiMm),
    over: belief.rightOf(hiMm),
  };
  return (1 - slips) * chances[answer] + slips / 3;
}

/**
 * What all depths of one face are off by in common, as far as is known once a person has said what some stitches are: an answer
 * about one that lies near a bound tells how far. Bayes’ rule over what they are off by, each off by itself besides.
 *
 * @returns by so much they are too deep, and how far that still may be off, one spread, mm
 */
export function offByAnswers(
  all: readonly AnsweredDepth[],
  bounds: Bounds,
): { readonly offMm: number; readonly leftMm: number } {
  const commonMm = commonOf(all);
  let [weight, sum, squares] = [0, 0, 0];
  for (let i = -offSteps; i <= offSteps; i++) {
    const off = (i / offSteps) * mostOff;
    const offMm = off * commonMm;
    // The trapezium rule: where answers pile all up at an end, it would else count twice what lies there.
    let chance = (abs(i) === offSteps ? 0.5 : 1) * exp((-off * off) / 2);
    for (const { depth, answer } of all) {
      if (answer === null) continue;
      const alone = {
        depthMm: depth.depthMm - offMm,
        depthSpreadMm: ownSpreadMm(depth, commonMm),
      };
      chance *= likely(answer, alone, bounds);
    }
    weight += chance;
    sum += chance * offMm;
    squares += chance * offMm * offMm;
  }
  const offMm = sum / weight;
  return { offMm, leftMm: sqrt(max(0, squares / weight - offMm * offMm)) };
}

/**
 * Depths of one face as they are once a person has said what some stitches are: all are off in common by where their fold was
 * told, so that an answer about one tells of all others. They are then laid where the counts of the others are the likeliest right.
 * Source: docs/formulas.md, “The eye”.
 *
 * @returns in the same order; as they were where nothing is said
 * @example
 * // Two bites that just reach the bound. The first is seen to have missed: so has the second.
 * const near = { depthMm: 0.21, depthSpreadMm: 0.06 };
 * const [, second] = depthsByAnswers(
 *   [{ depth: near, answer: 'short' }, { depth: near, answer: null }],
 *   { loMm: 0.2, hiMm: 1 },
 * ); // 0.17 mm
 */
export function depthsByAnswers(all: readonly AnsweredDepth[], bounds: Bounds): MeasuredDepth[] {
  const depths = all.map(({ depth }) => depth);
  if (all.every(({ answer }) => answer === null)) return depths;
  const { offMm, leftMm } = offByAnswers(all, bounds);
  const commonMm = commonOf(all);
  const laid = (shiftMm: number) =>
    depths.map((depth) => ({
      depthMm: depth.depthMm - offMm - shiftMm,
      // From where it is laid it strays as far as from its mean, and that far more.
      depthSpreadMm: hypot(ownSpreadMm(depth, commonMm), leftMm, shiftMm),
    }));
  const open = laid(0).filter((_, i) => all[i]!.answer === null);
  return laid(open.length === 0 ? 0 : likeliestCounts(open, leftMm, bounds).shiftMm);
}
