import type { Cloth } from '../cloth/cloth';
import type { FoldWish } from '../finish/fold-request';
import { startingNeedle } from '../kit/needle';
import type { FaultWeights } from '../margin/cost';
import type { Stitch } from '../stitch/stitch';

/** What a plan starts with before a finish is taken for its edge. */
export interface NewPlan {
  /** None is taken until somebody takes one. */
  readonly finish: null;
  readonly fold: FoldWish;
  readonly stitch: Stitch;
  readonly needleSize: number;
  readonly pickMm: number;
  readonly faultWeights: FaultWeights;
}

/** The longest thread one accepts on the right side in a matching colour, mm. Starting guess. */
export const usualPickMm = 1;

/**
 * What a new edge starts with: no finish, since what the edge is for decides that, and a needle by
 * the cloth.
 */
export function newPlan({ weightGsm }: Pick<Cloth, 'weightGsm'>): NewPlan {
  return {
    finish: null,
    fold: { variant: '' },
    stitch: { pattern: 'straight', anchor: 'centre', runStitches: 1 },
    needleSize: startingNeedle(weightGsm).size,
    pickMm: usualPickMm,
    faultWeights: { below: 1, above: 1 },
  };
}
