/**
 * The least radius of an outside corner that a strip lies round without a pleat. Its inner fold is
 * at R − F where its outer one is at R, so that it has to draw in by F/R: no more than it eases.
 * R = F / q, q = e / (1 + e) with e what the strip gives. Source: docs/formulas.md, “Strips”.
 *
 * @param depthMm F, the width of the binding, mm
 * @param givesPercent what the strip gives along its length: on the bias about 20, satin about 5
 * @returns mm; infinite for a strip that gives nothing
 * @example leastCornerRadiusMm(8, 20) // 48
 */
export function leastCornerRadiusMm(depthMm: number, givesPercent: number): number {
  const gives = givesPercent / 100;
  return gives > 0 ? (depthMm * (1 + gives)) / gives : Infinity;
}

/**
 * What rounding a square corner takes off the edge, mm: 2R − πR/2 for a quarter turn.
 *
 * @param turnRadians how far the edge turns there
 */
export const shorterByRoundingMm = (radiusMm: number, turnRadians: number): number =>
  radiusMm * (2 * Math.tan(turnRadians / 2) - turnRadians);
