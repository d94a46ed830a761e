import type { EdgeUse } from '../../core/edge/edge';
import type { Finish } from '../../core/finish/finish';
import type { FoldPlan } from '../../core/finish/fold-plan';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { Impossible, type Issue } from '../../core/impossible';
import type { SetUp } from '../../core/margin/set-up';
import { foldPlanOf } from '../../core/plan/fold-plan';
import type { Judgement } from '../../core/plan/judge';
import { learnedBeliefs, type Learned } from '../../core/plan/learn-plan';
import { setUpOf } from '../../core/plan/set-up-of';

/** What is sewn: a finish by a plan, on an edge for some use. */
export interface Sewn {
  readonly finish: Finish;
  readonly plan: SewingPlan;
  readonly use: EdgeUse;
}

/** What came of some sums, or why they can't be done. @throws anything but Impossible */
function orIssues<T>(work: () => T): readonly [T | null, readonly Issue[]] {
  try {
    return [work(), []];
  } catch (error) {
    if (error instanceof Impossible) return [null, error.issues];
    throw error;
  }
}

/**
 * What the dials are judged by, with what is believed of the hand; no set-up for a finish without a
 * margin, which has still to fold.
 */
export function setUpOrIssues(
  { finish, plan, use }: Sewn,
  learned: Learned,
): readonly [SetUp | null, readonly Issue[]] {
  return orIssues(() => {
    if (finish.margin(plan.fold.variant)) return setUpOf(finish, plan, learnedBeliefs(learned));
    foldPlanOf(finish, { wish: plan.fold, cloth: plan.cloth, strip: plan.strip, edge: use });
    return null;
  });
}

/** The folds at a setting, so that the needle is drawn where it goes; null while they can't be. */
export function foldsAt({ finish, plan, use }: Sewn, judgement: Judgement | null): FoldPlan | null {
  const sewn = judgement
    ? Object.fromEntries(judgement.checks.map(({ name, v0Mm }) => [name, v0Mm]))
    : undefined;
  const { fold: wish, cloth, strip } = plan;
  return orIssues(() => foldPlanOf(finish, { wish, cloth, strip, edge: use, sewn }))[0];
}
