import type { Pattern, Stitch } from './stitch';

/**
 * Starting guesses: the most stretch, in percent, that a line of each stitch follows before a
 * thread breaks. A lockstitch in a straight line has only the slack of its lock; whatever swings
 * or loops opens out. Source: craft practice, docs/formulas.md “Choosing”.
 */
const byPattern: Readonly<Record<Pattern, number>> = {
  straight: 20,
  tacking: 20,
  'blind-woven': 20,
  'overcast-woven': 40,
  shell: 60,
  zigzag: 150,
  'three-step': 200,
  'blind-stretch': 150,
  'overcast-stretch': 200,
  fringe: 200,
  'overedge-four': 200,
  'overedge-three-wide': 200,
  'overedge-three-narrow': 200,
  'overedge-two': 200,
  'rolled-three': 200,
  'rolled-two': 200,
  'cover-left': 200,
  'cover-right': 200,
  'cover-wide': 200,
  'cover-three': 200,
  chain: 60,
};

/** Starting guess: under two needles the bobbin thread goes to and fro, and gives. */
const twinGivesPercent = 60;

/** The most stretch that a line of a stitch follows, percent. */
export function givesPercent({
  pattern,
  twinGapMm,
}: Pick<Stitch, 'pattern' | 'twinGapMm'>): number {
  return (twinGapMm ?? 0) > 0 ? Math.max(twinGivesPercent, byPattern[pattern]) : byPattern[pattern];
}
