import type { FoundSeam } from './find-seam';
import type { TracedHole } from './trace';

/**
 * How far across the holes of a thread lie from where its stitch has them, at the seam’s middle, mm, and how much more with every
 * mm along: by the least squares of all.
 */
export function ranAlong(
  { turned: [, across] }: Pick<FoundSeam, 'turned'>,
  thread: readonly TracedHole[],
): { readonly acrossMm: number; readonly slope: number } {
  const n = Math.max(1, thread.length);
  const mean = (of: (one: TracedHole) => number) =>
    thread.reduce((sum, one) => sum + of(one), 0) / n;
  const offMm = ({ acrossMm, hole }: TracedHole) => acrossMm - across * hole.acrossMm;
  const [along, off] = [mean(({ alongMm }) => alongMm), mean(offMm)];
  const square = mean(({ alongMm }) => (alongMm - along) ** 2);
  const slope = mean((one) => (one.alongMm - along) * offMm(one)) / Math.max(1e-6, square);
  return { acrossMm: off - slope * along, slope };
}
