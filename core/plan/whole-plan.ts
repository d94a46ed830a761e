import { completed } from '../finish/fold-request';
import type { Finish, SewingPlan } from '../finish/finish';

/** A plan with every optional length of its folds at its start, as the finish's sums take it. */
export function wholePlan(finish: Pick<Finish, 'fields'>, plan: SewingPlan): SewingPlan {
  return { ...plan, fold: completed(finish.fields, plan.fold) };
}
