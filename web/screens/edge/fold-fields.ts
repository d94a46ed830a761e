import type { FoldField, FoldWish } from '../../../core/finish/fold-request';
import { Impossible } from '../../../core/impossible';
import { refuseFold, wishForVariant } from '../../../core/plan/fold-plan';
import { change } from '../../app/records';
import type { Bench } from './bench';

/** Changes fields of the plan's folds. */
export function setFold({ record }: Bench, patch: Partial<FoldWish>): void {
  change('plans', record.id, { fold: { ...record.fold, ...patch } });
}

/** Chooses a variant. */
export function setVariant(bench: Bench, variant: string): void {
  change('plans', bench.record.id, {
    fold: wishForVariant(bench.finish, bench.record.fold, variant),
  });
}

/** Why a fold field can't be this long; null when it can. The core's own words. */
export function depthRefusal(
  { finish, record }: Bench,
  field: FoldField,
  mm: number,
): string | null {
  try {
    refuseFold(finish, { ...record.fold, [field]: mm });
    return null;
  } catch (error) {
    if (!(error instanceof Impossible)) throw error;
    return error.message;
  }
}
