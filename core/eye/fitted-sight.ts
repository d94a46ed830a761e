import type { Field } from './flatten';
import { fittedHoles } from './fitted-holes';
import { fittedLine } from './fitted-line';
import type { LikeliestSight } from './likeliest-sight';
import { hasBites, isLine, type Seen } from './seen';

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
  const isFree = look !== null && hasBites(seen);
  return {
    ...sight,
    thread,
    line: isFree ? fittedLine(even, seam, line, thread, look) : line,
  };
}
