import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import { dialTravel, snapToDial, type DialSettings } from '../kit/dial-steps';
import type { SetUp } from '../margin/set-up';
import { Impossible } from '../impossible';
import { leastChance } from '../margin/least-chance';
import { solve } from '../margin/solve';
import { lengthDialMm } from '../stitch/pitch';
import { hopelessIssue } from './better-by';
import { judge } from './judge';
import { marginOfPlan } from './margin-of-plan';
import { wholePlan } from './whole-plan';

/** The stitch length to start with, on the machine's steps. */
export function startingLengthMm(finish: Finish, plan: SewingPlan): number {
  const travel = dialTravel('length', plan.machine, plan.foot.guide);
  const { value } = marginOfPlan(finish, plan.fold.variant).startingLength(wholePlan(finish, plan));
  return snapToDial(lengthDialMm(plan.stitch, value, plan.machine), travel);
}

/**
 * The setting to sew first: the solved dials and the ruled length.
 *
 * @throws Impossible when nothing clears the foot, and when the best there is has a chance under
 *   {@link leastChance}, with the one change that would help
 */
export function startingSetting(finish: Finish, plan: SewingPlan, set: SetUp): DialSettings {
  const settings = { ...solve(set), lengthMm: startingLengthMm(finish, plan) };
  const { chance } = judge(set, settings);
  if (chance < leastChance) throw new Impossible([hopelessIssue(finish, plan, chance)]);
  return settings;
}
