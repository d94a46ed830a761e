import type { Join } from '../../core/strip/joins';
import { useLengths } from '../ground/lengths-context';
import { useBox } from './use-box';

/** The edge laid out straight: corners and seams as ticks, the strip's joins as slanted marks. */
export function JoinsLine(props: {
  edgeMm: number;
  joins: readonly Join[];
  avoidMm: readonly number[];
}) {
  const { edgeMm, joins, avoidMm } = props;
  const { cloth } = useLengths();
  const [ref, { width }] = useBox<HTMLDivElement>();
  const [left, top] = [16, 22];
  const x = (mm: number) => left + (mm / edgeMm) * (width - 2 * left);
  return (
    <div ref={ref} className="h-14 w-full shrink-0 border-t border-line">
      {width > 0 && (
        <svg
          width={width}
          height={56}
          role="img"
          aria-label={`Joins along the edge: ${joins.map(({ atMm }) => cloth(atMm)).join(', ')} from where the strip begins`}
        >
          <rect
            x={left}
            y={top}
            width={width - 2 * left}
            height={12}
            className="fill-strip stroke-graphite"
          />
          {avoidMm.map((at) => (
            <path
              key={at}
              d={`M${x(at)},${top - 6} V${top + 18}`}
              className="stroke-graphite [stroke-width:2.5]"
            />
          ))}
          {joins.map(({ atMm }, i) => (
            <g key={atMm}>
              <path
                d={`M${x(atMm) - 6},${top + 12} L${x(atMm) + 6},${top}`}
                className="stroke-pencil [stroke-width:3]"
              />
              <text
                x={Math.min(width - 50, Math.max(40, x(atMm)))}
                y={i % 2 === 0 ? top - 6 : top + 29}
                fontSize={13}
                textAnchor="middle"
                className="fill-pencil font-bold"
              >
                {i + 1}·{i + 2} at {cloth(atMm)}
              </text>
            </g>
          ))}
        </svg>
      )}
    </div>
  );
}
