import type { Slant } from '../../core/edge/slant';
import { useLengths } from '../ground/lengths-context';
import { useBox } from './use-box';

/** So much of the leg is drawn above the hemline, mm. */
const aboveMm = 260;
const belowMm = 90;

/**
 * The lower leg from the side with its shoe: where front and back are pinned. The leg's width and its
 * slant are to scale; the shoe is any shoe.
 */
export function WornLeg({ leg, name }: { leg: Slant; name: string }) {
  const { cloth } = useLengths();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const { frontMm, backMm, flatWidthMm } = leg;
  const scale = Math.min(
    (height - 44) / (aboveMm + belowMm),
    (width - 200) / Math.max(flatWidthMm * 1.5, 1),
  );
  // The front is at the left; lower is longer.
  const x = (mm: number) => width / 2 - (flatWidthMm * scale) / 2 + mm * scale;
  const levelMm = Math.max(frontMm, backMm);
  const y = (mm: number) => 24 + (aboveMm + (mm - levelMm)) * scale;
  const floor = y(levelMm) + 46 * scale;
  const pin = (mm: number, at: number, words: string, end: boolean) => (
    <g>
      <path d={`M${x(at) - 11},${y(mm)}h22`} className="fill-none stroke-madder [stroke-width:3]" />
      <circle cx={x(at) + (end ? 11 : -11)} cy={y(mm)} r={4} className="fill-madder" />
      <text
        x={x(at) + (end ? 20 : -20)}
        y={y(mm) - 6}
        fontSize={14}
        textAnchor={end ? 'start' : 'end'}
        className="fill-soft stroke-paper [paint-order:stroke] [stroke-width:4]"
      >
        {words}
      </text>
      <text
        x={x(at) + (end ? 20 : -20)}
        y={y(mm) + 14}
        fontSize={18}
        textAnchor={end ? 'start' : 'end'}
        className="fill-graphite stroke-paper font-bold [paint-order:stroke] [stroke-width:5]"
      >
        {cloth(mm)}
      </text>
    </g>
  );
  return (
    <div ref={ref} className="h-full w-full">
      {width > 0 && height > 100 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`${name}: front ${cloth(frontMm)}, back ${cloth(backMm)} from the waist`}
        >
          <path
            d={`M${x(-flatWidthMm * 0.32)},${floor}q${-2 * scale},${-34 * scale} ${46 * scale},${-44 * scale}q${40 * scale},${-14 * scale} ${70 * scale},${-60 * scale}H${x(flatWidthMm * 0.86)}V${floor}Z`}
            className="fill-cloth stroke-seam [stroke-width:1.5]"
          />
          <path d={`M0,${floor}H${width}`} className="fill-none stroke-line [stroke-width:2]" />
          <path
            d={`M${x(0)},24V${y(frontMm)}L${x(flatWidthMm)},${y(backMm)}V24Z`}
            className="fill-(--cloth-2) stroke-(--cloth-line) [stroke-width:1.5]"
          />
          <path
            d={`M${x(0)},${y(frontMm)}L${x(flatWidthMm)},${y(backMm)}`}
            className="fill-none stroke-pencil [stroke-width:3]"
          />
          <text
            x={x(flatWidthMm / 2)}
            y={16}
            fontSize={14}
            textAnchor="middle"
            className="fill-soft"
          >
            {name}
          </text>
          {pin(frontMm, 0, 'front', false)}
          {pin(backMm, flatWidthMm, 'back', true)}
        </svg>
      )}
    </div>
  );
}
