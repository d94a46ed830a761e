import type { Cloth } from '../cloth/cloth';
import { easedShare, fullnessShare, pressedAwayShare } from '../fold/fullness';
import { outwardRadiusMm, tightestRadiusMm, type CurvedEdge } from './curve';
import { flareOf, wayOf } from './flare';
import { tapersOf, type EdgeForm } from './form';
import { turnRadians } from './shape';
import { deepestUntaperedMm, type Taper } from './taper';

/** How the raw edge of a turned-up hem fits where it lands. */
export type Fullness =
  | { readonly kind: 'fits' }
  /** It is longer, by a share: pressed away, eased, or too much to ease. */
  | {
      readonly kind: 'full';
      readonly share: number;
      readonly way: 'pressed' | 'eased' | 'too full';
      /** Of the flare; null where a leg widens towards its raw edge. */
      readonly radiusMm: number | null;
      /** The deepest turn that can still be eased in here, mm, not yet rounded. */
      readonly deepestMm: number;
    }
  /** Round a hole it is shorter, and has to be clipped or stretched. */
  | { readonly kind: 'short'; readonly share: number; readonly radiusMm: number };

/** An edge as far as a turn on it fits or does not. */
export type FittedEdge = CurvedEdge & { readonly form?: EdgeForm | null | undefined };
type Made = Pick<Cloth, 'construction'>;

function fullOn(radiusMm: number, depthMm: number, cloth: Made): Fullness {
  return { kind: 'full', radiusMm, ...flareOf(radiusMm, depthMm, cloth) };
}

/** Round a hole; it fits where what is missing presses away. */
function shortRound(radiusMm: number, depthMm: number, { construction }: Made): Fullness {
  const share = -fullnessShare(radiusMm, -depthMm);
  return share > pressedAwayShare[construction]
    ? { kind: 'short', share, radiusMm }
    : { kind: 'fits' };
}

/** A leg that is wider at its raw edge than where that lands; one that is narrower is let out. */
function fullLeg(form: Taper, depthMm: number, { construction }: Made): Fullness {
  const share = form.rawFlatMm / form.landingFlatMm - 1;
  if (share <= 0) return { kind: 'fits' };
  return {
    ...{ kind: 'full', share, radiusMm: null },
    way: wayOf(share, depthMm, construction),
    deepestMm: deepestUntaperedMm(form, depthMm, easedShare),
  };
}

/** What fits, or presses away, is no trouble; what can be eased is less of it than what is cut into. */
const severity = (it: Fullness): number => {
  if (it.kind === 'full') return { pressed: 0, eased: 1, 'too full': 3 }[it.way];
  return it.kind === 'short' ? 2 : 0;
};

/**
 * How a turn of a depth fits at each different place of an edge: on a measured one in its tightest
 * curve of either hand, the worse first; never empty. The one place that says so, for the edge
 * station, the steps and the choosing alike. Source: docs/formulas.md, “Shapes”.
 *
 * @param depthMm how deep it is turned, mm
 */
export function fullnessesOf(edge: FittedEdge, depthMm: number, cloth: Made): Fullness[] {
  const { form = null } = edge;
  if (form?.kind === 'taper') {
    const legs = tapersOf(form).map((leg) => fullLeg(leg, depthMm, cloth));
    return legs.sort((a, b) => severity(b) - severity(a));
  }
  if (form?.kind === 'curved') {
    const tightest = (side: 'outside' | 'inside') =>
      Math.min(...form.curves.filter((it) => it.side === side).map(({ radiusMm }) => radiusMm));
    const [outside, inside] = [tightest('outside'), tightest('inside')];
    const found = [
      ...(Number.isFinite(outside) ? [fullOn(outside, depthMm, cloth)] : []),
      ...(Number.isFinite(inside) ? [shortRound(inside, depthMm, cloth)] : []),
    ];
    return found.sort((a, b) => severity(b) - severity(a));
  }
  // A straight edge of which somebody gave a tightest curve is one that curves outward somewhere.
  const outward = outwardRadiusMm(edge) ?? (edge.shape === 'straight' ? edge.minRadiusMm : null);
  if (outward !== null) return [fullOn(outward, depthMm, cloth)];
  const inward = edge.shape === 'inside-curve' || turnRadians(edge) > 0;
  const radiusMm = inward ? tightestRadiusMm(edge) : null;
  return [radiusMm === null ? { kind: 'fits' } : shortRound(radiusMm, depthMm, cloth)];
}
