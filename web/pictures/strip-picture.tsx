import { useId } from 'react';
import type { StripPlan } from '../../core/finish/fold-plan';
import { useLengths } from '../ground/lengths-context';
import { useBox } from './use-box';

const cuttingNames = {
  bias: 'cut on the bias, 45° to the grain',
  cross: 'cut across the grain',
  none: 'ready-made, not cut',
} as const;

/** A binding's strip laid flat, with the lines it is folded along, to scale. */
export function StripPicture({ strip }: { strip: StripPlan }) {
  const lengths = useLengths();
  const id = useId();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const { widthMm, foldsAtMm, cutting } = strip;
  const scale = Math.min((height - 70) / widthMm, 9);
  const top = 34;
  const y = (mm: number) => top + mm * scale;
  const [left, right] = [30, width - 200];
  const grain = cutting === 'bias' ? 'M0,9 L9,0' : cutting === 'cross' ? 'M4.5,0 V9' : 'M0,4.5 H9';
  return (
    <div ref={ref} className="relative h-full w-full overflow-hidden">
      {width > 0 && height > 90 && (
        <svg width={width} height={height} role="img" aria-label="The strip, flat, to scale">
          <defs>
            <pattern id={`${id}-strip-grain`} width="9" height="9" patternUnits="userSpaceOnUse">
              <path d={grain} stroke="var(--color-strip-grain)" strokeOpacity="0.5" />
            </pattern>
          </defs>
          <text x={left} y={20} fontSize={14} fontWeight={700} fill="var(--color-graphite)">
            The strip, {cuttingNames[cutting]}
          </text>
          <g>
            <rect
              x={left}
              y={top}
              width={right - left}
              height={widthMm * scale}
              fill="var(--color-strip)"
            />
            <rect
              x={left}
              y={top}
              width={right - left}
              height={widthMm * scale}
              fill={`url(#${id}-strip-grain)`}
              stroke="var(--color-graphite)"
            />
          </g>
          {foldsAtMm.map((at) => (
            <g key={at}>
              <line
                x1={left - 8}
                x2={right + 8}
                y1={y(at)}
                y2={y(at)}
                stroke="var(--color-pencil)"
                strokeWidth={2}
                strokeDasharray="8 4"
              />
              <text x={right + 14} y={y(at) + 5} fontSize={14} fill="var(--color-pencil)">
                fold {lengths.cloth(at)}
              </text>
            </g>
          ))}
          <text x={left} y={y(widthMm) + 22} fontSize={14} fill="var(--color-graphite)">
            {lengths.cloth(widthMm)} wide · {lengths.beside(widthMm)} · of which{' '}
            {lengths.fine(Math.max(0, strip.turnOfClothMm))} goes round the edge
          </text>
        </svg>
      )}
    </div>
  );
}
