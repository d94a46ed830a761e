import type { Hole } from '../../core/stitch/needle-path';

/** A needle's thread from hole to hole, as a path; several needles sew several lines. */
export function threadPath(
  holes: readonly Hole[],
  x: (mm: number) => number,
  y: (mm: number) => number,
): string {
  const needles = [...new Set(holes.map(({ needle }) => needle ?? 0))];
  return needles
    .flatMap((needle) =>
      holes
        .filter((hole) => (hole.needle ?? 0) === needle)
        .map(({ xMm, yMm }, i) => `${i ? 'L' : 'M'}${x(xMm).toFixed(1)},${y(yMm).toFixed(1)}`),
    )
    .join(' ');
}
