import { beliefFor, type Beliefs } from './belief';
import type { Check } from './check';
import { bySource, chanceOf, marginsOf } from './margin';
import type { SetUp } from './set-up';
import { solve } from './solve';

/**
 * The chance of the best setting of a set-up.
 *
 * @throws Impossible when no setting clears the foot and the plate
 */
export const bestChance = (set: SetUp): number =>
  chanceOf(marginsOf(set.checks, solve(set)), set.beliefs);

/**
 * No setting of a set-up reaches more than this: of each source the narrowest check alone, with the
 * drift in its middle. Costs next to nothing, and tells whether a solve is worth its time.
 *
 * @param beliefs of drift that is likeliest at its offset and falls off evenly to both sides
 */
export function mostChance(checks: readonly Check[], beliefs: Beliefs): number {
  let most = 1;
  for (const [source, group] of bySource(checks)) {
    const half = Math.min(...group.map(({ loMm, hiMm }) => hiMm - loMm)) / 2;
    const belief = beliefFor(beliefs, source);
    most *= belief.within(belief.shiftMm - half, belief.shiftMm + half);
  }
  return most;
}
