import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import type { DialSettings, MarginDial } from '../kit/dial-steps';
import { testLadder } from '../margin/ladder';
import { posteriorOfCounts } from '../margin/posterior-grid';
import { evenDraws } from '../swatch/draw';
import { priorsOf, type Carried } from './carried';
import { countsOfSource, learnedBeliefs, learnedFrom, type SewnSample } from './learn-plan';
import { marginOfPlan } from './margin-of-plan';
import { setUpOf } from './set-up-of';

/** The fewest and the most rungs of a ladder. */
export const rungCounts = [3, 4, 5] as const;
/** What one counts on each rung: half a hand's length of scrap. */
export const rungStitches = 12;

export interface PlannedLadder {
  readonly dial: MarginDial;
  readonly rungs: readonly DialSettings[];
  /** What is expected to be known after so many rungs, the most telling first, nats. */
  readonly gainsNats: readonly number[];
}

/**
 * The ladder for a plan, from what its samples have taught so far, or from nothing.
 *
 * @param from the setting one has; its length stays
 * @param count how many rungs, 3 to 5
 * @returns null when no dial moves what is counted
 * @throws Impossible for plans that cannot be sewn
 */
export function ladderOf(
  finish: Finish,
  plan: SewingPlan,
  samples: readonly SewnSample[],
  from: DialSettings,
  count: number,
  carried: Carried = {},
): PlannedLadder | null {
  const learned = learnedFrom(finish, plan, samples, carried);
  const set = setUpOf(finish, plan, learnedBeliefs(learned));
  const { countedCheck } = marginOfPlan(finish, plan.fold.variant);
  const check = set.checks.find(({ name }) => name === countedCheck);
  const prior = check && priorsOf(finish, plan, carried)[check.source];
  if (!check || !prior) return null;
  const counts = countsOfSource(finish, plan, samples, check.source);
  const ladder = testLadder(set, check, posteriorOfCounts(counts, prior), from, {
    count,
    stitches: rungStitches,
    random: evenDraws(1),
  });
  if (!ladder) return null;
  const { dial, rungs, gainsNats } = ladder;
  return { dial, gainsNats, rungs: rungs.map((rung) => ({ ...rung, lengthMm: from.lengthMm })) };
}
