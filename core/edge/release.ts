import { swingEveryMm } from './swing';

/**
 * Between two clips the fold runs straight, and may miss the curve by so much, mm. Starting guess.
 */
export const missesCurveMm = 0.5;
/** A clip stops so far from the line that holds, mm. Source: craft practice. */
export const clipStopsShortMm = 2;

/** Cuts into an allowance that is too short, or too full, for where it lands. */
export interface ReleaseCuts {
  /** Clips open; notches take a wedge away. */
  readonly kind: 'clips' | 'notches';
  readonly everyMm: number;
  /** How long each is, from the raw edge. */
  readonly longMm: number;
  /** How far each opens, or how wide it is cut, at the raw edge. */
  readonly opensMm: number;
}

/**
 * Clips round a hole, notches round the cloth: so close that the fold between two of them misses
 * the curve by half a millimetre at most, and so long that they never reach the line that holds.
 * Between two that are c apart the raw edge is 2·D·c/R shorter or longer than where it lands.
 * Source: docs/formulas.md, “Clips and notches”.
 *
 * @param radiusMm of the edge, > 0
 * @param turnedMm how far the allowance is turned, mm
 */
export function releaseCuts(
  radiusMm: number,
  turnedMm: number,
  side: 'inside' | 'outside',
): ReleaseCuts {
  const everyMm = swingEveryMm(radiusMm, missesCurveMm);
  return {
    kind: side === 'inside' ? 'clips' : 'notches',
    everyMm,
    longMm: Math.max(0, turnedMm - clipStopsShortMm),
    opensMm: (2 * turnedMm * everyMm) / radiusMm,
  };
}
