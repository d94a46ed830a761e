import type { Construction } from '../cloth/cloth';
import { passageOf, type Passage, type PresserLifts } from './passage';

/** What lies under the foot where a seam joins two bound edges. */
export interface BoundMeeting {
  /** Of both edges: 2 × 5 = 10 for a double fold. */
  readonly layers: number;
  /** Pressed and under the foot, mm. */
  readonly stackMm: number;
  readonly passage: Passage;
}

/**
 * The layers where two bound edges meet in a seam, and whether they pass under the foot: a neck
 * that is bound flat and closed afterwards. Source: docs/formulas.md, “Where bound edges meet”.
 *
 * @param bound what one bound edge has at its stitch, and how thick that is under the foot, mm
 * @example whereBoundMeet({ layers: 5, stackMm: 2.1 }, 'knit', { liftMm: 6, highLiftMm: 8 }).layers // 10
 */
export function whereBoundMeet(
  bound: { readonly layers: number; readonly stackMm: number },
  construction: Construction,
  lifts: PresserLifts,
): BoundMeeting {
  const stackMm = 2 * bound.stackMm;
  return { layers: 2 * bound.layers, stackMm, passage: passageOf(stackMm, construction, lifts) };
}
