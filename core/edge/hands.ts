import type { CurvedEdge } from './curve';
import { tightestRadiusMm } from './curve';
import type { EdgeForm } from './form';
import { isClosed } from './shape';
import { swingEveryMm } from './swing';

/** A place along an edge where the hands do something that no seam asks for. */
export interface HandZone {
  readonly kind: 'curve' | 'corner';
  readonly fromMm: number;
  /** The same as where it begins at a corner. */
  readonly toMm: number;
  /** How often to let the cloth swing in a curve; null where no margin is worked out. */
  readonly everyMm: number | null;
}

/**
 * Curves and corners along an edge: each by where it begins and ends, where that was measured; else
 * the tightest radius for the whole edge. Source: docs/formulas.md, “Curves under the hand”.
 *
 * @param sideMm the smaller side of the margin; null where none is worked out
 */
export function handZones(
  edge: CurvedEdge & { readonly form: EdgeForm | null },
  sideMm: number | null,
): HandZone[] {
  const { form, lengthMm } = edge;
  const every = (radiusMm: number) =>
    sideMm !== null && sideMm > 0 ? swingEveryMm(radiusMm, sideMm) : null;
  if (form?.kind === 'curved') {
    return form.curves.map(({ fromMm, toMm, radiusMm }) => ({
      ...{ kind: 'curve', fromMm, toMm },
      everyMm: every(radiusMm),
    }));
  }
  if (form?.kind === 'cornered') {
    let at = 0;
    const corners = form.sides.map((side): HandZone => {
      at += side.lengthMm;
      return { kind: 'corner', fromMm: at, toMm: at, everyMm: null };
    });
    // An edge that lies open ends where its last side does.
    return isClosed(edge) ? corners : corners.slice(0, -1);
  }
  const radiusMm = tightestRadiusMm(edge);
  return radiusMm === null
    ? []
    : [{ kind: 'curve', fromMm: 0, toMm: lengthMm, everyMm: every(radiusMm) }];
}
