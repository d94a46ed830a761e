import { patternsOf, type Machine } from '../kit/machine';
import type { Pattern, Stitch } from '../stitch/stitch';

/** How long a run each stitch is usually given. */
const usualRun: Partial<Record<Pattern, number>> = { tacking: 6, shell: 3 };
/** From this stretch on a blind stitch is sewn with its stretching run, percent. */
const stretchyPercent = 15;

/**
 * The stitch one would begin with: the first of a finish's own that the machine has, the
 * stretching blind stitch on a stretchy cloth.
 *
 * @param wanted the finish's stitches, the one made for it first
 * @returns null when the machine has none of them
 */
export function usualStitch(
  wanted: readonly Pattern[],
  machine: Pick<Machine, 'kind' | 'patterns'>,
  stretchPercent: number,
): Stitch | null {
  const has = patternsOf(machine);
  const able = wanted.filter((pattern) => has.includes(pattern));
  const [first] = able;
  if (!first) return null;
  const blind = first === 'blind-woven' || first === 'blind-stretch';
  const pattern =
    first === 'blind-woven' && stretchPercent >= stretchyPercent && able.includes('blind-stretch')
      ? 'blind-stretch'
      : first;
  return { pattern, anchor: blind ? 'right' : 'centre', runStitches: usualRun[pattern] ?? 5 };
}
