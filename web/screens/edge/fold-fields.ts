import type { FoldField, FoldWish } from '../../../core/finish/fold-request';
import { Impossible } from '../../../core/impossible';
import { refuseFold } from '../../../core/plan/fold-plan';
import { change } from '../../app/records';
import type { Bench } from './bench';

/** Changes fields of the plan's folds. */
export function setFold({ record }: Bench, patch: Partial<FoldWish>): void {
  change('plans', record.id, { fold: { ...record.fold, ...patch } });
}

/** The folds of another variant: what it newly needs starts where the finish says. */
export function wishFor({ finish, record }: Bench, variant: string): Bench['record']['fold'] {
  const depth = record.fold.depthMm ?? Infinity;
  const missing = Object.entries(finish.fields)
    .filter(([field, rule]) => rule.neededBy.includes(variant) && !record.fold[field as FoldField])
    .map(([field, rule]) => [field, Math.min(rule.startMm, depth)]);
  const wish = { ...record.fold, variant, ...Object.fromEntries(missing) };
  for (const [field, rule] of Object.entries(finish.fields)) {
    if (!rule.neededBy.includes(variant)) delete wish[field as FoldField];
  }
  return wish;
}

/** Chooses a variant. */
export function setVariant(bench: Bench, variant: string): void {
  change('plans', bench.record.id, { fold: wishFor(bench, variant) });
}

/** Why a fold field can't be this long; null when it can. The core's own words. */
export function depthRefusal({ finish, record }: Bench, field: FoldField, mm: number): string | null {
  try {
    refuseFold(finish, { ...record.fold, [field]: mm });
    return null;
  } catch (error) {
    if (!(error instanceof Impossible)) throw error;
    return error.message;
  }
}
