import { useId } from 'react';
import type { FoldPlan } from '../../core/finish/fold-plan';
import type { FoldMark } from '../../core/fold/mark';
import { useLengths } from '../ground/lengths-context';
import { actionNames, originNames } from '../words/facts';
import { tickStepMm } from './axis';
import { NumbersTable } from './numbers-table';
import { Ruler } from './section-scale';
import { useBox } from './use-box';

interface Line {
  readonly id: string;
  readonly name: string;
  readonly atMm: number;
  /** The distance its words say, from wherever it is measured. */
  readonly ownMm: number;
  readonly note: string;
  readonly colour: string;
  readonly dashes: string | undefined;
}

const looks: Readonly<Record<FoldMark['action'], Pick<Line, 'colour' | 'dashes'>>> = {
  press: { colour: 'var(--color-pencil)', dashes: undefined },
  temporary: { colour: 'var(--color-pencil)', dashes: '7 6' },
  stitch: { colour: 'var(--color-madder)', dashes: '2 5' },
  cut: { colour: 'var(--color-graphite)', dashes: '10 4 2 4' },
};

/** Where a mark lies on the flat cloth: one that counts from the first seam lies beyond it. */
function onFlatCloth(mark: FoldMark, { marks, allowanceMm }: FoldPlan): number {
  if (mark.from !== 'first-seam') return mark.atMm;
  const seam = marks.find(({ from, action }) => from === 'raw-edge' && action === 'stitch');
  return mark.action === 'cut' ? Math.max(0, (seam?.atMm ?? 0) - mark.atMm) : allowanceMm;
}

/** The lines across the flat cloth, from the raw edge or from the stitching of an old hem. */
function linesOf(folds: FoldPlan): Line[] {
  const { marks, allowanceMm, trim } = folds;
  const lines = marks.map((mark) => ({
    id: mark.id,
    name: mark.name,
    atMm: onFlatCloth(mark, folds),
    ownMm: mark.atMm,
    note: `${actionNames[mark.action]}, ${originNames[mark.from]}`,
    ...looks[mark.action],
  }));
  if (marks.some(({ from }) => from === 'seam-line')) {
    const shift = (marks[0]?.atMm ?? 0) * 2;
    const landing: Line = {
      id: 'landing',
      name: 'Lands on the old stitching',
      atMm: shift,
      ownMm: shift,
      note: 'stitch',
      ...looks.stitch,
    };
    const cut = (atMm: number, id: string): Line => ({
      id,
      name: 'Trim',
      atMm,
      ownMm: trim?.leaveMm ?? 0,
      note: 'cut, from the seam',
      ...looks.cut,
    });
    const cuts = trim?.needed
      ? [cut(trim.leaveMm, 'trim-1'), cut(shift - trim.leaveMm, 'trim-2')]
      : [];
    return [...lines, ...cuts, landing];
  }
  const named = lines.some(({ atMm }) => Math.abs(atMm - allowanceMm) < 1e-6);
  const finished: Line = {
    id: 'finished-edge',
    name: allowanceMm === 0 ? 'Raw edge, finished as it is' : 'Finished edge',
    atMm: Math.max(0, allowanceMm),
    ownMm: Math.max(0, allowanceMm),
    note: 'here the garment ends',
    ...looks.press,
  };
  if (allowanceMm < 0) {
    const trim: Line = {
      id: 'cut-off',
      name: 'Cut off, then bind',
      atMm: -allowanceMm,
      ownMm: -allowanceMm,
      note: 'cut',
      ...looks.cut,
    };
    return [trim];
  }
  return named ? lines : [finished, ...lines];
}

/** The flat cloth from above with every line across it named, to scale. */
export function AllowanceStrip({ folds }: { folds: FoldPlan }) {
  const lengths = useLengths();
  const id = useId();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const lines = linesOf(folds).sort((a, b) => a.atMm - b.atMm);
  const last = lines.at(-1)?.atMm ?? 0;
  const old = folds.marks.some(({ from }) => from === 'seam-line');
  const shownMm = last + Math.max(20, last * 0.4);
  const pad = 40;
  const scale = (width - 2 * pad) / shownMm;
  const x = (mm: number) => pad + mm * scale;
  const top = 36 + Math.min(3, lines.length) * 42;
  const bottom = height - 64;
  const away = Math.max(0, -folds.allowanceMm);
  return (
    <div ref={ref} className="relative h-full w-full overflow-hidden">
      {width > 0 && height > 150 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label="Flat cloth with its marks, to scale"
        >
          <defs>
            <pattern id={`${id}-grain`} width="7" height="7" patternUnits="userSpaceOnUse">
              <path d="M0,3.5 H7 M3.5,0 V7" stroke="var(--color-seam)" strokeOpacity="0.16" />
            </pattern>
            <pattern
              id={`${id}-cut-away`}
              width="8"
              height="8"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <rect width="8" height="8" fill="var(--color-paper)" />
              <line x1="0" x2="0" y1="0" y2="8" stroke="var(--color-seam)" strokeWidth="2" />
            </pattern>
          </defs>
          <rect
            x={x(0)}
            y={top}
            width={Math.max(0, x(Math.max(0, folds.allowanceMm)) - x(0))}
            height={bottom - top}
            fill="var(--cloth-1)"
          />
          <rect
            x={x(Math.max(0, folds.allowanceMm))}
            y={top}
            width={width - pad - x(Math.max(0, folds.allowanceMm))}
            height={bottom - top}
            fill="var(--cloth-2)"
          />
          <rect
            x={x(0)}
            y={top}
            width={width - pad - x(0)}
            height={bottom - top}
            fill={`url(#${id}-grain)`}
          />
          {away > 0 && (
            <rect
              x={x(0)}
              y={top}
              width={x(away) - x(0)}
              height={bottom - top}
              fill={`url(#${id}-cut-away)`}
            />
          )}
          <path
            d={zigzag(x(0), top, bottom)}
            fill="none"
            stroke="var(--color-graphite)"
            strokeWidth={1.6}
          />
          {last > 0 && (
            <text x={x(0)} y={top - 8} fontSize={14} fill="var(--color-soft)" textAnchor="middle">
              {old ? 'line you sew' : 'raw edge'}
            </text>
          )}
          <text
            x={width - pad - 8}
            y={bottom - 12}
            fontSize={14}
            fill="var(--color-graphite)"
            textAnchor="end"
          >
            garment →
          </text>
          {lines.map((line, i) => (
            <StripLine
              key={line.id}
              line={line}
              lines={lines}
              i={i}
              x={x}
              top={top}
              bottom={bottom}
              width={width}
            />
          ))}
          <Ruler
            left={0}
            right={shownMm}
            x={x}
            y={bottom + 14}
            step={tickStepMm(lengths.unit, scale, 64)}
          />
        </svg>
      )}
      <NumbersTable
        caption="The marks in numbers"
        rows={lines.map(({ name, ownMm, note }, i) => [
          `${i + 1}. ${name}`,
          `${lengths.cloth(ownMm)}, ${note}`,
        ])}
      />
    </div>
  );
}

/** A cut edge as it is drawn: not quite straight. */
function zigzag(x: number, top: number, bottom: number): string {
  const turns = 12;
  const points = Array.from(
    { length: turns },
    (_, i) => `L${x + (i % 2 ? -2.5 : 2.5)},${top + ((bottom - top) * (i + 1)) / turns}`,
  );
  return `M${x},${top} ${points.join(' ')}`;
}

function StripLine(props: {
  line: Line;
  lines: readonly Line[];
  i: number;
  x: (mm: number) => number;
  top: number;
  bottom: number;
  width: number;
}) {
  const { line, lines, i, x, top, bottom, width } = props;
  const lengths = useLengths();
  const at = x(line.atMm);
  // Names that would touch are set on rows of their own, above one another.
  const near = lines.slice(0, i).filter((other) => at - x(other.atMm) < 150).length;
  const row = top - 14 - (near % 3) * 42;
  // Half the words' width, so that a name at the raw edge is not cut off.
  const half = Math.max(74, line.name.length * 4.4);
  const words = Math.min(width - half, Math.max(half, at));
  return (
    <g>
      <line
        x1={at}
        x2={at}
        y1={row + 2}
        y2={bottom}
        stroke={line.colour}
        strokeWidth={line.dashes === '2 5' ? 2.6 : 2}
        strokeDasharray={line.dashes}
      />
      <g textAnchor="middle" stroke="var(--color-paper)" strokeWidth={4} paintOrder="stroke">
        <text x={words} y={row - 16} fontSize={15} fontWeight={700} fill={line.colour}>
          {line.name}
        </text>
        <text x={words} y={row - 1} fontSize={13} fill="var(--color-graphite)">
          {line.atMm > 0 && `${lengths.cloth(line.ownMm)} · ${lengths.beside(line.ownMm)}`}
        </text>
      </g>
    </g>
  );
}
