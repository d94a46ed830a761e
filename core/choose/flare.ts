import type { Cloth } from '../cloth/cloth';
import { deepestHemMm, easedShare, fullnessShare, pressedAwayShare } from '../fold/fullness';
import { turnRadians } from '../plan/edge-shape';
import type { ChosenEdge } from './request';

/** The radius an edge curves outward with; null where it does not. */
export function outwardRadiusMm(edge: ChosenEdge): number | null {
  const turn = turnRadians(edge);
  if (turn >= 0 && edge.shape !== 'outside-curve') return null;
  const byTurn = turn < 0 ? edge.lengthMm / -turn : null;
  const both = [edge.minRadiusMm, byTurn].filter((mm) => mm !== null);
  return both.length > 0 ? Math.min(...both) : null;
}

/** The tightest curve of an edge, whichever way it turns; null for a straight one. */
export function tightestRadiusMm(edge: ChosenEdge): number | null {
  const turn = Math.abs(turnRadians(edge));
  const byTurn = turn > 0 ? edge.lengthMm / turn : null;
  const both = [edge.minRadiusMm, byTurn].filter((mm) => mm !== null);
  return both.length > 0 ? Math.min(...both) : null;
}

/** How a hem of a depth lies on a flared edge. */
export interface Flare {
  readonly share: number;
  readonly way: 'pressed' | 'eased' | 'too full';
  /** The deepest that can still be eased in, whole millimetres. */
  readonly deepestMm: number;
}

/** Source: docs/formulas.md, “Shapes”. */
export function flareOf(radiusMm: number, depthMm: number, { construction }: Cloth): Flare {
  const share = fullnessShare(radiusMm, depthMm);
  const way =
    share <= pressedAwayShare[construction]
      ? 'pressed'
      : share <= easedShare
        ? 'eased'
        : 'too full';
  return { share, way, deepestMm: Math.floor(deepestHemMm(radiusMm, easedShare)) };
}
