import type { MeasuredDepth } from '../margin/measured-depths';
import type { Judged } from './expected';
import { likeliestCounts } from './likeliest-counts';
import type { LikeliestSight } from './likeliest-sight';
import type { ReferenceLine } from './reference-line';

/** A seam, its thread, and the line that it was led along. */
export interface LedAlong extends Pick<LikeliestSight, 'seam' | 'thread'> {
  readonly line: ReferenceLine;
}

/** What else leaves open how deep a stitch goes, one spread, mm. */
export interface LeftOpen {
  readonly mm: number;
  /** Whether it is the same for all of a thread. */
  readonly inCommon: boolean;
}

/** The counted check’s value at every hole of a thread. */
export const depthsFrom = (
  { seam, thread, line }: LedAlong,
  { valueMm }: Judged,
  open: LeftOpen,
): MeasuredDepth[] =>
  thread.map(({ alongMm, acrossMm, acrossSpreadMm }) => ({
    depthMm: valueMm(seam.turned[1] * (acrossMm - line.acrossMm - line.slope * alongMm)),
    depthSpreadMm: Math.hypot(acrossSpreadMm, line.spreadMm, open.mm),
  }));

/**
 * A line moved, within half of how far it may be off, to where the counts that are taken from it are the likeliest right to
 * within one; and how likely they then are.
 */
export function lineByCounts(
  led: LedAlong,
  judged: Judged,
  open: LeftOpen,
): { readonly line: ReferenceLine; readonly sure: number } {
  const { seam, thread, line } = led;
  const depths = depthsFrom(led, judged, open).filter((_, i) => thread[i]!.hole.counted);
  const commonMm = open.inCommon ? Math.hypot(line.spreadMm, open.mm) : line.spreadMm;
  const { shiftMm, sure } = likeliestCounts(depths, commonMm, judged);
  const perMm = judged.valueMm(-seam.turned[1]) - judged.valueMm(0);
  return { line: { ...line, acrossMm: line.acrossMm - shiftMm / perMm }, sure };
}
