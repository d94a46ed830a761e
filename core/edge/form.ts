import type { Taper } from './taper';

/** One leg's two marks. */
export interface LegMarks {
  readonly frontMm: number;
  readonly backMm: number;
}

/** A stretch of an edge that curves. */
export interface CurveZone {
  readonly fromMm: number;
  readonly toMm: number;
  readonly radiusMm: number;
  /** Around the cloth, or around a hole. */
  readonly side: 'outside' | 'inside';
}

/** A side of an edge with corners, with the corner at its end. */
export interface Side {
  readonly lengthMm: number;
  /** The angle of the cloth. */
  readonly angleDegrees: number;
  readonly mitred: boolean;
}

export type TaperForm = { readonly kind: 'taper' } & Taper & {
    /** The other leg's widths; null or left out where both are the same. */
    readonly right?: Pick<Taper, 'rawFlatMm' | 'landingFlatMm'> | null | undefined;
  };
export interface SlantForm {
  readonly kind: 'slant';
  readonly flatWidthMm: number;
  readonly left: LegMarks;
  /** Null where both legs have the same marks. */
  readonly right: LegMarks | null;
}
export type FlareForm = { readonly kind: 'flare' } & (
  | { readonly by: 'fraction'; readonly fraction: number }
  | { readonly by: 'radius'; readonly radiusMm: number }
  | { readonly by: 'hip'; readonly hipMm: number; readonly heightMm: number }
);
export interface CurvedForm {
  readonly kind: 'curved';
  readonly curves: readonly CurveZone[];
}
export interface CorneredForm {
  readonly kind: 'cornered';
  readonly sides: readonly Side[];
}

/**
 * What is measured of an edge beyond how long it is; what follows from it (its radius, how far it
 * turns, how long it is all round) is worked out, and asked of nobody.
 */
export type EdgeForm = TaperForm | SlantForm | FlareForm | CurvedForm | CorneredForm;

/** Whether the length along the edge is asked beside a form; the others say it themselves. */
export const asksLength = ({ kind }: EdgeForm): boolean => kind === 'flare' || kind === 'curved';

/** Both legs of a taper, the left one first; one where they are the same. */
export const tapersOf = ({ kind: _kind, right, ...left }: TaperForm): readonly Taper[] =>
  right ? [left, { ...left, ...right }] : [left];
