import type { FoundSeam } from './find-seam';
import { lineThrough } from './line-through';
import type { Seen } from './seen';
import { ranAlong } from './ran-along';
import { alongWander, type TracedHole } from './trace';

/**
 * A seam as its thread lies that was followed: its direction, its place and the length of its repeats by the least squares of
 * all its holes. What is a little off over a few stitches loses the thread at the ends of a long seam.
 *
 * @param thread of two repeats at least
 */
export function laidByThread(
  seen: Seen,
  seam: FoundSeam,
  thread: readonly TracedHole[],
): FoundSeam {
  const { acrossMm, slope } = ranAlong(seam, thread);
  // Of each hole how many repeats it is from the first; turned by as much as the thread runs across, what lies off the seam’s own line moves along.
  const { atZero, slope: each } = lineThrough(
    thread.map(({ hole, repeat, alongMm, acrossMm: off }) => [
      repeat + hole.alongMm / seen.repeatMm,
      alongMm + slope * off,
    ]),
  );
  return {
    ...seam,
    ...{ angle: seam.angle + Math.atan(slope), acrossMm },
    ...{ alongMm: atZero, repeatMm: Math.abs(each) },
  };
}

/** A seam that lies so much farther across at a window’s end still has its thread within reach, mm. */
const sameAcrossMm = 0.4;

/** Whether one seam lies so far from another, somewhere within so much of its middle, that other thread is followed along it. */
export function liesElsewhere(
  seen: Seen,
  one: FoundSeam,
  other: FoundSeam,
  withinMm: number,
): boolean {
  const longer = Math.abs(other.repeatMm / one.repeatMm - 1) * withinMm;
  const turned = Math.abs(other.angle - one.angle) * withinMm;
  const sameAlongMm = (alongWander * one.repeatMm) / seen.stitches;
  return longer > sameAlongMm || turned + Math.abs(other.acrossMm - one.acrossMm) > sameAcrossMm;
}
