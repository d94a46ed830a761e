import type { Cloth } from '../cloth/cloth';
import { deepestHemMm, easedShare, fullnessShare, pressedAwayShare } from '../fold/fullness';

/** A turn this narrow is a bias turn on a curve, and eases in further, mm. Starting guess. */
export const narrowTurnMm = 6;
/** Starting guess: the most that a narrow bias turn takes in. */
export const easedNarrowShare = 0.12;

/** How a hem of a depth lies on a flared edge. */
export interface Flare {
  /** How much fuller the raw edge is than where it lands, a share. */
  readonly share: number;
  readonly way: 'pressed' | 'eased' | 'too full';
  /** The deepest that can still be eased in, mm, not yet rounded. */
  readonly deepestMm: number;
}

/** The fullness a turn of a depth takes in when it is eased, a share. */
export const mostEasedShare = (depthMm: number): number =>
  depthMm <= narrowTurnMm ? easedNarrowShare : easedShare;

/**
 * The deepest turn that can still be eased in round a curve. A narrow one eases further, so that a
 * curve which is too tight for an ordinary hem may still take a narrow one.
 */
export function deepestEasedMm(radiusMm: number): number {
  const ordinary = deepestHemMm(radiusMm, easedShare);
  return ordinary >= narrowTurnMm
    ? ordinary
    : Math.min(narrowTurnMm, deepestHemMm(radiusMm, easedNarrowShare));
}

/** Whether a hem's fullness presses away, is eased in, or is too much. Source: docs/formulas.md, “Shapes”. */
export function flareOf(
  radiusMm: number,
  depthMm: number,
  { construction }: Pick<Cloth, 'construction'>,
): Flare {
  const share = fullnessShare(radiusMm, depthMm);
  const way =
    share <= pressedAwayShare[construction]
      ? 'pressed'
      : share <= mostEasedShare(depthMm)
        ? 'eased'
        : 'too full';
  return { share, way, deepestMm: deepestEasedMm(radiusMm) };
}
