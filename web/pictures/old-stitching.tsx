import type { OldHemSewing } from '../../core/edge/state';
import { useBox } from './use-box';

/** How many stitches are drawn. */
const stitches = 9;

/** How an old line of stitching comes out, seen from its inside: which end runs, where it is cut. */
export function OldStitching({ sewn }: { sewn: OldHemSewing }) {
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const [left, right] = [width * 0.08, width * 0.86];
  const step = (right - left) / stitches;
  const y = height * 0.52;
  const loops = Array.from({ length: stitches }, (_, i) => left + i * step);
  const every = sewn === 'lock' ? 4 : 3;
  return (
    <div ref={ref} className="h-full w-full">
      {width > 0 && height > 80 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={
            sewn === 'chain'
              ? 'A chain stitch runs out from its right end, where the last loop is freed'
              : `A locked line is cut every ${every === 4 ? 'fourth' : 'third'} stitch`
          }
        >
          <rect
            x={width * 0.03}
            y={height * 0.2}
            width={width * 0.94}
            height={height * 0.6}
            className="fill-(--cloth-1)"
          />
          <path
            d={`M${width * 0.03},${height * 0.74}H${width * 0.97}`}
            className="fill-none stroke-pencil [stroke-width:3]"
          />
          <text x={width * 0.05} y={height * 0.74 + 18} fontSize={14} className="fill-soft">
            the old fold
          </text>
          {sewn === 'chain' ? (
            <>
              {loops.map((x, i) => (
                <ellipse
                  key={x}
                  data-part="loop"
                  cx={x + step * 0.62}
                  cy={y}
                  rx={step * 0.62}
                  ry={7}
                  className={`fill-none [stroke-width:3] ${i === stitches - 1 ? 'stroke-madder' : 'stroke-(--thread)'}`}
                />
              ))}
              <path
                d={`M${right + step * 0.3},${y - 8}q${step * 0.5},-46 ${step},-52`}
                className="fill-none stroke-madder [stroke-width:3]"
              />
              <Arrow x={right + step * 1.35} y={y - 62} />
              <text
                x={right - step}
                y={y - 74}
                fontSize={15}
                textAnchor="end"
                className="fill-madder font-bold"
              >
                free this loop, then pull
              </text>
              <text x={left} y={y + 30} fontSize={14} className="fill-soft">
                looped side, towards you; it runs from the right end only
              </text>
            </>
          ) : (
            <>
              {loops.map((x, i) => (
                <g key={x}>
                  <path
                    d={`M${x},${y}h${step * 0.8}`}
                    className="fill-none stroke-(--thread) [stroke-linecap:round] [stroke-width:4]"
                  />
                  {i % every === every - 1 && (
                    <path
                      data-part="cut"
                      d={`M${x + step * 0.2},${y - 16}l${step * 0.4},32M${x + step * 0.6},${y - 16}l${-step * 0.4},32`}
                      className="fill-none stroke-madder [stroke-width:3]"
                    />
                  )}
                </g>
              ))}
              <text x={left} y={y - 30} fontSize={15} className="fill-madder font-bold">
                cut every {every === 4 ? 'fourth' : 'third'} stitch on this side
              </text>
              <text x={left} y={y + 34} fontSize={14} className="fill-soft">
                then draw the thread of the other side out in one
              </text>
            </>
          )}
        </svg>
      )}
    </div>
  );
}

const Arrow = ({ x, y }: { x: number; y: number }) => (
  <path d={`M${x},${y}l-13,2l6,11z`} className="fill-madder" />
);
