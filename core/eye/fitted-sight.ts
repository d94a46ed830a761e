import type { Field } from './flatten';
import { fittedHoles } from './fitted-holes';
import { fittedLine } from './fitted-line';
import type { LikeliestSight } from './likeliest-sight';
import { hasBites, isLine, type Seen } from './seen';

/** A window without the light on it. */
export interface EvenPictures {
  /** Where its thread is to be seen, which may be by colour. */
  readonly thread: Field;
  /** Where what it was led along is to be seen: a shadow has no colour. */
  readonly cloth: Field;
}

/** A line that is not fitted lies where the picture turns fastest, off by a share of its blur. */
const unfittedBlurs = 0.25;

/**
 * A seam and what it was led along once more, held against the picture itself: where its thread turns back, and, where bites
 * leave most of the line free of thread, the line. A straight thread turns nowhere.
 */
export function fittedSight(even: EvenPictures, seen: Seen, sight: LikeliestSight): LikeliestSight {
  const { seam, line } = sight;
  if (isLine(seen) || !line) return sight;
  const { thread, look } = fittedHoles(even.thread, seam, line.slope, sight.thread);
  if (!look) return sight;
  const asItWas = { ...line, spreadMm: Math.hypot(line.spreadMm, unfittedBlurs * look.blurMm) };
  return {
    ...sight,
    thread,
    line: hasBites(seen) ? fittedLine(even.cloth, seam, line, thread, look) : asItWas,
  };
}
