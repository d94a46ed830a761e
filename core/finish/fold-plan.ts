import type { Stack } from '../fold/layer';
import type { FoldMark } from '../fold/mark';

/** One picture of the work: how the cloth lies by then, and where it was sewn. */
export interface FoldStage {
  readonly id: string;
  readonly title: string;
  readonly stack: Stack;
  /** Where the needle pierces, across the stack; empty before sewing. */
  readonly stitchesXMm: readonly number[];
  /** Thread wrapped around an edge, from outside it to the needle line. */
  readonly wrappedMm: readonly [from: number, to: number] | null;
  /** Loops of thread standing over the stitches, this high. */
  readonly loopsMm: number | null;
  /** Folds, by their place on the garment, that are opened again. */
  readonly temporaryAtMm: readonly number[];
}

/** A strip that is wrapped around the edge. */
export interface StripPlan {
  readonly widthMm: number;
  readonly cutting: 'bias' | 'cross' | 'none';
  readonly tuckInMm: number;
  /** What is wrapped, and the extra strip that going around it takes. */
  readonly coreMm: number;
  readonly turnOfClothMm: number;
  /** Fold lines of the strip, from one of its edges, in the order they are pressed. */
  readonly foldsAtMm: readonly number[];
}

/** What is cut off, and how much stays. */
export interface TrimPlan {
  readonly needed: boolean;
  readonly leaveMm: number;
  readonly cutAwayMm: number;
}

/** What the folds station, the steps and the print show. */
export interface FoldPlan {
  /** Cloth beyond the finished edge; negative where cloth is cut off first. */
  readonly allowanceMm: number;
  /** In press order. */
  readonly marks: readonly FoldMark[];
  readonly layersAtStitch: number;
  /** The same with whatever else lies under the needle counted. */
  readonly layersUnderNeedle: number;
  readonly stackMm: number;
  /** From the finished edge to the stitching; null where the edge itself is sewn over. */
  readonly stitchFromHemlineMm: number | null;
  /** How deep the finished edge is worked: the hem's depth, the binding's width; 0 for none. */
  readonly finishedDepthMm: number;
  /** In the order of the work, from flat cloth to the finished edge. */
  readonly stages: readonly FoldStage[];
  /** What is really lost in length, where a tuck takes some. */
  readonly shortensMm?: number;
  /** From the needle line to the edge that a knife leaves, beyond the line, where it leaves one. */
  readonly outsideNeedleMm?: number;
  /** Cloth to feed into a scroll. */
  readonly feedMm?: number;
  readonly strip?: StripPlan;
  readonly trim?: TrimPlan;
}
