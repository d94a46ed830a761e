/**
 * How much longer an edge is after an allowance was cut off along it: a × the angle it turns
 * through. A closed inside edge (a neck, an armhole) turns through 2π whatever its shape.
 * Source: docs/formulas.md, “Shapes”.
 *
 * @param trimMm cut off; what is turned up on an outside edge counts as negative
 * @param turnRadians positive for an edge that curves around a hole, negative around the cloth
 */
export function lengthAfterTrimmingMm(
  lengthMm: number,
  trimMm: number,
  turnRadians: number,
): number {
  return lengthMm + trimMm * turnRadians;
}

/**
 * The longest thing that passes through a closed opening: its length and half the cloth's
 * stretch. Starting guess of the half: one does not pull a neckline to its very end.
 *
 * @param stretchPercent of the cloth round the opening
 */
export function passesOverMm(openingMm: number, stretchPercent: number): number {
  return openingMm * (1 + stretchPercent / 200);
}
