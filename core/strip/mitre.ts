import type { OnCloth } from './piece';

/** A place at a corner, mm: the corner is the origin, the first side comes from the left. */
type Place = OnCloth;

/** What a surface in the picture of a corner is. */
export type CornerPart = 'cloth' | 'binding' | 'opened' | 'fold-under';

/** A surface as it lies, from the face that is looked at. */
export interface CornerShape {
  readonly part: CornerPart;
  readonly points: readonly Place[];
}

/** One step of turning a corner with a binding, as it looks from one face. */
export interface CornerStage {
  readonly id:
    | 'sewn-to-end'
    | 'opened'
    | 'mitre-back'
    | 'mitre-front'
    | 'snug'
    | 'line-down'
    | 'closed';
  readonly face: 'front' | 'back';
  readonly shapes: readonly CornerShape[];
  /** Stitching, from where to where. */
  readonly seams: readonly (readonly [Place, Place])[];
  /** A crease that is made in this step. */
  readonly crease: readonly [Place, Place] | null;
}

/** A corner that a binding goes round. */
export interface CornerAsked {
  /** F, each face of the binding, mm. */
  readonly depthMm: number;
  /** Inside the cloth, degrees. */
  readonly angleDegrees: number;
  /** From the inner fold to the stitching, mm. */
  readonly fromFoldMm: number;
  /** How much of each side is shown, mm. */
  readonly shownMm: number;
}

/** Where a binding's inner folds meet at a mitre, seen from its corner. */
export interface Mitre {
  /** mm from the corner. */
  readonly lengthMm: number;
  readonly inner: Place;
}

/**
 * The mitre of a corner: along its bisector from the corner to where the inner folds meet,
 * F / sin(θ/2) long. It takes no length beyond the perimeter: what each face lacks on one side is
 * folded under on the other. Source: docs/formulas.md, “Strips”.
 *
 * @example mitreOf({ depthMm: 50, angleDegrees: 90 }).lengthMm // 70.7
 */
export function mitreOf({
  depthMm,
  angleDegrees,
}: Pick<CornerAsked, 'depthMm' | 'angleDegrees'>): Mitre {
  const half = (angleDegrees * Math.PI) / 360;
  return {
    lengthMm: depthMm / Math.sin(half),
    inner: [-depthMm / Math.tan(half), depthMm],
  };
}

const plus = ([x, y]: Place, [dx, dy]: Place, times: number): Place => [
  x + dx * times,
  y + dy * times,
];
/** As it is seen from the other face. */
const over = ([x, y]: Place): Place => [-x, y];

/** A place mirrored in the line through the corner along a direction. */
function mirrored([x, y]: Place, [dx, dy]: Place): Place {
  const along = 2 * (x * dx + y * dy);
  return [along * dx - x, along * dy - y];
}

/**
 * The corner of a bound edge, step by step and from both faces: sewn to the end of one side; turned
 * over and the binding opened; the mitre folded at the back, then at the front; snug up to it and
 * along the next side; a line down the mitre.
 */
export function cornerStages(asked: CornerAsked): CornerStage[] {
  const { depthMm, angleDegrees, fromFoldMm, shownMm } = asked;
  const { inner, lengthMm } = mitreOf(asked);
  const turn = Math.PI - (angleDegrees * Math.PI) / 180;
  const next: Place = [Math.cos(turn), Math.sin(turn)];
  /** Into the cloth from the second side. */
  const inward: Place = [-next[1], next[0]];
  const corner: Place = [0, 0];
  const from: Place = [-shownMm, 0];
  const end = plus(corner, next, shownMm);
  const cloth: CornerShape = {
    part: 'cloth',
    points: [from, corner, end, plus(end, [-1, 0], shownMm)],
  };
  const bisector: Place = [inner[0] / lengthMm, inner[1] / lengthMm];
  const square: CornerShape = {
    part: 'binding',
    points: [from, corner, [0, depthMm], [-shownMm, depthMm]],
  };
  const loose = shownMm * 0.6;
  const opened: CornerShape = {
    part: 'opened',
    points: [
      [0, -depthMm],
      [loose, -depthMm],
      [loose, depthMm],
      [0, depthMm],
    ],
  };
  const first: CornerShape = {
    part: 'binding',
    points: [from, corner, inner, [-shownMm, depthMm]],
  };
  const second: CornerShape = {
    part: 'binding',
    points: [corner, end, plus(end, inward, depthMm), inner],
  };
  // What lay square beyond the mitre is folded under it.
  const under: CornerShape = {
    part: 'fold-under',
    points: [corner, mirrored([0, depthMm], bisector), inner],
  };
  const seamAt = depthMm - fromFoldMm;
  const seam: readonly [Place, Place] = [
    [-shownMm, seamAt],
    [0, seamAt],
  ];
  const meets = plus(corner, bisector, (lengthMm * seamAt) / depthMm);
  const mitred: readonly [Place, Place] = [[-shownMm, seamAt], meets];
  const onward: readonly [Place, Place] = [meets, plus(plus(end, inward, seamAt), [0, 0], 0)];
  const down: readonly [Place, Place] = [corner, inner];
  const turned = (stage: CornerStage): CornerStage => ({
    ...stage,
    shapes: stage.shapes.map((shape) => ({ ...shape, points: shape.points.map(over) })),
    seams: stage.seams.map(([a, b]) => [over(a), over(b)] as const),
    crease: stage.crease && [over(stage.crease[0]), over(stage.crease[1])],
  });
  const back = 'back' as const;
  const front = 'front' as const;
  return [
    { id: 'sewn-to-end', face: front, shapes: [cloth, square], seams: [seam], crease: null },
    turned({
      id: 'opened',
      face: back,
      shapes: [cloth, square, opened],
      seams: [seam],
      crease: null,
    }),
    turned({
      id: 'mitre-back',
      face: back,
      shapes: [cloth, second, under, first],
      seams: [mitred],
      crease: down,
    }),
    {
      id: 'mitre-front',
      face: front,
      shapes: [cloth, first, under, second],
      seams: [mitred],
      crease: down,
    },
    {
      id: 'snug',
      face: front,
      shapes: [cloth, first, second],
      seams: [mitred, onward],
      crease: null,
    },
    {
      id: 'line-down',
      face: front,
      shapes: [cloth, first, second],
      seams: [mitred, onward, down],
      crease: null,
    },
    turned({
      id: 'closed',
      face: back,
      shapes: [cloth, first, second],
      seams: [mitred, onward, down],
      crease: null,
    }),
  ];
}
