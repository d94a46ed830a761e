import { useLengths } from '../app/lengths-context';
import { footParts, type DrawnFoot } from './foot-parts';
import { FootShape } from './foot-shape';

/** A foot from above, drawn from its numbers, with the slot, the guide and their measures. */
export function FootOutline({ foot }: { foot: DrawnFoot }) {
  const { specs, soleMm } = foot;
  const lengths = useLengths();
  const range = 'atMm' in specs.guide ? [specs.guide.atMm, specs.guide.atMm] : specs.guide.rangeMm;
  const [from = 0, to = 0] = range;
  const places = footParts(foot, from).flatMap(({ points }) => points);
  const xs = [...places.map(([x]) => x), to];
  const ys = places.map(([, y]) => y);
  const [leftMm, rightMm] = [Math.min(...xs), Math.max(...xs)];
  const [frontMm, backMm] = [Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(300 / (rightMm - leftMm), 250 / (backMm - frontMm));
  const x = (mm: number) => 190 + (mm - (leftMm + rightMm) / 2) * scale;
  const y = (mm: number) => 150 - (mm - (frontMm + backMm) / 2) * scale;
  const [left, right] = specs.slotMm;
  const guideName = `${specs.guidance} ${lengths.fineNumber(from)}`;
  return (
    <svg
      viewBox="0 0 380 300"
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
          fill="#235387"
          fillOpacity={0.18}
        />
      )}
      <FootShape foot={foot} guideMm={from} x={x} y={y} />
      <line
        x1={x(0)}
        x2={x(0)}
        y1={y(soleMm.heelMm)}
        y2={y(-soleMm.toeMm)}
        stroke="#57534a"
        strokeDasharray="4 4"
      />
      <g fontSize={14} fill="#26272b" stroke="#f7f1e5" strokeWidth={4} paintOrder="stroke">
        <text x={x(left) - 6} y={y(0) + 5} textAnchor="end">
          {lengths.fineNumber(left)}
        </text>
        <text x={x(right) + 6} y={y(0) + 5}>
          {lengths.fineNumber(right)}
        </text>
        <text
          x={Math.max(90, x(from) - 8)}
          y={y(-soleMm.toeMm) - 8}
          fill="#235387"
          textAnchor="end"
        >
          {guideName}
          {to > from ? ` … ${lengths.fineNumber(to)}` : ''}
        </text>
      </g>
    </svg>
  );
}
