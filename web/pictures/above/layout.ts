import type { Point } from '../../../core/edge/course';

/** What a patch of a picture from above is. */
export type AreaKind = 'garment' | 'hem' | 'allowance' | 'cut-off';
/** What a line of it is. */
export type LineKind =
  | 'landing'
  | 'finished'
  | 'raw'
  | 'crease'
  | 'seam'
  | 'under'
  | 'mitre'
  | 'side';

/** Words beside a place, by what they are and the length they tell. */
export interface Note {
  readonly at: Point;
  readonly kind:
    | 'length'
    | 'mark'
    | 'seam'
    | 'curve'
    | 'snip'
    | 'double'
    | 'leg'
    | 'start'
    | 'out'
    | 'in';
  /** What is told: a length, a number of a seam, a name. */
  readonly mm?: number;
  readonly name?: string;
}

/** An edge from above in millimetres, y upwards: what is drawn, without how. */
export interface AboveLayout {
  readonly areas: readonly { readonly kind: AreaKind; readonly points: readonly Point[] }[];
  readonly lines: readonly {
    readonly kind: LineKind;
    readonly points: readonly Point[];
    readonly closed?: boolean;
  }[];
  readonly notes: readonly Note[];
}

/** What a layout is made of, beside the edge. */
export interface Turned {
  /** How deep the hem lands above the finished edge; 0 where nothing is turned up. */
  readonly depthMm: number;
  /** Cloth beyond the finished edge; negative where some is cut off. */
  readonly allowanceMm: number;
}

/** The frame round everything that is drawn, mm. */
export function boundsOf({ areas, lines, notes }: AboveLayout) {
  const points = [
    ...areas.flatMap((area) => area.points),
    ...lines.flatMap((line) => line.points),
    ...notes.map(({ at }) => at),
  ];
  const xs = points.map(({ xMm }) => xMm);
  const ys = points.map(({ yMm }) => yMm);
  return {
    leftMm: Math.min(...xs),
    rightMm: Math.max(...xs),
    bottomMm: Math.min(...ys),
    topMm: Math.max(...ys),
  };
}
