/** A corner of a turned hem that is sewn as a mitre. */
export interface MitredCorner {
  /** Cloth beyond the finished edge on both sides, > 0. */
  readonly allowanceMm: number;
  /** The angle of the cloth at the corner, 0 < α < 180. */
  readonly angleDegrees: number;
}

export interface Mitre {
  /** From the raw corner along either raw edge to where the sewing line meets it. */
  readonly sewLineFromCornerMm: number;
  /** The same for the cut beside it; 0 where nothing is left to trim. */
  readonly trimFromCornerMm: number;
  /** How long the sewing line is, from the finished corner to a raw edge. */
  readonly seamMm: number;
  /** How far it reaches along the finished side, from the finished corner. */
  readonly alongSideMm: number;
  /** Where one folded raw edge crosses the other, still unfolded, from the raw corner: 2A/sin α. */
  readonly foldedCrossesAtMm: number;
}

/** The cut runs so far outside the sewing line, mm. Source: craft practice. */
export const trimmedBesideMm = 6;

/** Corners sharper or blunter than this are not mitred. */
export const mitreAngleBoundsDegrees = [20, 160] as const;

/**
 * A mitre for a turned hem. Its line runs from the finished corner to the place on each raw edge
 * that, turned in, comes to lie on the bisector, where the other one comes to lie too: 2A·cot(α/2)
 * from the raw corner, 2A at a right angle; it is trimmed 6 mm outside.
 * Source: docs/formulas.md, “Corners”.
 *
 * @example mitreOf({ allowanceMm: 28, angleDegrees: 90 }).sewLineFromCornerMm // 56
 */
export function mitreOf({ allowanceMm, angleDegrees }: MitredCorner): Mitre {
  const alpha = (angleDegrees * Math.PI) / 180;
  const alongSideMm = allowanceMm / Math.tan(alpha / 2);
  const sewLineFromCornerMm = 2 * alongSideMm;
  return {
    sewLineFromCornerMm,
    trimFromCornerMm: Math.max(0, sewLineFromCornerMm - trimmedBesideMm / Math.sin(alpha / 2)),
    seamMm: allowanceMm / Math.sin(alpha / 2),
    alongSideMm,
    foldedCrossesAtMm: (2 * allowanceMm) / Math.sin(alpha),
  };
}
