import type { AttemptRecord } from '../../../contract/records';
import { doubtfulBelow, faultOf, sureOf } from '../../../core/eye/how-sure';
import { answerAt, type Answer } from '../../../core/eye/told-by-answers';
import type { Check, Fault } from '../../../core/margin/check';

/** A stitch as it was measured in a scrap’s photo, and what it was taken for. */
export interface KeptFind {
  readonly id: number;
  /** From the window’s upper left corner, mm. */
  readonly atMm: readonly [xMm: number, yMm: number];
  readonly judged: Answer;
  readonly fault: Fault | null;
  /** What was counted there. */
  readonly check: string;
  readonly doubtful: boolean;
  readonly depthMm: number;
  readonly depthSpreadMm: number;
}

/**
 * The finds that are kept with a scrap, along its seam. How each is judged follows from how deep it is
 * and the check it was counted by, as when it was measured.
 */
export function keptFinds(
  counts: AttemptRecord['counts'],
  checks: readonly Check[],
): readonly KeptFind[] {
  return counts
    .flatMap(({ check: name, depths = [] }) => {
      const check = checks.find((one) => one.name === name);
      if (!check) return [];
      return depths.flatMap(({ depthMm, depthSpreadMm, atMm }): Omit<KeptFind, 'id'>[] => {
        if (!atMm) return [];
        const fault = faultOf(depthMm, check);
        const judged = answerAt(depthMm, check);
        const sure = depthSpreadMm > 0 ? sureOf(depthMm, depthSpreadMm, check) : 1;
        const doubtful = sure < doubtfulBelow;
        return [{ atMm, judged, fault, check: name, doubtful, depthMm, depthSpreadMm }];
      });
    })
    .toSorted((a, b) => a.atMm[0] - b.atMm[0])
    .map((find, id) => ({ id, ...find }));
}
