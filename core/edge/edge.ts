import type { Purpose } from './purpose';
import type { OldHem } from './state';

/** What of an edge a finish's folds go by, beside the cloth. */
export interface EdgeUse {
  readonly purpose: Purpose;
  /** Null where there is none. */
  readonly oldHem: OldHem | null;
}
