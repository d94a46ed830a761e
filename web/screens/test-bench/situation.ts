import type { Situation } from '../../../core/diagnose/situation';
import { situationOf as situationOfPlan } from '../../../core/plan/of-records';
import type { KeptPart, SetUpPart } from '../../bench/bench';

/** What is sewn at an edge, as far as a fault can come from it. */
export function situationOf({ finish, plan, foot, edge }: KeptPart & SetUpPart): Situation {
  return situationOfPlan({ edge, foot }, plan, finish);
}
