import type { Construction } from '../cloth/cloth';

/** How a stack goes under a presser foot. */
export const passages = ['freely', 'with-care', 'will-not-pass'] as const;
export type Passage = (typeof passages)[number];

/** Starting guesses: what is left of a stack after it was hammered flat, a share. */
export const hammeredShare: Readonly<Record<Construction, number>> = {
  woven: 0.7,
  knit: 0.75,
  pile: 0.6,
  felted: 0.75,
  sheer: 0.9,
};

/** Starting guesses: air above what goes under the foot as it lies, and above what was hammered. */
export const liftAirMm = 1;
export const hammeredAirMm = 0.5;

/** The two heights a presser foot goes to. */
export interface PresserLifts {
  /** As the lever lifts it. */
  readonly liftMm: number;
  /** With the lever pushed further. */
  readonly highLiftMm: number;
}

/** A stack's height after hammering, mm. */
export const hammeredMm = (stackMm: number, construction: Construction): number =>
  stackMm * hammeredShare[construction];

/**
 * Whether a stack passes: freely up to a millimetre below the lift; with care (hammered, a longer
 * stitch, the handwheel, a shim) up to half a millimetre below the higher one; else not at all.
 * Source: craft practice, docs/formulas.md “Along the edge”.
 *
 * @example passageOf(12 * 0.76 * 0.7, 'woven', { liftMm: 5, highLiftMm: 7 }) // 'with-care'
 */
export function passageOf(
  stackMm: number,
  construction: Construction,
  { liftMm, highLiftMm }: PresserLifts,
): Passage {
  if (stackMm <= liftMm - liftAirMm) return 'freely';
  return hammeredMm(stackMm, construction) <= highLiftMm - hammeredAirMm
    ? 'with-care'
    : 'will-not-pass';
}
