import type { Cloth } from '../cloth/cloth';
import { fullnessShare, pressedAwayShare } from '../fold/fullness';
import { outwardRadiusMm, tightestRadiusMm, type CurvedEdge } from './curve';
import { flareOf } from './flare';
import { turnRadians } from './shape';

/** How the raw edge of a turned-up hem fits where it lands. */
export type Fullness =
  | { readonly kind: 'fits' }
  /** On a flare it is longer, by a share: pressed away, eased, or too much to ease. */
  | {
      readonly kind: 'full';
      readonly share: number;
      readonly way: 'pressed' | 'eased' | 'too full';
      readonly radiusMm: number;
      /** The deepest turn that can still be eased in here, mm, not yet rounded. */
      readonly deepestMm: number;
    }
  /** Round a hole it is shorter, and has to be clipped or stretched. */
  | { readonly kind: 'short'; readonly share: number; readonly radiusMm: number };

/**
 * Whether a turn of a depth is too full or too short where it lands: the one place that says so,
 * for the edge station, the steps and the choosing alike. Source: docs/formulas.md, “Shapes”.
 *
 * @param depthMm how deep it is turned, mm
 */
export function fullnessOf(
  edge: CurvedEdge,
  depthMm: number,
  cloth: Pick<Cloth, 'construction'>,
): Fullness {
  // A straight edge of which somebody gave a tightest curve is one that curves outward somewhere.
  const outward = outwardRadiusMm(edge) ?? (edge.shape === 'straight' ? edge.minRadiusMm : null);
  if (outward !== null) {
    const { share, way, deepestMm } = flareOf(outward, depthMm, cloth);
    return { kind: 'full', share, way, radiusMm: outward, deepestMm };
  }
  const inward = edge.shape === 'inside-curve' || turnRadians(edge) > 0;
  const radiusMm = inward ? tightestRadiusMm(edge) : null;
  if (radiusMm === null) return { kind: 'fits' };
  const share = -fullnessShare(radiusMm, -depthMm);
  return share > pressedAwayShare[cloth.construction]
    ? { kind: 'short', share, radiusMm }
    : { kind: 'fits' };
}
