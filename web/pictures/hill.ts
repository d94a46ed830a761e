import type { DriftBelief } from '../../core/margin/belief';

/**
 * The hill of the hand as an SVG path: probability per place, from differences of the belief's
 * distribution function.
 *
 * @param reach mm shown to either side
 * @param x places mm on the screen
 * @param base and top in px; the highest place reaches the top
 */
export function hill(
  belief: DriftBelief,
  reach: number,
  x: (mm: number) => number,
  base: number,
  top: number,
): string {
  const cells = 140;
  const step = (2 * reach) / cells;
  const heights = Array.from({ length: cells + 1 }, (_, i) => {
    const at = -reach + i * step;
    return { at, density: belief.within(at - step / 2, at + step / 2) / step };
  });
  const most = Math.max(...heights.map(({ density }) => density), 1e-9);
  const points = heights.map(
    ({ at, density }) =>
      `${x(at).toFixed(1)},${(base - (density / most) * (base - top)).toFixed(1)}`,
  );
  return `M${x(-reach)},${base} L${points.join(' L')} L${x(reach)},${base} Z`;
}
