import type { FoldField, FoldWish } from '../../../core/finish/fold-request';
import { Impossible } from '../../../core/impossible';
import { refuseFold } from '../../../core/plan/fold-plan';
import type { Lengths } from '../../../core/measure/lengths';
import { refusalInWords } from '../../words/refusals';
import { changePlan } from '../../bench/plan-change';
import type { KeptPart, SetUpPart } from '../../bench/bench';

/** Changes fields of the plan's folds. */
export function setFold({ record }: KeptPart, patch: Partial<FoldWish>): void {
  changePlan(record.id, { fold: { ...record.fold, ...patch } });
}

/** Why a fold field can't be this long; null when it can. The core's own words. */
export function depthRefusal(
  { finish, record, plan }: KeptPart & SetUpPart,
  field: FoldField,
  mm: number,
  lengths: Lengths,
): string | null {
  try {
    refuseFold(finish, { wish: { ...record.fold, [field]: mm }, cloth: plan.cloth });
    return null;
  } catch (error) {
    if (!(error instanceof Impossible)) throw error;
    return refusalInWords(error, lengths);
  }
}
