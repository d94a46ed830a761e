import { repeatOf, sideOf } from './repeat';
import type { Penetration, Stitch } from './stitch';

/**
 * The holes of a repeat that a person counts on a sample: the bites of a run, else the outermost
 * swings over the edge, else every stitch of a line.
 */
export function countedHoles(stitch: Stitch): readonly Penetration[] {
  const { penetrations } = repeatOf(stitch);
  const bites = penetrations.filter(({ role }) => role === 'bite');
  if (bites.length > 0) return bites;
  const swings = penetrations.filter(({ role }) => role === 'swing');
  if (swings.length === 0) return penetrations.filter(({ needle }) => (needle ?? 0) === 0);
  const us = swings.map(({ u }) => u);
  const outermost = sideOf(stitch) === 'right' ? Math.max(...us) : Math.min(...us);
  return swings.filter(({ u }) => u === outermost);
}
