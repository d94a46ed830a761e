import type { KitNeed } from '../finish/kit-need';
import { patternsOf, type Machine } from '../kit/machine';
import { givesPercent } from '../stitch/gives';
import { usualTwinGapMm, type Pattern, type Stitch } from '../stitch/stitch';

/** How long a run each stitch is usually given. */
const usualRun: Partial<Record<Pattern, number>> = { tacking: 6, shell: 3 };
/** From this stretch on a stitch has to give, percent. */
export const stretchyPercent = 15;
/** A stitch that is made to give follows at least this much, percent. */
const madeToGivePercent = 60;

/**
 * The stitch one would begin with: the first of a finish's own that the machine has, and on a
 * stretchy cloth the first of them that is made to give.
 *
 * @param need the finish's stitches, the one made for it first
 * @returns null when the machine has none of them
 */
export function usualStitch(
  { patterns, twinNeedle }: Pick<KitNeed, 'patterns' | 'twinNeedle'>,
  machine: Pick<Machine, 'kind' | 'patterns'>,
  stretchPercent: number,
): Stitch | null {
  const has = patternsOf(machine);
  const able = patterns.filter((pattern) => has.includes(pattern));
  const [first] = able;
  if (!first) return null;
  const giving = able.find((pattern) => givesPercent({ pattern }) >= madeToGivePercent);
  const pattern = stretchPercent >= stretchyPercent ? (giving ?? first) : first;
  const blind = pattern === 'blind-woven' || pattern === 'blind-stretch';
  return {
    pattern,
    anchor: blind ? 'right' : 'centre',
    runStitches: usualRun[pattern] ?? 5,
    ...(twinNeedle ? { twinGapMm: usualTwinGapMm } : {}),
  };
}
