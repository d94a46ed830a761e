import { memo, useId } from 'react';
import type { DriftBelief } from '../../core/margin/belief';
import type { FaultWords } from '../../core/finish/finish-margin';
import type { Margin } from '../../core/margin/margin';
import { useLengths } from '../ground/lengths-context';
import { NumbersTable } from './numbers-table';
import { tickStepMm, ticksWithin, upright } from './axis';
import { hill } from './hill';
import { useBox } from './use-box';
import { useSteady } from './use-steady';

/** The least drift shown to either side, mm; grows with the margin and the spread. */
const leastReachMm = 1;

const reachesMm = [1, 1.5, 2, 3, 4, 6, 9];
/** What is shown takes up this share of the axis at the least before the axis is drawn shorter. */
const leastShare = 1 / 3;

/** How far the axis reaches to either side, mm: in few sizes, and the same while a dial goes to and fro. */
function useReach(margin: Margin, belief: DriftBelief): number {
  const ends = [margin.fromMm, margin.toMm].filter(Number.isFinite).map(Math.abs);
  const hand = Math.abs(belief.shiftMm) + 2.5 * belief.sigmaMm;
  const reach = Math.max(leastReachMm, hand, ...ends.map((end) => Math.min(end, 8) + 0.35));
  return useSteady(
    reachesMm.find((size) => size >= reach) ?? Math.ceil(reach),
    (shown) => shown >= reach && reach >= leastShare * shown,
  );
}

/** Whose the blue hill is. */
const hands = {
  guess: 'a steady hand, starting guess',
  scraps: 'your hand, from your scraps',
  elsewhere: 'your hand, from other edges',
} as const;

interface MarginBarProps {
  readonly margin: Margin;
  readonly belief: DriftBelief;
  /** Where the belief about the hand comes from. */
  readonly known: keyof typeof hands;
  /** What wanders: the fold, a raw edge. */
  readonly reference: string;
  /** The finish's own words for what waits at the ends. */
  readonly faults: Readonly<Record<string, FaultWords>>;
}

/** Narrower than this the words stand under the bar, px. */
const narrowPx = 560;

/** The bar's places from top to bottom, and the room beside it, px. */
const [hillTop, bar, barEnd, pad] = [4, 58, 84, 14];

/** Where a drift lies on a bar, px; 0 is in its middle. */
const placesOn = (reach: number, width: number) => (mm: number) =>
  pad + ((mm + reach) / (2 * reach)) * (width - 2 * pad);

/** How far the edge may wander, what waits at either end, and the hand's own spread over it. */
export function MarginBar({ margin, belief, known, reference, faults }: MarginBarProps) {
  const lengths = useLengths();
  const [ref, { width }] = useBox<HTMLDivElement>();
  const fault = useId();
  const reach = useReach(margin, belief);
  const x = placesOn(reach, width);
  const clamp = (mm: number) => Math.min(reach, Math.max(-reach, mm));
  const [from, to] = [clamp(margin.fromMm), clamp(margin.toMm)];
  const open = margin.toMm > margin.fromMm;
  const left = faults[margin.leftFault ?? '']?.short ?? '';
  const right = faults[margin.rightFault ?? '']?.short ?? '';
  // A label goes inside the green when there is room, otherwise the fault's side names it.
  const roomy = open && x(to) - x(from) > 190;
  const handWords = hands[known];
  // Where there is no room beside the bar, what waits at its ends is told below it.
  const wide = width >= narrowPx;

  return (
    <div ref={ref} className="w-full">
      {width > 0 && (
        <svg
          width={width}
          height={wide ? 122 : 106}
          role="img"
          aria-label={`Margin of the ${reference}`}
        >
          <defs>
            <pattern
              id={fault}
              width="7"
              height="7"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <rect width="7" height="7" className="fill-madder-wash" />
              <line
                x1="0"
                x2="0"
                y1="0"
                y2="7"
                className="stroke-madder [stroke-opacity:0.45] [stroke-width:2]"
              />
            </pattern>
          </defs>
          <rect
            x={x(-reach)}
            y={bar}
            width={x(reach) - x(-reach)}
            height={barEnd - bar}
            fill={`url(#${fault})`}
          />
          {open && (
            <rect
              x={x(from)}
              y={bar}
              width={Math.max(2, x(to) - x(from))}
              height={barEnd - bar}
              className="fill-moss-fill"
            />
          )}
          <Hill belief={belief} reach={reach} width={width} />
          {open && (
            <path
              d={upright(
                [
                  ...(Number.isFinite(margin.fromMm) ? [x(from)] : []),
                  ...(Number.isFinite(margin.toMm) ? [x(to)] : []),
                ],
                bar - 12,
                barEnd + 6,
              )}
              className="stroke-graphite [stroke-width:3]"
            />
          )}
          <line
            x1={x(0)}
            x2={x(0)}
            y1={hillTop}
            y2={barEnd + 6}
            className="stroke-pencil [stroke-dasharray:5_4] [stroke-width:2]"
          />
          <Scale
            reach={reach}
            width={width}
            reference={wide ? reference : null}
            spread={`${width > 720 ? `blue hill: ${handWords}, ` : ''}spread ${lengths.fine(belief.sigmaMm)}`}
          />
          <g fontSize={14} fontWeight={700}>
            {roomy && (
              <>
                <text x={x(from) + 8} y={barEnd - 8} className="fill-graphite">
                  {Number.isFinite(margin.fromMm)
                    ? `${lengths.fineNumber(-margin.fromMm)} left`
                    : 'any amount left'}
                </text>
                <text x={x(to) - 8} y={barEnd - 8} className="fill-graphite" textAnchor="end">
                  {Number.isFinite(margin.toMm)
                    ? `${lengths.fineNumber(margin.toMm)} right`
                    : 'any amount right'}
                </text>
              </>
            )}
            {wide && (
              <>
                <Fault text={left} atX={x(from) - 8} anchor="end" y={barEnd - 8} within={width} />
                <Fault text={right} atX={x(to) + 8} anchor="start" y={barEnd - 8} within={width} />
              </>
            )}
          </g>
        </svg>
      )}
      {width > 0 && !wide && (
        <NarrowEnds {...{ margin, left, right }} spread={lengths.fine(belief.sigmaMm)} />
      )}
      <NumbersTable
        caption="The margin in numbers"
        rows={[
          [
            'May drift left',
            Number.isFinite(margin.fromMm) ? lengths.fine(-margin.fromMm) : 'any amount',
          ],
          ['Then', faults[margin.leftFault ?? '']?.long ?? 'nothing'],
          [
            'May drift right',
            Number.isFinite(margin.toMm) ? lengths.fine(margin.toMm) : 'any amount',
          ],
          ['Then', faults[margin.rightFault ?? '']?.long ?? 'nothing'],
          ['Offset', lengths.fine(belief.shiftMm)],
          ['Spread', lengths.fine(belief.sigmaMm)],
        ].map(([name, value], i) => [`${name}${i === 3 ? ' ' : ''}`, value ?? ''] as const)}
      />
    </div>
  );
}

interface HillProps {
  readonly belief: DriftBelief;
  readonly reach: number;
  readonly width: number;
}

/** Where the hand leads the edge; the same while a dial is nudged. */
const Hill = memo(function Hill({ belief, reach, width }: HillProps) {
  return (
    <path
      d={hill(belief, reach, placesOn(reach, width), bar, hillTop)}
      className="fill-pencil stroke-pencil [fill-opacity:0.2] [stroke-width:1.5]"
    />
  );
});

interface ScaleProps {
  readonly reach: number;
  readonly width: number;
  /** What drifts; null where there is no room for words under the ticks. */
  readonly reference: string | null;
  /** Whose hill is drawn, and how wide it is. */
  readonly spread: string;
}

/** The ticks under a bar and what they count; the same while a dial is nudged. */
const Scale = memo(function Scale({ reach, width, reference, spread }: ScaleProps) {
  const { unit, fineNumber } = useLengths();
  const x = placesOn(reach, width);
  const ticks = ticksWithin(-reach, reach, tickStepMm(unit, width / (2 * reach), 70));
  return (
    <>
      <path d={upright(ticks.map(x), barEnd, barEnd + 5)} className="stroke-soft" />
      <g textAnchor="middle" fontSize={13} className="fill-soft">
        {ticks.map((tick) => (
          <text key={tick} x={x(tick)} y={barEnd + 20}>
            {`${tick > 0 ? '+' : ''}${fineNumber(tick)}`}
          </text>
        ))}
      </g>
      {reference !== null && (
        <g fontSize={13} className="fill-soft">
          <text x={x(-reach)} y={119}>{`← ${reference} drifts left`}</text>
          <text x={width / 2} y={119} className="fill-pencil" textAnchor="middle">
            {spread}
          </text>
          <text x={x(reach)} y={119} textAnchor="end">
            {`${unit} · drifts right →`}
          </text>
        </g>
      )}
    </>
  );
});

/** A fault's name on the hatching, on a plain ground so that it can be read. */
function Fault(props: {
  text: string;
  atX: number;
  anchor: 'start' | 'end';
  y: number;
  within: number;
}) {
  const { text, atX, anchor, y, within } = props;
  const width = text.length * 7.4 + 8;
  const room = anchor === 'end' ? atX : within - atX;
  if (!text || room < width) return null;
  return (
    <>
      <rect
        x={anchor === 'start' ? atX - 4 : atX - width + 4}
        y={y - 14}
        width={width}
        height={19}
        className="fill-paper"
        rx={2}
      />
      <text x={atX} y={y} textAnchor={anchor} className="fill-madder">
        {text}
      </text>
    </>
  );
}

/** What waits at either end, under a bar that has no room for it. */
function NarrowEnds(props: { margin: Margin; left: string; right: string; spread: string }) {
  const { fine } = useLengths();
  const { margin, left, right, spread } = props;
  const end = (mm: number, fault: string) =>
    Number.isFinite(mm) ? (
      <>
        <b>{fine(mm)}</b>, then <b className="text-madder">{fault}</b>
      </>
    ) : (
      'any amount'
    );
  return (
    <div className="grid grid-cols-2 gap-x-3 pb-1 text-sm">
      <p>← left {end(-margin.fromMm, left)}</p>
      <p className="text-right">{end(margin.toMm, right)} right →</p>
      <p className="col-span-2 text-center text-pencil">blue hill: the hand, spread {spread}</p>
    </div>
  );
}
