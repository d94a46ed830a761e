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
  const way = wayOf(share, depthMm, construction);
  return { share, way, deepestMm: deepestEasedMm(radiusMm) };
}

/** Whether a fullness presses away, is eased in, or is too much, at a depth of turn. */
export const wayOf = (
  share: number,
  depthMm: number,
  construction: Cloth['construction'],
): Flare['way'] =>
  share <= pressedAwayShare[construction]
    ? 'pressed'
    : share <= mostEasedShare(depthMm)
      ? 'eased'
      : 'too full';

/**
 * The radius of an edge that is cut as a part of a circle: R = ℓ/(2πf).
 * Source: docs/formulas.md, “Shapes”.
 *
 * @param fraction of a circle, > 0; more than 1 where several circles are joined
 * @example radiusOfFractionMm(4400, 1) // 700.3
 */
export const radiusOfFractionMm = (lengthMm: number, fraction: number): number =>
  lengthMm / (2 * Math.PI * fraction);

/**
 * The radius of an edge that flares from one round to another: a cone unrolled is a ring, and the
 * wider round lies at R = h·wide/(wide − narrow).
 *
 * @param narrowMm round the hips, say; less than `wideMm`
 * @param wideMm round the hem
 * @param heightMm from one to the other along the cloth
 */
export const radiusOfConeMm = (narrowMm: number, wideMm: number, heightMm: number): number =>
  (heightMm * wideMm) / (wideMm - narrowMm);
