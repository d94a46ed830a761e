import type { Cloth } from '../cloth/cloth';
import type { ThreadMatch } from '../kit/thread';
import { startingNeedle } from '../kit/needle';
import type { PlanFacts } from './of-records';

/** What a plan starts with before a finish is taken for its edge. */
export interface NewPlan extends Omit<PlanFacts, 'reference' | 'schools' | 'placing'> {
  /** None is taken until somebody takes one. */
  readonly finish: null;
  readonly thread: ThreadMatch;
  readonly threadColour: null;
  /** The best reference of the foot. */
  readonly reference: null;
  /** A binding of the cloth itself. */
  readonly stripClothId: null;
  /** Folded by hand. */
  readonly attachmentId: null;
  readonly placing: null;
}

/** The longest thread one accepts on the right side in a matching colour, mm. Starting guess. */
export const usualPickMm = 1;

/** What a plan wishes for before anybody said. */
export const plainWish = {
  aim: 'even',
  thread: 'matching',
  threadColour: null,
  reference: null,
  stripClothId: null,
  attachmentId: null,
  placing: null,
} as const;

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
    ...plainWish,
  };
}
