/** Levelling plates laid on one another. */
export interface PlateStack {
  /** Thickest first. */
  readonly platesMm: readonly number[];
  readonly heightMm: number;
}

/** More plates than this are in no drawer, and more of them slide apart. */
export const mostPlates = 8;

/**
 * The plates one owns that come nearest to a height together, fewest first where two stacks are as
 * near: every choice of at most eight plates is tried.
 *
 * @param ownedMm how thick each plate is; two of a kind are named twice
 * @returns null where one owns none, or none at all is nearer than any of them
 */
export function platesFor(heightMm: number, ownedMm: readonly number[]): PlateStack | null {
  const plates = ownedMm.slice(0, mostPlates);
  let best: PlateStack = { platesMm: [], heightMm: 0 };
  const off = (stack: PlateStack) => Math.abs(stack.heightMm - heightMm);
  for (let chosen = 1; chosen < 2 ** plates.length; chosen++) {
    const platesMm = plates.filter((_, i) => chosen & (1 << i)).sort((a, b) => b - a);
    const stack = { platesMm, heightMm: platesMm.reduce((sum, mm) => sum + mm, 0) };
    const nearer = off(stack) < off(best) - 1e-9;
    const fewer =
      Math.abs(off(stack) - off(best)) <= 1e-9 && platesMm.length < best.platesMm.length;
    if (nearer || fewer) best = stack;
  }
  return best.platesMm.length > 0 ? best : null;
}
