import type { HandsAt } from '../../core/plan/hands-along';
import type { EdgePlateau } from '../../core/seam/profile';
import { useLengths } from '../ground/lengths-context';
import { handInWords } from '../words/hands';
import { alongFrame, blockOf, marksInRows, type AlongFrame } from './along/layout';
import { tickStepMm, ticksWithin } from './axis';
import { NumbersTable } from './numbers-table';
import { alongLine, placeLabels, widthOf } from './place-labels';
import { useBox } from './use-box';

interface AlongEdgeProps {
  /** The stack along the edge, as it comes from the start. */
  readonly profile: readonly EdgePlateau[];
  readonly hands: readonly HandsAt[];
  readonly lengthMm: number;
  readonly mostStackMm: number;
  readonly passes: boolean;
}

const fontPx = 14;

/** The stack's height from the start to the close, with what the hands do where; heights are drawn larger than lengths. */
export function AlongEdgePicture(props: AlongEdgeProps) {
  const { profile, hands, lengthMm } = props;
  const { cloth, fine } = useLengths();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  return (
    <div ref={ref} className="relative h-full w-full overflow-hidden">
      {width > 0 && height > 160 && <Strip {...props} {...{ width, height }} />}
      <NumbersTable
        caption="Along the edge, in numbers"
        rows={[
          ...profile.map(
            ({ fromMm, toMm, layers, stackMm }, i) =>
              [
                `${i + 1}. ${cloth(fromMm)} to ${cloth(toMm)}`,
                `${layers} layers, ${fine(stackMm)} under the foot`,
              ] as const,
          ),
          ...hands.map((hand, i) => {
            const { what, where, how } = handInWords(hand, { cloth, fine }, lengthMm);
            return [`To do ${i + 1}: ${what}, ${where}`, how] as const;
          }),
        ]}
      />
    </div>
  );
}

function Strip(props: AlongEdgeProps & { readonly width: number; readonly height: number }) {
  const { profile, hands, lengthMm, mostStackMm, passes, width, height } = props;
  const lengths = useLengths();
  const ends = [18, width - 18] as const;
  const perMm = (ends[1] - ends[0]) / lengthMm;
  const x = (mm: number) => ends[0] + mm * perMm;
  const marks = marksInRows(
    hands.map(({ fromMm }) => x(fromMm)),
    ends,
  );
  const rows = 1 + Math.max(0, ...marks.map(({ row }) => row));
  const frame = alongFrame(width, height, rows);
  const { basePx, topPx } = frame;
  const most = Math.max(mostStackMm, ...profile.map(({ stackMm }) => stackMm)) * 1.25;
  const y = (mm: number) => basePx - (mm * (basePx - topPx)) / most;
  const outline = profile.flatMap(({ fromMm, toMm, stackMm }) => [
    [x(fromMm), y(stackMm)] as const,
    [x(toMm), y(stackMm)] as const,
  ]);
  const lift = `passes up to ${lengths.fine(mostStackMm)}`;
  const words = profile.map(({ fromMm, toMm, stackMm, layers }) => ({
    text: `${lengths.fine(stackMm)}, ${layers === 1 ? '1 layer' : `${layers} layers`}`,
    x: (x(fromMm) + x(toMm)) / 2,
    y: y(stackMm),
  }));
  // Each height is told once, the thickest first: that is the one that may not pass.
  const told = [...words]
    .sort((a, b) => a.y - b.y)
    .filter(({ text }, i, all) => all.findIndex((other) => other.text === text) === i);
  const liftWords = { text: lift, x: (ends[0] + ends[1]) / 2, y: y(mostStackMm) };
  const boxes = placeLabels(
    [liftWords, ...told].map((it) => ({
      ...it,
      width: widthOf(it.text, fontPx),
      height: fontPx + 4,
    })),
    { width, height: basePx },
    [
      ...profile.map(({ fromMm, toMm, stackMm }) =>
        blockOf(x(fromMm), x(toMm), y(stackMm), basePx),
      ),
      ...alongLine([
        [ends[0], y(mostStackMm)],
        [ends[1], y(mostStackMm)],
      ]),
      { x: 0, y: 0, width, height: topPx },
    ],
  );
  const said = (text: string, i: number, look: string) => {
    const box = boxes[i];
    return (
      box && (
        <text
          key={text}
          x={box.x + box.width / 2}
          y={box.y + fontPx}
          fontSize={fontPx}
          textAnchor="middle"
          className={`${look} stroke-paper [paint-order:stroke] [stroke-width:5]`}
        >
          {text}
        </text>
      )
    );
  };
  const step = tickStepMm(lengths.unit, perMm, 64);
  return (
    <svg width={width} height={height} role="img" aria-label="The stack along the edge">
      <path
        d={`M${x(0)},${basePx} ${outline.map(([px, py]) => `L${px},${py}`).join(' ')} L${x(lengthMm)},${basePx} Z`}
        className="fill-(--cloth-2) stroke-(--cloth-line) [stroke-width:1.5]"
      />
      <path
        d={`M${ends[0]},${y(mostStackMm)}H${ends[1]}`}
        className={`fill-none [stroke-dasharray:9_5] [stroke-width:2] ${passes ? 'stroke-moss' : 'stroke-madder'}`}
      />
      <Lanes {...{ hands, x, frame }} />
      <path
        d={`M${ends[0]},${basePx}H${ends[1]}`}
        className="fill-none stroke-graphite [stroke-width:1.5]"
      />
      {hands.map(({ kind, fromMm }, i) => {
        const mark = marks[i]!;
        const my = topPx - 12 - mark.row * 24;
        return (
          <g key={`${kind} ${i}`} data-part="hand">
            <path
              d={`M${mark.x},${my + 10}L${x(fromMm)},${topPx + 4}V${basePx}`}
              className="fill-none stroke-pencil [stroke-dasharray:2_3]"
            />
            <circle cx={mark.x} cy={my} r={10} className="fill-pencil" />
            <text
              x={mark.x}
              y={my + 5}
              fontSize={14}
              textAnchor="middle"
              className="fill-slip font-bold"
            >
              {i + 1}
            </text>
          </g>
        );
      })}
      {said(lift, 0, `font-bold ${passes ? 'fill-moss' : 'fill-madder'}`)}
      {told.map(({ text }, i) => said(text, i + 1, 'fill-graphite font-bold'))}
      {ticksWithin(0, lengthMm, step).map((tick) => (
        <g key={tick}>
          <path d={`M${x(tick)},${frame.axisPx}v6`} className="stroke-soft" />
          <text
            x={x(tick)}
            y={frame.axisPx + 19}
            fontSize={13}
            textAnchor="middle"
            className="fill-soft"
          >
            {lengths.editable(tick)}
          </text>
        </g>
      ))}
      <text x={ends[0]} y={height - 5} fontSize={13} className="fill-soft">
        {lengths.unit} from where the line begins
      </text>
    </svg>
  );
}

/** Under the base: by handwheel, shims, curves and corners, each in its own lane. */
function Lanes(props: { hands: readonly HandsAt[]; x: (mm: number) => number; frame: AlongFrame }) {
  const { hands, x, frame } = props;
  const lane = { handwheel: 0, 'shim-behind': 1, 'shim-front': 1, curve: 2, corner: 2 } as const;
  const look = {
    handwheel: 'fill-ochre',
    'shim-behind': 'fill-pencil',
    'shim-front': 'fill-slip stroke-pencil [stroke-width:1.5]',
    curve: 'fill-moss',
    corner: 'fill-moss',
  } as const;
  return hands.map(({ kind, fromMm, toMm }, i) => {
    if (!(kind in lane)) return null;
    const known = kind as keyof typeof lane;
    const top = frame.lanesPx[lane[known]];
    return kind === 'corner' ? (
      <path
        key={i}
        data-part="corner"
        d={`M${x(fromMm)},${top - 3}l7,7l-7,7l-7,-7z`}
        className={look.corner}
      />
    ) : (
      <rect
        key={i}
        data-part={kind}
        x={x(fromMm)}
        y={top}
        width={Math.max(3, x(toMm) - x(fromMm))}
        height={8}
        className={look[known]}
      />
    );
  });
}
