import type { FoundSeam } from './find-seam';
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
  const mean = (of: (one: TracedHole) => number) =>
    thread.reduce((sum, one) => sum + of(one), 0) / thread.length;
  /** How many repeats from the first a hole is. */
  const gone = ({ hole, repeat }: TracedHole) => repeat + hole.alongMm / seen.repeatMm;
  // Turned by as much as the thread runs across, what lies off the seam’s own line moves along.
  const along = ({ alongMm, acrossMm: off }: TracedHole) => alongMm + slope * off;
  const [repeats, at] = [mean(gone), mean(along)];
  const square = mean((one) => (gone(one) - repeats) ** 2);
  const each = mean((one) => (gone(one) - repeats) * along(one)) / Math.max(1e-9, square);
  return {
    ...seam,
    ...{ angle: seam.angle + Math.atan(slope), acrossMm },
    ...{ alongMm: at - each * repeats, repeatMm: Math.abs(each) },
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
