import { courseLayout, type DrawnEdge } from './course-layout';
import { boundsOf } from './layout';
import { liesAsTube, tubeLayout } from './leg-layout';

/** An edge from above, small and without words: the cloth, and the edge drawn thick. */
export function SmallAbove({ edge }: { edge: DrawnEdge }) {
  const turned = { depthMm: 0, allowanceMm: 0 };
  const layout = liesAsTube(edge) ? tubeLayout(edge, turned) : courseLayout(edge, turned);
  const { leftMm, rightMm, bottomMm, topMm } = boundsOf(layout);
  const size = Math.max(rightMm - leftMm, topMm - bottomMm) * 0.08;
  const path = (points: readonly { xMm: number; yMm: number }[], closed: boolean) =>
    `M${points.map(({ xMm, yMm }) => `${xMm.toFixed(1)},${(-yMm).toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;
  return (
    <svg
      viewBox={`${leftMm - size} ${-topMm - size} ${rightMm - leftMm + 2 * size} ${topMm - bottomMm + 2 * size}`}
      className="h-full w-full"
      aria-hidden
    >
      {layout.areas.map(({ points }, i) => (
        <path
          key={i}
          d={path(points, true)}
          className="fill-cloth stroke-graphite [stroke-width:1.2]"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {layout.lines
        .filter(({ kind }) => kind === 'finished')
        .map(({ points, closed = false }, i) => (
          <path
            key={i}
            d={path(points, closed)}
            className="fill-none stroke-pencil [stroke-width:3]"
            vectorEffect="non-scaling-stroke"
          />
        ))}
    </svg>
  );
}
