import type { FoundSeam } from './find-seam';
import { lineThrough } from './line-through';
import type { TracedHole } from './trace';

/**
 * How far across the holes of a thread lie from where its stitch has them, at the seam’s middle, mm, and how much more with every
 * mm along: by the least squares of all.
 */
export function ranAlong(
  { turned: [, across] }: Pick<FoundSeam, 'turned'>,
  thread: readonly TracedHole[],
): { readonly acrossMm: number; readonly slope: number } {
  const { atZero, slope } = lineThrough(
    thread.map(({ alongMm, acrossMm, hole }) => [alongMm, acrossMm - across * hole.acrossMm]),
  );
  return { acrossMm: atZero, slope };
}
