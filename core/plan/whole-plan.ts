import { usualTwinGapMm } from '../stitch/stitch';
import { completed } from '../finish/fold-request';
import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';

/**
 * A plan with every optional length of its folds at its start, and the usual gap where a twin
 * needle is wanted and nobody said how wide, as the finish's sums take it.
 */
export function wholePlan(finish: Pick<Finish, 'fields' | 'needs'>, plan: SewingPlan): SewingPlan {
  const fold = completed(finish.fields, plan.fold);
  const { twinNeedle } = finish.needs(plan.fold.variant);
  return twinNeedle && (plan.stitch.twinGapMm ?? 0) === 0
    ? { ...plan, fold, stitch: { ...plan.stitch, twinGapMm: usualTwinGapMm } }
    : { ...plan, fold };
}
