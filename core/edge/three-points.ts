/**
 * The radius of a curve through three of its points, two ends and its middle: what one measures with
 * a ruler laid straight across, R = c²/(8h) + h/2. Plane geometry.
 *
 * @param acrossMm straight from one end of the curve to the other, > 0
 * @param riseMm from the middle of that line to the curve, > 0
 * @example radiusOfRiseMm(100, 20) // 72.5
 */
export const radiusOfRiseMm = (acrossMm: number, riseMm: number): number =>
  acrossMm ** 2 / (8 * riseMm) + riseMm / 2;
