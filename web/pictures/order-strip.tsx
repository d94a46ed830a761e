import { useBox } from './use-box';

/** A piece of work on the strip. */
export interface StripItem {
  readonly id: string;
  /** Which lane, from 0. */
  readonly lane: number;
  readonly minutes: number;
  /** What is changed before it. */
  readonly changeMinutes: number;
  readonly done: boolean;
  /** Said by the cursor: what it is. */
  readonly title: string;
}

/** What hangs on the work one looks at. */
export interface StripLooked {
  readonly id: string;
  readonly first: ReadonlySet<string>;
  readonly then: ReadonlySet<string>;
}

const rowPx = 26;
const everyMinutes = [5, 10, 15, 30, 60, 120, 240, 480];

/** When each begins, in minutes from the start. */
function placedInTime(items: readonly StripItem[]) {
  const placed: (StripItem & { fromMin: number; workMin: number; toMin: number })[] = [];
  for (const item of items) {
    const fromMin = placed.at(-1)?.toMin ?? 0;
    const workMin = fromMin + item.changeMinutes;
    placed.push({ ...item, fromMin, workMin, toMin: workMin + item.minutes });
  }
  return placed;
}

/**
 * Work in its order, to scale in minutes, with places as lanes; what is changed is hatched before
 * the work it is for. What waits for the work one looks at, and what it waits for, stand out.
 */
export function OrderStrip(props: {
  lanes: readonly string[];
  items: readonly StripItem[];
  looked: StripLooked | null;
  nextId: string | null;
  onPick(id: string): void;
}) {
  const { lanes, items, looked, nextId, onPick } = props;
  const [ref, { width }] = useBox<HTMLDivElement>();
  const total = items.reduce((sum, { minutes, changeMinutes }) => sum + minutes + changeMinutes, 0);
  const narrow = width < 600;
  const left = narrow ? 8 : 150;
  const laneTop = (lane: number) => 4 + lane * (narrow ? rowPx + 16 : rowPx) + (narrow ? 16 : 0);
  const bottom = laneTop(lanes.length - 1) + rowPx;
  const x = (minutes: number) => left + (minutes / Math.max(1, total)) * (width - left - 12);
  const every = everyMinutes.find((one) => x(one) - x(0) > 56) ?? 960;
  const placed = placedInTime(items);
  const colourOf = ({ id, done }: StripItem) => {
    if (looked?.id === id) return 'fill-pencil';
    if (looked?.first.has(id)) return 'fill-ochre';
    if (looked?.then.has(id)) return 'fill-moss';
    return done ? 'fill-line' : id === nextId ? 'fill-pencil' : 'fill-seam';
  };
  return (
    <div ref={ref} className="w-full" style={{ height: bottom + 24 }}>
      {width > 0 && (
        <svg
          width={width}
          height={bottom + 24}
          role="img"
          aria-label={`${items.length} steps in ${lanes.length} places, ${Math.round(total)} minutes with all changes`}
        >
          <defs>
            <pattern id="order-change" width="4" height="4" patternUnits="userSpaceOnUse">
              <path d="M0,4 L4,0" className="stroke-madder [stroke-width:1.4]" />
            </pattern>
          </defs>
          {lanes.map((lane, i) => (
            <g key={lane}>
              <text
                x={narrow ? left : left - 10}
                y={narrow ? laneTop(i) - 4 : laneTop(i) + 17}
                fontSize={14}
                textAnchor={narrow ? 'start' : 'end'}
                className="fill-graphite"
              >
                {lane.length > 18 ? `${lane.slice(0, 17)}…` : lane}
              </text>
              <path
                d={`M${left},${laneTop(i) + rowPx / 2} H${width - 12}`}
                className="stroke-line"
              />
            </g>
          ))}
          {Array.from({ length: Math.floor(total / every) + 1 }, (_, i) => i * every).map((min) => (
            <g key={min}>
              <path d={`M${x(min)},4 V${bottom}`} className="stroke-line [stroke-dasharray:2_4]" />
              <text
                x={x(min)}
                y={bottom + 17}
                fontSize={13}
                textAnchor={min === 0 ? 'start' : 'middle'}
                className="fill-soft"
              >
                {min === 0 ? '0 min' : min}
              </text>
            </g>
          ))}
          {placed.map((item) => (
            <g key={item.id} onClick={() => onPick(item.id)} className="cursor-pointer">
              <title>{item.title}</title>
              {item.changeMinutes > 0 && (
                <rect
                  x={x(item.fromMin)}
                  y={laneTop(item.lane) + 3}
                  width={Math.max(1.5, x(item.workMin) - x(item.fromMin))}
                  height={rowPx - 6}
                  fill="url(#order-change)"
                />
              )}
              <rect
                x={x(item.workMin)}
                y={laneTop(item.lane) + 5}
                width={Math.max(1.5, x(item.toMin) - x(item.workMin) - 0.5)}
                height={rowPx - 10}
                className={colourOf(item)}
              />
            </g>
          ))}
        </svg>
      )}
    </div>
  );
}
