import { gapMm, placesOf, type Course, type Piece } from './course';
import { radiusOfConeMm, radiusOfFractionMm } from './flare';
import type { CorneredForm, CurvedForm, EdgeForm, FlareForm } from './form';
import { isClosed, turnRadians } from './shape';
import type { CurvedEdge } from './curve';

const straight = (lengthMm: number): Piece => ({ lengthMm, bendRadians: 0, cornerRadians: 0 });
const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** The radius of a flared edge, however it was measured. */
export function flareRadiusMm(form: FlareForm, lengthMm: number): number {
  if (form.by === 'fraction') return radiusOfFractionMm(lengthMm, form.fraction);
  return form.by === 'radius' ? form.radiusMm : radiusOfConeMm(form.hipMm, lengthMm, form.heightMm);
}

function curvedPieces({ curves }: CurvedForm, lengthMm: number): Piece[] {
  const pieces: Piece[] = [];
  let at = 0;
  for (const { fromMm, toMm, radiusMm, side } of [...curves].sort((a, b) => a.fromMm - b.fromMm)) {
    if (fromMm > at) pieces.push(straight(fromMm - at));
    const bend = (toMm - fromMm) / radiusMm;
    pieces.push({ ...straight(toMm - fromMm), bendRadians: side === 'outside' ? bend : -bend });
    at = toMm;
  }
  return at < lengthMm ? [...pieces, straight(lengthMm - at)] : pieces;
}

const corneredPieces = ({ sides }: CorneredForm): Piece[] =>
  sides.map(({ lengthMm, angleDegrees }) => ({
    ...straight(lengthMm),
    cornerRadians: Math.PI - radians(angleDegrees),
  }));

/** How an edge runs, as it lies flat; legs and sleeves are straight across. */
export function courseOf(edge: CurvedEdge & { readonly form: EdgeForm | null }): Course {
  const { form, lengthMm } = edge;
  const closed = isClosed(edge);
  if (form?.kind === 'cornered') return { pieces: corneredPieces(form), closed };
  if (form?.kind === 'curved') return { pieces: curvedPieces(form, lengthMm), closed: false };
  if (form?.kind === 'flare') {
    const bend = Math.min(lengthMm / flareRadiusMm(form, lengthMm), 2 * Math.PI);
    return { pieces: [{ ...straight(lengthMm), bendRadians: bend }], closed: bend >= 2 * Math.PI };
  }
  if (form) return { pieces: [straight(lengthMm)], closed: false };
  // Nobody measured more than the whole: the turn says how round it is.
  if (edge.shape === 'cornered') return { pieces: square(lengthMm), closed };
  const bend = -turnRadians(edge) + 0;
  const known = bend === 0 && edge.minRadiusMm !== null && edge.shape !== 'tube';
  const around = edge.shape === 'inside-curve' ? -1 : 1;
  const bendRadians = known ? (around * lengthMm) / edge.minRadiusMm : bend;
  const most = Math.max(-2 * Math.PI, Math.min(2 * Math.PI, bendRadians));
  return {
    pieces: [{ ...straight(lengthMm), bendRadians: most }],
    closed: Math.abs(most) >= 2 * Math.PI - 1e-9,
  };
}

/** Four equal sides, where somebody said corners and nothing of them. */
const square = (lengthMm: number): Piece[] =>
  [1, 2, 3, 4].map(() => ({ ...straight(lengthMm / 4), cornerRadians: Math.PI / 2 }));

/** How far a polygon's last corner lies from its first. */
export const cornersGapMm = (form: CorneredForm): number =>
  gapMm(placesOf({ pieces: corneredPieces(form), closed: true }));
