import type { Field } from './flatten';
import { fittedHoles } from './fitted-holes';
import { fittedLine } from './fitted-line';
import type { LikeliestSight } from './likeliest-sight';
import { hasBites, isLine, type Seen } from './seen';

/** A line that is not fitted lies where the picture turns fastest, off by a share of its blur. */
const unfittedBlurs = 0.25;

/**
 * A seam and what it was led along once more, held against the picture itself: where its thread turns back, and, where bites
 * leave most of the line free of thread, the line. A straight thread turns nowhere.
 *
 * @param even the picture without its light
 */
export function fittedSight(even: Field, seen: Seen, sight: LikeliestSight): LikeliestSight {
  const { seam, line } = sight;
  if (isLine(seen) || !line) return sight;
  const { thread, look } = fittedHoles(even, seam, line.slope, sight.thread);
  if (!look) return sight;
  const asItWas = { ...line, spreadMm: Math.hypot(line.spreadMm, unfittedBlurs * look.blurMm) };
  return {
    ...sight,
    thread,
    line: hasBites(seen) ? fittedLine(even, seam, line, thread, look) : asItWas,
  };
}
