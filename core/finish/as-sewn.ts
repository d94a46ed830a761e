import type { FoldRequest } from './fold-request';
import type { WorkRequest } from './work';

/** The folds of some work, with the needle where the setting in force puts it. */
export const foldsAsSewn = ({ wish, cloth, edge, strip, sewn }: WorkRequest): FoldRequest => ({
  wish,
  cloth,
  edge: { purpose: edge.purpose, oldHem: edge.oldHem },
  strip,
  sewn: sewn?.checks,
});
