import { layersAt, type Stack } from './layer';

/** Starting guess: how far layers give when pressed and under the foot. */
export const pressedShare = 0.7;

/**
 * Height of a stack of layers under the foot, mm.
 * Source: craft practice, docs/formulas.md “Folds”.
 */
export function stackMm(layers: number, thicknessMm: number): number {
  return layers * thicknessMm * pressedShare;
}

/** The same for a stack as it lies, at one place across it. */
export function stackAtMm(stack: Stack, xMm: number): number {
  const heights = layersAt(stack, xMm).map(({ thicknessMm }) => thicknessMm);
  return heights.reduce((sum, heightMm) => sum + heightMm, 0) * pressedShare;
}

/** How a seam that crosses the edge was made, and what it multiplies the layers by. */
export const crossingLayers = { none: 1, open: 2, oneSide: 3, felled: 4, french: 5 } as const;
export type CrossingKind = keyof typeof crossingLayers;
