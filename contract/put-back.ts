import type { PutBack } from '../core/kit/put-back';

/** What a plan has changed on its machine, and nobody put back yet. */
export interface LeftChanged {
  readonly planId: string;
  readonly edgeId: string;
  readonly edgeName: string;
  readonly changes: readonly PutBack[];
}
