import { useLengths } from '../ground/lengths-context';
import { footMeasures, type FootMeasure } from './foot-measures';
import { footParts, type DrawnFoot } from './foot-parts';
import { FootShape } from './foot-shape';

interface FootOutlineProps {
  readonly foot: DrawnFoot;
  /** The letter of the measure whose field has the focus. */
  readonly lit?: string | null;
}

type Scale = (mm: number) => number;

/** A measure as a line with ticks at its ends and its letter beside it. */
function MeasureLine(props: { measure: FootMeasure; lit: boolean; x: Scale; y: Scale }) {
  const { measure, lit, x, y } = props;
  const [x1, y1] = [x(measure.from[0]), y(measure.from[1])];
  const [x2, y2] = [x(measure.to[0]), y(measure.to[1])];
  const level = Math.abs(y2 - y1) < Math.abs(x2 - x1) || y1 === y2;
  const tick = (px: number, py: number) =>
    level ? `M${px},${py - 5} v10` : `M${px - 5},${py} h10`;
  // The letter stands at the far end, beyond the tick.
  const away = level ? [x2 + (x2 >= x1 ? 11 : -11), y2] : [x2, y2 + (y2 > y1 ? 12 : -12)];
  const middle = measure.name === 'sole width' || measure.name === 'mouth';
  const [lx = 0, ly = 0] = middle
    ? [(x1 + x2) / 2, y1 + (measure.name === 'mouth' ? 14 : -13)]
    : away;
  return (
    <g>
      <path
        d={`M${x1},${y1} L${x2},${y2} ${tick(x1, y1)} ${tick(x2, y2)}`}
        stroke="var(--color-pencil)"
        strokeWidth={lit ? 4 : 1.6}
        fill="none"
      />
      <circle
        cx={lx}
        cy={ly}
        r={9.5}
        fill={lit ? 'var(--color-pencil)' : 'var(--color-paper)'}
        stroke="var(--color-pencil)"
        strokeWidth={1.4}
      />
      <text
        x={lx}
        y={ly + 4.5}
        textAnchor="middle"
        fontSize={13}
        fontWeight={700}
        fill={lit ? 'var(--color-slip)' : 'var(--color-pencil)'}
      >
        {measure.letter}
      </text>
    </g>
  );
}

/** A foot from above, drawn from its numbers, with a letter at each thing to measure. */
export function FootOutline({ foot, lit = null }: FootOutlineProps) {
  const { specs, soleMm } = foot;
  const lengths = useLengths();
  const range = 'atMm' in specs.guide ? [specs.guide.atMm, specs.guide.atMm] : specs.guide.rangeMm;
  const [from = 0, to = 0] = range;
  const measures = footMeasures(foot, from);
  const places = [
    ...footParts(foot, from).flatMap(({ points }) => points),
    ...measures.flatMap((measure) => [measure.from, measure.to]),
  ];
  const xs = [...places.map(([x]) => x), to];
  const ys = places.map(([, y]) => y);
  const [leftMm, rightMm] = [Math.min(...xs), Math.max(...xs)];
  const [frontMm, backMm] = [Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(300 / (rightMm - leftMm), 262 / (backMm - frontMm));
  const x = (mm: number) => 190 + (mm - (leftMm + rightMm) / 2) * scale;
  const y = (mm: number) => 165 - (mm - (frontMm + backMm) / 2) * scale;
  const [left, right] = specs.slotMm ?? specs.besideMm ?? [0, 0];
  return (
    <svg
      viewBox="0 0 380 340"
      className="w-full max-w-md"
      role="img"
      aria-label="The foot from above, to scale"
    >
      {to > from && (
        <rect
          x={x(from)}
          y={y(-2.2)}
          width={(to - from) * scale}
          height={(soleMm.toeMm - 2.2) * scale}
          fill="var(--color-pencil)"
          fillOpacity={0.18}
        />
      )}
      <FootShape foot={foot} guideMm={from} x={x} y={y} />
      <line
        x1={x(0)}
        x2={x(0)}
        y1={y(soleMm.heelMm)}
        y2={y(-soleMm.toeMm)}
        stroke="var(--color-soft)"
        strokeDasharray="4 4"
      />
      {measures.map((measure) => (
        <MeasureLine
          key={measure.letter}
          measure={measure}
          lit={lit === measure.letter}
          x={x}
          y={y}
        />
      ))}
      <g
        fontSize={13}
        fill="var(--color-graphite)"
        stroke="var(--color-paper)"
        strokeWidth={4}
        paintOrder="stroke"
      >
        <text x={x(left) - 24} y={y(0) + 5} textAnchor="end">
          {lengths.fineNumber(left)}
        </text>
        <text x={x(right) + 24} y={y(0) + 5}>
          {lengths.fineNumber(right)}
        </text>
        <text x={190} y={333} textAnchor="middle" fill="var(--color-soft)" stroke="none">
          toe below, heel above; {specs.guidance} at {lengths.fineNumber(from)}
          {to > from ? ` … ${lengths.fineNumber(to)}` : ''} {lengths.unit}
        </text>
      </g>
    </svg>
  );
}
