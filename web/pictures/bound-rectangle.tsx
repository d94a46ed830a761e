import { useLengths } from '../ground/lengths-context';
import { useBox } from './use-box';

type Sides = readonly [wideMm: number, highMm: number];
const padPx = 34;

/** What is bound, and the largest of its proportion that one package binds, to one scale. */
export function BoundRectangle({ sides, largest }: { sides: Sides; largest: Sides }) {
  const { cloth } = useLengths();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const [wide, high] = [Math.max(sides[0], largest[0]), Math.max(sides[1], largest[1])];
  const scale = Math.min((width - 2 * padPx) / wide, (height - 2 * padPx) / high);
  const box = ([w, h]: Sides) => ({
    x: (width - w * scale) / 2,
    y: (height - h * scale) / 2,
    width: Math.max(0, w * scale),
    height: Math.max(0, h * scale),
  });
  const own = box(sides);
  const most = box(largest);
  const fits = largest[0] >= sides[0] - 1e-6;
  return (
    <div ref={ref} className="h-full w-full">
      {width > 0 && height > 100 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`${cloth(sides[0])} by ${cloth(sides[1])}, and the largest that one package binds, ${cloth(largest[0])} by ${cloth(largest[1])}, to scale`}
        >
          <rect {...own} className="fill-(--cloth-1) stroke-strip [stroke-width:9]" />
          <rect {...own} className="fill-none stroke-graphite [stroke-width:1]" />
          <rect
            {...most}
            className={`fill-none [stroke-width:2.5] ${fits ? 'stroke-moss' : 'stroke-madder'}`}
            strokeDasharray="8 6"
          />
          {sides.map((side, i) => (
            <text
              key={i}
              x={width / 2}
              y={height / 2 - 5 + i * 20}
              fontSize={15}
              textAnchor="middle"
              className="fill-graphite font-bold [paint-order:stroke] stroke-paper [stroke-width:4]"
            >
              {i === 1 && '× '}
              {cloth(side)}
            </text>
          ))}
          <text
            x={most.x + most.width / 2}
            y={Math.max(16, most.y - 9)}
            fontSize={13}
            textAnchor="middle"
            className={fits ? 'fill-moss' : 'fill-madder'}
          >
            one package reaches round this
          </text>
        </svg>
      )}
    </div>
  );
}
