import { turnRadians, type ShapedEdge } from './shape';

/** What decides how tightly an edge curves. */
export interface CurvedEdge extends ShapedEdge {
  readonly lengthMm: number;
  /** Tightest curve; null for a straight edge, or one whose turn says how round it is. */
  readonly minRadiusMm: number | null;
}

const tighter = (...radii: readonly (number | null)[]): number | null => {
  const known = radii.filter((mm) => mm !== null);
  return known.length > 0 ? Math.min(...known) : null;
};

/** The radius an edge curves outward with; null where it does not. */
export function outwardRadiusMm(edge: CurvedEdge): number | null {
  const turn = turnRadians(edge);
  if (turn >= 0 && edge.shape !== 'outside-curve') return null;
  return tighter(edge.minRadiusMm, turn < 0 ? edge.lengthMm / -turn : null);
}

/**
 * The radius that the sums go by: the one that was measured, and for a circle of which nobody
 * measured one its own, ℓ/(2πf). Source: docs/formulas.md, “Shapes”.
 */
export function ridingRadiusMm(edge: CurvedEdge): number | null {
  if (edge.minRadiusMm !== null || edge.shape !== 'circle') return edge.minRadiusMm;
  return tightestRadiusMm(edge);
}

/** The tightest curve of an edge, whichever way it turns; null for a straight one. */
export function tightestRadiusMm(edge: CurvedEdge): number | null {
  const turn = Math.abs(turnRadians(edge));
  return tighter(edge.minRadiusMm, turn > 0 ? edge.lengthMm / turn : null);
}
