/**
 * How often to let the cloth swing in a curve: sewn along a guide without letting go, a line leaves
 * a curve of radius R by ℓ²/(8R) between two places where it was right; ℓ = √(8·R·m).
 * Source: docs/formulas.md, “Curves under the hand”.
 *
 * @param radiusMm the tightest curve, > 0
 * @param sideMm the smaller side of the margin, > 0
 * @example swingEveryMm(70, 0.7) // 19.8
 */
export function swingEveryMm(radiusMm: number, sideMm: number): number {
  return Math.sqrt(8 * radiusMm * sideMm);
}
