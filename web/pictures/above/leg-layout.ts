import type { Point } from '../../../core/edge/course';
import { tapersOf, type LegMarks } from '../../../core/edge/form';
import { slantMarks, slantTurn } from '../../../core/edge/slant';
import { taperShare, type Taper } from '../../../core/edge/taper';
import type { DrawnEdge } from './course-layout';
import type { AboveLayout, Note, Turned } from './layout';

/** Where the right leg lies beside the left one. */
export const rightLegAtMm = (flatWidthMm: number): number => flatWidthMm * 1.5;

const point = (xMm: number, yMm: number): Point => ({ xMm, yMm });

/** So much leg is drawn above the hem, a share of its width. */
const legShare = 0.55;

/** One leg or sleeve as it lies flat: x across from the front crease, y up. */
interface Leg {
  readonly name: 'left' | 'right' | null;
  readonly leftMm: number;
  /** Half the width at a height above the hemline's middle, mm. */
  halfWidthMm(heightMm: number): number;
  readonly widthMm: number;
  /** Height of the hemline at the two creases, from its middle. */
  readonly riseLeftMm: number;
  readonly riseRightMm: number;
}

function legLayout(leg: Leg, { depthMm, allowanceMm }: Turned, extra: AboveLayout): AboveLayout {
  const middle = leg.leftMm + leg.widthMm / 2;
  const topMm = Math.max(leg.riseLeftMm, leg.riseRightMm) + depthMm + leg.widthMm * legShare;
  const cos = leg.widthMm / Math.hypot(leg.widthMm, leg.riseRightMm - leg.riseLeftMm);
  /** The line so far above the finished edge, from crease to crease. */
  const across = (aboveMm: number): Point[] =>
    [-1, 1].map((side) => {
      const rise = side < 0 ? leg.riseLeftMm : leg.riseRightMm;
      const y = rise + aboveMm / cos;
      return point(middle + side * leg.halfWidthMm(y), y);
    });
  const band = (from: number, to: number) => [...across(from), ...across(to).reverse()];
  const top = [-1, 1].map((side) => point(middle + side * leg.halfWidthMm(topMm), topMm));
  const outer = Math.abs(allowanceMm);
  return {
    areas: [
      { kind: 'garment', points: [...across(depthMm), ...[...top].reverse()] },
      ...(depthMm > 0 ? [{ kind: 'hem' as const, points: band(0, depthMm) }] : []),
      ...(outer > 0
        ? [
            {
              kind: allowanceMm > 0 ? ('allowance' as const) : ('cut-off' as const),
              points: band(0, -outer),
            },
          ]
        : []),
      ...extra.areas,
    ],
    lines: [
      ...[0, 1].map((i) => ({
        kind: 'crease' as const,
        points: [across(-outer)[i]!, top[i]!],
      })),
      ...(depthMm > 0 ? [{ kind: 'landing' as const, points: across(depthMm) }] : []),
      { kind: 'finished', points: across(0) },
      ...(outer > 0 ? [{ kind: 'raw' as const, points: across(-outer) }] : []),
      ...extra.lines,
    ],
    notes: [
      ...(leg.name ? [{ kind: 'leg' as const, name: leg.name, at: point(middle, topMm) }] : []),
      ...extra.notes,
    ],
  };
}

const none: AboveLayout = { areas: [], lines: [], notes: [] };

/** The two seams of a leg on its creases lie over one another in its middle. */
const middleSeam = (leg: Leg, { depthMm, allowanceMm }: Turned): AboveLayout => {
  const middle = leg.leftMm + leg.widthMm / 2;
  const topMm = Math.max(leg.riseLeftMm, leg.riseRightMm) + depthMm + leg.widthMm * legShare;
  return {
    ...none,
    lines: [
      { kind: 'seam', points: [point(middle, -Math.max(0, allowanceMm)), point(middle, topMm)] },
    ],
  };
};

function slantedLeg(
  name: 'left' | 'right' | null,
  leftMm: number,
  flatWidthMm: number,
  marks: LegMarks,
  turned: Turned,
): AboveLayout {
  const rise = (marks.frontMm - marks.backMm) / 2;
  const leg: Leg = {
    ...{ name, leftMm, widthMm: flatWidthMm },
    halfWidthMm: () => flatWidthMm / 2,
    // What is longer hangs lower.
    ...{ riseLeftMm: -rise, riseRightMm: rise },
  };
  const slant = { ...marks, flatWidthMm };
  const { snipAt, doubleAt, snipOpensMm } = slantTurn(slant, turned.depthMm);
  const sideOf = (place: string | null) => (place === 'front-crease' ? 0 : 1);
  const crease = (place: string | null) => point(leftMm + sideOf(place) * flatWidthMm, 0);
  const notes: Note[] = slantMarks(slant).map(({ place, mm, acrossMm }) => ({
    ...{ kind: 'mark', name: place, mm },
    at: point(leftMm + acrossMm, -rise + (acrossMm / flatWidthMm) * 2 * rise),
  }));
  const cutY = (place: string | null) =>
    (sideOf(place) ? rise : -rise) - Math.max(0, turned.allowanceMm);
  if (snipAt) {
    notes.push({ kind: 'snip', mm: snipOpensMm, at: { ...crease(snipAt), yMm: cutY(snipAt) } });
  }
  if (doubleAt) {
    notes.push({
      kind: 'double',
      mm: snipOpensMm,
      at: { ...crease(doubleAt), yMm: cutY(doubleAt) },
    });
  }
  const seam = middleSeam(leg, turned);
  return legLayout(leg, turned, { ...seam, notes });
}

function taperedLeg(name: Leg['name'], leftMm: number, taper: Taper, turned: Turned): AboveLayout {
  const { rawFlatMm, landingFlatMm } = taper;
  const reach = Math.max(turned.depthMm, 1);
  const widthMm = (rawFlatMm + landingFlatMm) / 2;
  const slope = (landingFlatMm - rawFlatMm) / 2 / (2 * reach);
  const leg: Leg = {
    ...{ name, leftMm, widthMm, riseLeftMm: 0, riseRightMm: 0 },
    halfWidthMm: (height) => widthMm / 2 + slope * Math.max(-reach, Math.min(height, 4 * reach)),
  };
  const { letOutMm, takeInMm } = taperShare(taper);
  const middle = leftMm + widthMm / 2;
  const side = (sign: number): Point[] => [
    point(middle + sign * (leg.halfWidthMm(-reach) + letOutMm), -reach),
    point(middle + sign * (leg.halfWidthMm(reach) - takeInMm), reach),
  ];
  return legLayout(leg, turned, {
    areas: [],
    lines: [-1, 1].map((sign) => ({ kind: 'side' as const, points: side(sign) })),
    notes: [
      { kind: 'length', mm: rawFlatMm, at: point(middle, -reach) },
      { kind: 'length', mm: landingFlatMm, at: point(middle, reach) },
      ...(letOutMm > 0 ? [{ kind: 'out' as const, mm: letOutMm, at: side(1)[0]! }] : []),
      ...(takeInMm > 0 ? [{ kind: 'in' as const, mm: takeInMm, at: side(1)[1]! }] : []),
    ],
  });
}

/** A tube nobody measured further: half as wide as it is round, its seams where they lie. */
function plainTube(edge: DrawnEdge, turned: Turned): AboveLayout {
  const widthMm = edge.lengthMm / 2;
  const leg: Leg = {
    ...{ name: null, leftMm: 0, widthMm, riseLeftMm: 0, riseRightMm: 0 },
    halfWidthMm: () => widthMm / 2,
  };
  const topMm = turned.depthMm + widthMm * legShare;
  const bottomMm = -Math.max(0, turned.allowanceMm);
  const seams = edge.crossings.map(({ atMm }, i) => {
    const round = ((atMm % edge.lengthMm) + edge.lengthMm) % edge.lengthMm;
    const under = round > widthMm;
    return { under, i, atMm, x: under ? edge.lengthMm - round : round };
  });
  return legLayout(leg, turned, {
    areas: [],
    lines: seams.map(({ x, under }) => ({
      kind: under ? ('under' as const) : ('seam' as const),
      points: [point(x, bottomMm), point(x, topMm)],
    })),
    notes: [
      ...seams.map(({ x, i, atMm }): Note => ({
        ...{ kind: 'seam', name: String(i + 1), mm: atMm },
        at: point(x, bottomMm),
      })),
      { kind: 'length', mm: widthMm, at: point(widthMm / 2, bottomMm) },
    ],
  });
}

/** Whether an edge is drawn as a tube that lies flat. */
export const liesAsTube = ({ form, shape }: DrawnEdge): boolean =>
  form?.kind === 'slant' || form?.kind === 'taper' || (form === null && shape === 'tube');

/** A leg, a sleeve or another tube as it lies flat on the table; both legs where they differ. */
export function tubeLayout(edge: DrawnEdge, turned: Turned): AboveLayout {
  const { form } = edge;
  if (form?.kind === 'taper') {
    const legs = tapersOf(form);
    const apart = rightLegAtMm(Math.max(form.rawFlatMm, form.landingFlatMm));
    return together(
      legs.map((leg, i) =>
        taperedLeg(legs.length === 1 ? null : i === 0 ? 'left' : 'right', i * apart, leg, turned),
      ),
    );
  }
  if (form?.kind !== 'slant') return plainTube(edge, turned);
  const { flatWidthMm, left, right } = form;
  if (!right) return slantedLeg(null, 0, flatWidthMm, left, turned);
  return together([
    slantedLeg('left', 0, flatWidthMm, left, turned),
    slantedLeg('right', rightLegAtMm(flatWidthMm), flatWidthMm, right, turned),
  ]);
}

const together = (legs: readonly AboveLayout[]): AboveLayout => ({
  areas: legs.flatMap((leg) => leg.areas),
  lines: legs.flatMap((leg) => leg.lines),
  notes: legs.flatMap((leg) => leg.notes),
});
