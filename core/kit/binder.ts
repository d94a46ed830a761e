import { refusal, type Issue } from '../impossible';
import type { Foot, IntervalMm } from './foot';

/** What a foot or an attachment that folds a strip takes. */
export interface BinderMeasures {
  /** How wide its mouth is, mm; null where nobody measured it. */
  readonly mouthMm?: number | null | undefined;
  /** The one strip it folds, cut so wide, mm; null for one that adjusts. */
  readonly stripMm?: number | null | undefined;
  /** From where to where its flange moves, mm; null for one that has none. */
  readonly flangeMm?: IntervalMm | null | undefined;
}

/** How a binder stands on the machine. */
export interface Placing {
  /** Between the flange and the fold, mm; null for as wide as the strip. */
  readonly flangeMm?: number | null | undefined;
  /** From the foot's toe to the mouth of an attachment, mm; null for the usual. */
  readonly standOffMm?: number | null | undefined;
}

/** A binder as it is set, as the sums take it. */
export interface Binder extends BinderMeasures {
  readonly placing: Placing;
}

/** How far an attachment's tip is laid right of the needle to begin with, mm. Starting guess. */
export const usualTipMm = 3;

/** Starting guesses: how far the mouth stands off the toe on a straight edge, mm. */
const straightStandOffMm = 12;
/** On an inside curve of this radius the strip wants twice the room to turn, mm. */
const radiusThatDoublesMm = 40;

/**
 * How far an attachment stands off the toe to begin with: 12 mm, up to twice that on an inside
 * curve as it tightens, none for elastic, which is moved right up to the foot. Source: craft
 * practice, docs/formulas.md “Ways of attaching”.
 *
 * @param insideRadiusMm the tightest inside curve; null for an edge that has none
 */
export function usualStandOffMm(elastic: boolean, insideRadiusMm: number | null): number {
  if (elastic) return 0;
  const more = insideRadiusMm === null ? 0 : Math.min(1, radiusThatDoublesMm / insideRadiusMm);
  // To the half millimetre: nobody screws it on finer.
  return Math.round(2 * straightStandOffMm * (1 + more)) / 2;
}

/** The foot that presses, with the edge led by an attachment before it. */
export const withAttachment = (foot: Foot, attachment: Pick<Foot, 'guidance' | 'guide'>): Foot => ({
  slotMm: foot.slotMm,
  ...(foot.besideMm ? { besideMm: foot.besideMm } : {}),
  ...(foot.shank ? { shank: foot.shank } : {}),
  guidance: attachment.guidance,
  guide: attachment.guide,
});

/** What a strip may be narrower than the flange without wandering, mm. */
export const flangePlayMm = ({ placing }: Pick<Binder, 'placing'>, stripMm: number): number =>
  Math.max(0, (placing.flangeMm ?? stripMm) - stripMm);

/**
 * How far a binding's back wanders in a binder: its own spread, and where the flange stands wider
 * than the strip the play it leaves, anywhere in which the strip may run: √(σ² + play²/12).
 * Source: docs/formulas.md, “Ways of attaching”.
 *
 * @param ownMm of a binder that fits, mm
 */
export const binderSpreadMm = (ownMm: number, playMm: number): number =>
  Math.hypot(ownMm, playMm / Math.sqrt(12));

/** A strip may be a hair wider than what holds it. */
const hairMm = 0.05;

/**
 * What does not fit between a binder and a strip, each with what would; empty when all does.
 *
 * @param stripMm how wide the strip is cut
 */
export function binderIssues(
  { mouthMm = null, flangeMm = null, placing }: Binder,
  stripMm: number,
): Issue[] {
  const set = placing.flangeMm ?? null;
  const [least, most] = flangeMm ?? [0, 0];
  if (mouthMm !== null && stripMm > mouthMm + hairMm) {
    return [
      refusal(
        'binder.mouthMm',
        'mouth-narrower-than-strip',
        'A strip of {stripMm} does not go into a mouth of {mouthMm}; up to {mouthMm} does.',
        { stripMm, mouthMm },
      ),
    ];
  }
  if (set !== null && flangeMm === null) {
    return [
      refusal(
        'binder.placing.flangeMm',
        'no-flange',
        'This attachment has no flange to set; leave it out.',
      ),
    ];
  }
  if (set !== null && (set < least - hairMm || set > most + hairMm)) {
    return [
      refusal(
        'binder.placing.flangeMm',
        'flange-out-of-range',
        'The flange goes from {leastMm} to {mostMm}, and {givenMm} is outside that.',
        { leastMm: least, mostMm: most, givenMm: set },
      ),
    ];
  }
  if (flangeMm !== null && (stripMm < least - hairMm || stripMm > most + hairMm)) {
    return [
      refusal(
        'binder.flangeMm',
        'strip-outside-flange',
        'A strip of {stripMm} is outside what the flange holds; {leastMm} to {mostMm} fits.',
        { stripMm, leastMm: least, mostMm: most },
      ),
    ];
  }
  return set !== null && set < stripMm - hairMm
    ? [
        refusal(
          'binder.placing.flangeMm',
          'flange-narrower-than-strip',
          'A flange at {givenMm} jams a strip of {stripMm}; {stripMm} or a little more fits.',
          { givenMm: set, stripMm },
        ),
      ]
    : [];
}
