import type { Crossing } from '../seam/crossing';
import type { CurvedEdge } from './curve';
import type { Purpose } from './purpose';
import type { OldHem, Pairing } from './state';

/** What of an edge a finish's folds go by, beside the cloth. */
export interface EdgeUse {
  readonly purpose: Purpose;
  /** Null where there is none. */
  readonly oldHem: OldHem | null;
}

/** An edge as a person describes it: what it is for, how it lies, what is done to it already. */
export interface DescribedEdge extends CurvedEdge, EdgeUse {
  readonly pair: Pairing;
  /** The depth of hem one would like; null leaves it to the finish. */
  readonly depthMm: number | null;
  readonly crossings: readonly Crossing[];
}
