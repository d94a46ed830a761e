/**
 * How much longer a turned-up raw edge is than the place where it lands, on an outward curve.
 * (R + D)/(R − D) − 1. Source: docs/formulas.md, “Shapes”.
 *
 * @param radiusMm of the finished edge
 * @param depthMm turned up; negative on an inward curve, where the share is negative too
 * @returns a share, 0.03 for 3 %; Infinity when the hem is as deep as the radius or deeper
 */
export function fullnessShare(radiusMm: number, depthMm: number): number {
  return depthMm >= radiusMm ? Infinity : (radiusMm + depthMm) / (radiusMm - depthMm) - 1;
}

/**
 * The deepest hem whose fullness is still tolerated: D = R·q/(2 + q).
 * Source: docs/formulas.md, “Shapes”.
 *
 * @param toleratedShare q, e.g. 0.02
 */
export function deepestHemMm(radiusMm: number, toleratedShare: number): number {
  return (radiusMm * toleratedShare) / (2 + toleratedShare);
}

/** Starting guesses: fullness that presses away, by how the cloth is made; eased beyond that. */
export const pressedAwayShare = { woven: 0.02, sheer: 0.02, knit: 0.03, pile: 0.03, felted: 0.05 };
/** Starting guess: the most that an easing stitch takes in. */
export const easedShare = 0.06;
