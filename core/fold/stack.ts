/** Starting guess: how far layers give when pressed and under the foot. */
export const pressedShare = 0.7;

/**
 * Height of a stack of layers under the foot, mm.
 * Source: craft practice, docs/formulas.md “Folds”.
 */
export function stackMm(layers: number, thicknessMm: number): number {
  return layers * thicknessMm * pressedShare;
}
