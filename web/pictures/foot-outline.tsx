import type { FootDraft } from '../../contract/kit';
import { useLengths } from '../app/lengths-context';

/** A foot from above, drawn from its numbers, with the slot, the guide and their measures. */
export function FootOutline({ specs, soleMm }: Pick<FootDraft, 'specs' | 'soleMm'>) {
  const lengths = useLengths();
  const scale = Math.min(300 / Math.max(soleMm.widthMm, 20), 230 / (soleMm.toeMm + soleMm.heelMm));
  const [cx, cy] = [190, 16 + soleMm.heelMm * scale];
  const x = (mm: number) => cx + mm * scale;
  const y = (mm: number) => cy - mm * scale;
  const [left, right] = specs.slotMm;
  const range = 'atMm' in specs.guide ? [specs.guide.atMm, specs.guide.atMm] : specs.guide.rangeMm;
  const [from = 0, to = 0] = range;
  return (
    <svg
      viewBox="0 0 380 300"
      className="w-full max-w-md"
      role="img"
      aria-label="The foot from above, to scale"
    >
      <rect
        x={x(-soleMm.widthMm / 2)}
        y={y(soleMm.heelMm)}
        width={soleMm.widthMm * scale}
        height={(soleMm.heelMm + soleMm.toeMm) * scale}
        rx={10}
        fill="#d9d4c8"
        stroke="#26272b"
        strokeWidth={1.5}
      />
      <rect
        x={x(left)}
        y={y(2.2)}
        width={(right - left) * scale}
        height={4.4 * scale}
        rx={6}
        fill="#fdfbf5"
        stroke="#26272b"
        strokeWidth={1.5}
      />
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
      <line
        x1={x(from)}
        x2={x(from)}
        y1={y(-2.2)}
        y2={y(-soleMm.toeMm)}
        stroke="#235387"
        strokeWidth={4}
      />
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
        <text x={x(from) - 8} y={y(-soleMm.toeMm) - 8} fill="#235387" textAnchor="end">
          {specs.guidance} {lengths.fineNumber(from)}
          {to > from ? ` … ${lengths.fineNumber(to)}` : ''}
        </text>
      </g>
    </svg>
  );
}
