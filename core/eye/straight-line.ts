import type { FoundSeam } from './find-seam';
import type { ReferenceLine } from './reference-line';
import { clearOfEdgeMm } from './seen';
import { middleOf } from './middle';
import type { TracedHole } from './trace';

/** A line nearer than this to what it was led along, at so many of its stitches, may be its shadow. */
const shadowMm = 0.5;
const mostInShadow = 0.1;

/** Whether a straight thread lies clear of a line, on its own side, and is not the line’s shadow. */
export function isClearOf(
  { acrossMm, slope }: ReferenceLine,
  { turned: [, across] }: FoundSeam,
  thread: readonly TracedHole[],
): boolean {
  const away = thread.map(
    (one) =>
      across * Math.sign(one.hole.acrossMm) * (one.acrossMm - acrossMm - slope * one.alongMm),
  );
  const inShadow = away.filter((mm) => mm < shadowMm).length;
  return middleOf(away) >= clearOfEdgeMm && inShadow <= mostInShadow * thread.length;
}

/** A straight seam turned to where its thread really runs, by the least squares of all its holes. */
export function laidAlong(seam: FoundSeam, thread: readonly TracedHole[]): FoundSeam {
  const n = Math.max(1, thread.length);
  const mean = (of: (one: TracedHole) => number) =>
    thread.reduce((sum, one) => sum + of(one), 0) / n;
  const [along, off] = [
    mean(({ alongMm }) => alongMm),
    mean(({ acrossMm, hole }) => acrossMm - seam.turned[1] * hole.acrossMm),
  ];
  const square = mean(({ alongMm }) => (alongMm - along) ** 2);
  const slope =
    mean(({ alongMm, acrossMm }) => (alongMm - along) * acrossMm) / Math.max(1e-6, square);
  return { ...seam, angle: seam.angle + Math.atan(slope), acrossMm: off - slope * along };
}

/** The same line of thread with what it was led along on its other side, as far away. */
export const mirrored = (seam: FoundSeam, threadMm: number): FoundSeam => ({
  ...seam,
  turned: [seam.turned[0], seam.turned[1] === 1 ? -1 : 1],
  acrossMm: seam.acrossMm + 2 * seam.turned[1] * threadMm,
});
