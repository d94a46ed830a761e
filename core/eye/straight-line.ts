import type { FoundSeam } from './find-seam';
import type { ReferenceLine } from './reference-line';
import { clearOfEdgeMm } from './seen';
import { middleOf } from './middle';
import { ranAlong } from './ran-along';
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

/** A straight seam turned to where its thread really runs. */
export function laidAlong(seam: FoundSeam, thread: readonly TracedHole[]): FoundSeam {
  const { acrossMm, slope } = ranAlong(seam, thread);
  return { ...seam, angle: seam.angle + Math.atan(slope), acrossMm };
}

/** The same line of thread with what it was led along on its other side, as far away. */
export const mirrored = (seam: FoundSeam, threadMm: number): FoundSeam => ({
  ...seam,
  turned: [seam.turned[0], seam.turned[1] === 1 ? -1 : 1],
  acrossMm: seam.acrossMm + 2 * seam.turned[1] * threadMm,
});
