import type { Finish, Reasoned, SewingPlan } from '../finish/finish';
import { dialTravel, snapToDial, type DialSettings } from '../kit/dial-steps';
import { startingNeedle } from '../kit/needle';
import type { SetUp } from '../margin/set-up';
import { solve } from '../margin/solve';

/** The stitch length to start with, on the machine's steps. */
export function startingLengthMm(finish: Finish, plan: SewingPlan): number {
  const travel = dialTravel('length', plan.machine, plan.foot.guide);
  return snapToDial(finish.startingLength(plan).value, travel);
}

/**
 * The setting to sew first: the solved dials and the ruled length.
 *
 * @throws Impossible when nothing clears the foot
 */
export function startingSetting(finish: Finish, plan: SewingPlan, set: SetUp): DialSettings {
  return { ...solve(set), lengthMm: startingLengthMm(finish, plan) };
}

/** The needle to start with and why. Starting guess by weight. */
export function needleAdvice(weightGsm: number): Reasoned<number> {
  const { size, alternative } = startingNeedle(weightGsm);
  return {
    value: size,
    because: [{ about: 'needle-by-weight', values: { weightGsm, alternative } }],
    startingGuess: true,
  };
}
