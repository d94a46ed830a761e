import type { OnCloth, StripPiece } from '../../core/strip/piece';
import { useLengths } from '../ground/lengths-context';
import { counted } from '../words/number';
import { widthOf } from './place-labels';
import { useBox } from './use-box';
import { RimmedPath } from './rimmed-path';

interface CuttingPlanProps {
  /** Across and along the grain, mm. */
  readonly clothMm: OnCloth;
  readonly pieces: readonly StripPiece[];
  /** So many of them are cut; the rest stays cloth. */
  readonly cutting: number;
  /** How much of its length is cut off for them; all of it when left out, mm. */
  readonly takenMm?: number | null;
}

const padPx = 26;

/** The piece of cloth from above with every strip numbered, the longest first, to scale. */
export function CuttingPlan({ clothMm, pieces, cutting, takenMm = null }: CuttingPlanProps) {
  const { cloth } = useLengths();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const [wide, high] = clothMm;
  const scale = Math.min((width - 2 * padPx) / wide, (height - 2 * padPx) / high);
  const left = (width - wide * scale) / 2;
  const base = (height + high * scale) / 2;
  const at = ([x, y]: OnCloth) => `${left + x * scale},${base - y * scale}`;
  return (
    <div ref={ref} className="h-full w-full">
      {width > 0 && height > 100 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`The cloth, ${cloth(wide)} across and ${cloth(high)} along the grain, with ${counted(cutting, 'strip')} to cut, to scale`}
        >
          <rect
            x={left}
            y={base - high * scale}
            width={wide * scale}
            height={high * scale}
            className="fill-(--cloth-1) stroke-(--cloth-line) [stroke-width:1.5]"
          />
          {takenMm !== null && takenMm < high - 1 && (
            <RimmedPath
              data-part="cut-off"
              d={`M${left - 12},${base - takenMm * scale} H${left + wide * scale + 12}`}
              className="stroke-pencil"
              strokeDasharray="9 5"
              strokeWidth={2.5}
            />
          )}
          {pieces.map(({ corners, fromMm: [from, to] }, i) => {
            const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
            return (
              <g key={at(from)} data-part={i < cutting ? 'piece' : 'spare'}>
                <polygon
                  points={corners.map(at).join(' ')}
                  className={
                    i < cutting
                      ? 'fill-(--cloth-3) stroke-graphite [stroke-width:1.5]'
                      : 'fill-none stroke-line [stroke-width:1]'
                  }
                />
                {i < cutting && (
                  <text
                    x={left + x * scale}
                    y={base - y * scale + 5}
                    fontSize={14}
                    textAnchor="middle"
                    className="fill-graphite stroke-paper font-bold [paint-order:stroke] [stroke-width:4]"
                  >
                    {i + 1}
                  </text>
                )}
              </g>
            );
          })}
          <text
            x={left + (wide * scale) / 2}
            y={base + 18}
            fontSize={14}
            textAnchor="middle"
            className="fill-soft"
          >
            {cloth(wide)} across
          </text>
          <text
            x={Math.max(4, left - 6 - widthOf(cloth(high), 14))}
            y={base - high * scale - 8}
            fontSize={14}
            className="fill-soft"
          >
            {cloth(high)} along the grain
          </text>
        </svg>
      )}
    </div>
  );
}
