/**
 * Extra flat length that a half-round wrap takes, beyond lying flat on both sides of its core:
 * (π/2)(c + t) − (c + 2t). Source: docs/formulas.md, “Folds”.
 *
 * @param thicknessMm t, of the cloth that wraps
 * @param coreMm c, thickness of what it is wrapped around; 0 for a plain fold
 * @returns mm; a little below nothing for a plain fold, where the bend cuts the corner
 */
export function turnOfClothMm(thicknessMm: number, coreMm: number): number {
  return (Math.PI / 2) * (coreMm + thicknessMm) - (coreMm + 2 * thicknessMm);
}
