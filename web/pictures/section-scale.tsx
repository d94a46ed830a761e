import type { Plateau } from '../../core/fold/layer';
import { useLengths } from '../ground/lengths-context';

type Scale = (mm: number) => number;

/** How many layers lie on one another along a section, with brackets under them. */
export function LayerCounts({
  plateaus,
  x,
  y,
}: {
  readonly plateaus: readonly Plateau[];
  readonly x: Scale;
  readonly y: number;
}) {
  return plateaus.map(({ fromXMm, toXMm, layers }) => {
    const [from, to] = [x(fromXMm) + 1.5, x(toXMm) - 1.5];
    if (to - from < 3) return null;
    const words = layers === 1 ? '1 layer' : `${layers} layers`;
    const roomy = to - from > 62;
    return (
      <g key={fromXMm}>
        <path
          d={`M${from},${y - 6} V${y} H${to} V${y - 6}`}
          fill="none"
          stroke="var(--color-seam)"
          strokeWidth={1.2}
        />
        {(roomy || to - from > 11) && (
          <text
            x={(from + to) / 2}
            y={y + 15}
            fontSize={13}
            fontWeight={700}
            textAnchor="middle"
            fill="var(--color-graphite)"
          >
            {roomy ? words : layers}
          </text>
        )}
      </g>
    );
  });
}

/** A ruler under a section, from its left end. */
export function Ruler(props: {
  readonly left: number;
  readonly right: number;
  readonly x: Scale;
  readonly y: number;
  readonly step: number;
}) {
  const { left, right, x, y, step } = props;
  const lengths = useLengths();
  const count = Math.floor((right - left) / step);
  return (
    <g>
      <line x1={x(left)} x2={x(right)} y1={y} y2={y} stroke="var(--color-seam)" />
      {Array.from({ length: count + 1 }, (_, i) => (
        <g key={i}>
          <line
            x1={x(left + i * step)}
            x2={x(left + i * step)}
            y1={y}
            y2={y + 7}
            stroke="var(--color-seam)"
          />
          <text
            x={x(left + i * step)}
            y={y + 22}
            fontSize={13}
            textAnchor="middle"
            fill="var(--color-soft)"
          >
            {i === count ? lengths.cloth(i * step) : lengths.editable(i * step)}
          </text>
        </g>
      ))}
    </g>
  );
}
