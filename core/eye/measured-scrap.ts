import type { Fault } from '../margin/check';
import type { OtherLength } from './other-length';

/** One find on a scrap. */
export interface MeasuredStitch {
  readonly kind: 'bite' | 'run' | 'swing' | 'line';
  /** From the window’s upper left corner, mm. */
  readonly atMm: readonly [xMm: number, yMm: number];
  /** The value of the counted check: how deep a bite goes, how far a line lies from its edge. */
  readonly depthMm: number | null;
  /** How far that may be off, one spread, mm. */
  readonly depthSpreadMm: number | null;
  readonly fault: Fault | null;
  /** How sure it is that it is judged rightly, 0 … 1. */
  readonly sure: number;
  /** Whether it is one of those that are counted. */
  readonly counted: boolean;
}

/** How a raw edge lies beside what is sewn over it. */
export interface SeenEdge {
  /** How much longer it is than the straight line from its one end to its other, as a share. */
  readonly longerShare: number;
  /** Threads of the cloth that stick out beyond the stitches: where each ends in the window, and how far out. */
  readonly whiskers: readonly {
    readonly atMm: readonly [xMm: number, yMm: number];
    readonly beyondMm: number;
  }[];
}

/** What a picture of one face of a scrap tells. */
export interface MeasuredScrap {
  readonly stitches: readonly MeasuredStitch[];
  /** Null where the face shows nothing that the check could be judged by. */
  readonly counts: {
    readonly check: string;
    readonly n: number;
    readonly short: number;
    readonly over: number;
  } | null;
  readonly lengthMm: { readonly mean: number; readonly sd: number };
  /** From the outermost holes on one side to those on the other; null for a line. */
  readonly widthMm: number | null;
  /** The line it was measured from, from place to place in the window. */
  readonly reference: readonly (readonly [number, number])[] | null;
  /** The raw edge that was sewn over; null for any other stitch. */
  readonly edge: SeenEdge | null;
  /** How plainly its thread stands out: so many times what it must at least, 1 or more. */
  readonly plain: number;
  /** How likely it was sewn with another stitch length than is set; null where that would be seen. */
  readonly otherLength: OtherLength | null;
  /** How sure it is that the counts are right to within one, 0 … 1. */
  readonly sure: number;
}
