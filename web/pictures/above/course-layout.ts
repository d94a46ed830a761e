import { parallel, placeAt, placesOf, type Place, type Point } from '../../../core/edge/course';
import type { CurvedEdge } from '../../../core/edge/curve';
import type { EdgeForm } from '../../../core/edge/form';
import { courseOf } from '../../../core/edge/form-course';
import { mitreOf } from '../../../core/edge/mitre';
import type { Crossing } from '../../../core/seam/crossing';
import type { AboveLayout, Note, Turned } from './layout';

export type DrawnEdge = CurvedEdge & {
  readonly form: EdgeForm | null;
  readonly crossings: readonly Crossing[];
};

/** So much garment is drawn above the hem, a share of the whole; more would make the hem small. */
const garmentShare = 0.06;

const at = (place: Place, inMm: number): Point => ({
  xMm: place.xMm + place.inXMm * inMm,
  yMm: place.yMm + place.inYMm * inMm,
});

/** A closed line's end is its beginning, to the point. */
const joined = (points: readonly Point[], closed: boolean): readonly Point[] =>
  closed ? points.slice(0, -1) : points;

/** An open edge lies with its two ends level, the cloth above. */
export function levelled(places: readonly Place[]): Place[] {
  const last = places.at(-1);
  const angle = last ? Math.atan2(last.yMm, last.xMm) : 0;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const turned = (x: number, y: number) => [x * cos + y * sin, y * cos - x * sin] as const;
  return places.map((place) => {
    const [xMm, yMm] = turned(place.xMm, place.yMm);
    const [inXMm, inYMm] = turned(place.inXMm, place.inYMm);
    return { ...place, xMm, yMm, inXMm, inYMm };
  });
}

/** The sewing lines of a mitre, from the finished corner to both raw edges. */
function mitreLines(
  corner: Place,
  before: Place,
  after: Place,
  allowanceMm: number,
  angle: number,
) {
  const { alongSideMm } = mitreOf({ allowanceMm, angleDegrees: angle });
  const towards = (other: Place): Point[] => {
    const length = Math.hypot(other.xMm - corner.xMm, other.yMm - corner.yMm) || 1;
    const [ex, ey] = [(other.xMm - corner.xMm) / length, (other.yMm - corner.yMm) / length];
    // Away from the cloth: the side of the line on which the corner's inner direction is not.
    const out = corner.inXMm * -ey + corner.inYMm * ex > 0 ? -1 : 1;
    return [
      { xMm: corner.xMm, yMm: corner.yMm },
      {
        xMm: corner.xMm + ex * alongSideMm + out * -ey * allowanceMm,
        yMm: corner.yMm + ey * alongSideMm + out * ex * allowanceMm,
      },
    ];
  };
  return [towards(before), towards(after)];
}

function mitres({ form }: DrawnEdge, places: readonly Place[], allowanceMm: number) {
  if (form?.kind !== 'cornered' || allowanceMm <= 0) return [];
  const corners = form.sides.map((_, i) =>
    placeAt(
      places,
      form.sides.slice(0, i + 1).reduce((sum, side) => sum + side.lengthMm, 0),
    ),
  );
  return form.sides.flatMap(({ mitred, angleDegrees }, i) => {
    const before = i > 0 ? corners[i - 1] : places[0];
    const after = corners[(i + 1) % corners.length];
    const corner = corners[i];
    return mitred && corner && before && after
      ? mitreLines(corner, before, after, allowanceMm, angleDegrees)
      : [];
  });
}

/** An edge that is drawn as it runs: straight, curved, round or with corners. */
export function courseLayout(edge: DrawnEdge, { depthMm, allowanceMm }: Turned): AboveLayout {
  const course = courseOf(edge);
  const { closed } = course;
  const places = closed ? placesOf(course) : levelled(placesOf(course));
  const turn = course.pieces.reduce((sum, it) => sum + it.bendRadians + it.cornerRadians, 0);
  // A hem deeper than its curve would turn inside out; it is drawn as deep as it can be.
  const deepest = 0.95 * (edge.minRadiusMm ?? Infinity);
  const depth = Math.min(depthMm, turn > 0 ? deepest : Infinity);
  const garment = Math.max(depth * 1.5, edge.lengthMm * garmentShare);
  const top = Math.min(depth + garment, turn > 0 ? Math.max(depth, deepest) : Infinity);
  const line = (inMm: number) => parallel(places, inMm);
  const band = (from: number, to: number) => [...line(from), ...line(to).reverse()];
  const whole = closed && turn > 0;
  const notes: Note[] = [
    ...edge.crossings.map(({ atMm }, i): Note => ({
      ...{ kind: 'seam', name: String(i + 1), mm: atMm },
      at: at(placeAt(places, atMm), -allowanceMm),
    })),
    ...(edge.form?.kind === 'curved'
      ? edge.form.curves.flatMap(({ fromMm, toMm, radiusMm }): Note[] => [
          { kind: 'mark', mm: fromMm, at: at(placeAt(places, fromMm), -allowanceMm) },
          { kind: 'curve', mm: radiusMm, at: at(placeAt(places, (fromMm + toMm) / 2), top) },
          { kind: 'mark', mm: toMm, at: at(placeAt(places, toMm), -allowanceMm) },
        ])
      : edge.minRadiusMm !== null && Math.abs(turn) > 0.05
        ? [
            {
              kind: 'curve' as const,
              mm: edge.minRadiusMm,
              at: at(placeAt(places, edge.lengthMm / 4), top),
            },
          ]
        : []),
    ...(edge.form?.kind === 'cornered'
      ? edge.form.sides.map(({ lengthMm }, i): Note => {
          const start = edge.form?.kind === 'cornered' ? sumBefore(edge.form.sides, i) : 0;
          return {
            ...{ kind: 'length', mm: lengthMm },
            at: at(placeAt(places, start + lengthMm / 2), -allowanceMm),
          };
        })
      : [
          {
            ...{ kind: 'length' as const, mm: edge.lengthMm },
            at: at(placeAt(places, edge.lengthMm / 2), -allowanceMm),
          },
        ]),
    { kind: 'start', at: at(placeAt(places, startMm(edge)), top) },
  ];
  return {
    areas: [
      {
        kind: 'garment',
        points: whole ? joined(line(depth), true) : band(depth, top),
      },
      ...(depth > 0 ? [{ kind: 'hem' as const, points: band(0, depth) }] : []),
      ...(allowanceMm === 0
        ? []
        : [
            {
              kind: allowanceMm > 0 ? ('allowance' as const) : ('cut-off' as const),
              points: band(0, -Math.abs(allowanceMm)),
            },
          ]),
    ],
    lines: [
      ...(depth > 0 ? [{ kind: 'landing' as const, points: line(depth), closed }] : []),
      { kind: 'finished', points: line(0), closed },
      ...(allowanceMm === 0
        ? []
        : [{ kind: 'raw' as const, points: line(-Math.abs(allowanceMm)), closed }]),
      ...mitres(edge, places, allowanceMm).map((points) => ({ kind: 'mitre' as const, points })),
      ...edge.crossings.map(({ atMm }) => {
        const place = placeAt(places, atMm);
        return { kind: 'seam' as const, points: [at(place, -allowanceMm), at(place, top)] };
      }),
    ],
    notes,
  };
}

const sumBefore = (sides: readonly { lengthMm: number }[], i: number) =>
  sides.slice(0, i).reduce((sum, side) => sum + side.lengthMm, 0);

/** Where one begins: in the middle of a side where there are corners, else where the edge does. */
const startMm = (edge: DrawnEdge): number =>
  edge.form?.kind === 'cornered' ? (edge.form.sides[0]?.lengthMm ?? 0) / 2 : 0;
