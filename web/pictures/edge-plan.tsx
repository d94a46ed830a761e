import type { EdgeRecord } from '../../contract/records';
import { useLengths } from '../app/lengths';
import { useBox } from './use-box';

interface EdgePlanProps {
  readonly edge: EdgeRecord;
  readonly depthMm: number;
  readonly allowanceMm: number;
}

/** An arc about (cx, cy), symmetric about straight down. */
function arc(cx: number, cy: number, r: number, half: number): string {
  const [dx, dy] = [r * Math.sin(half), r * Math.cos(half)];
  return `M${cx - dx},${cy + dy} A${r},${r} 0 0 0 ${cx + dx},${cy + dy}`;
}

/** The whole edge from above, to scale: its length, the hem's depth, the allowance beyond it. */
function WholeEdge({ edge, depthMm, allowanceMm, width, height }: EdgePlanProps & { width: number; height: number }) {
  const lengths = useLengths();
  const pad = 60;
  const scale = Math.min((width - 2 * pad) / edge.lengthMm, (height - 90) / (depthMm * 3 + allowanceMm));
  const long = edge.lengthMm * scale;
  const [x0, hemline] = [(width - long) / 2, height * 0.55];
  const [x1, bandTop, raw] = [x0 + long, hemline - depthMm * scale, hemline + allowanceMm * scale];
  const garmentTop = 34;
  const tube = edge.shape === 'tube';
  const torn = (x: number) =>
    `M${x},${garmentTop} ${Array.from({ length: 6 }, (_, i) => `L${x + (i % 2 ? -3 : 3)},${garmentTop + ((raw - garmentTop) * (i + 1)) / 6}`).join(' ')}`;
  return (
    <g>
      <rect x={x0} y={garmentTop} width={long} height={hemline - garmentTop} fill="#cdbfa5" />
      <rect x={x0} y={bandTop} width={long} height={hemline - bandTop} fill="#b6a98f" />
      <rect x={x0} y={hemline} width={long} height={raw - hemline} fill="#e4d9c4" />
      <line x1={x0} x2={x1} y1={hemline} y2={hemline} stroke="#235387" strokeWidth={2.5} />
      <line x1={x0} x2={x1} y1={raw} y2={raw} stroke="#26272b" strokeWidth={1.5} strokeDasharray="3 3" />
      <line x1={x0} x2={x1} y1={bandTop} y2={bandTop} stroke="#963226" strokeWidth={1.5} strokeDasharray="7 4" />
      <g stroke="#26272b" strokeWidth={1.5} fill="none" strokeDasharray={tube ? '2 3' : undefined}>
        <path d={torn(x0)} />
        <path d={torn(x1)} />
      </g>
      <g fontSize={14} fill="#26272b">
        <text x={width / 2} y={24} textAnchor="middle" fontWeight={700}>
          {lengths.cloth(edge.lengthMm)} {tube ? 'round; the two ends are one seam' : 'long'}
        </text>
        <text x={x0} y={raw + 20} fill="#235387">
          hemline, blue · raw edge, dotted, {lengths.cloth(allowanceMm)} beyond · stitching, red, {lengths.cloth(depthMm)} above
        </text>
      </g>
    </g>
  );
}

/** The tightest curve to scale: where the raw edge lies and where it has to land. */
function Tightest({ edge, depthMm, allowanceMm, width, top, height }: EdgePlanProps & { width: number; top: number; height: number }) {
  const lengths = useLengths();
  const radius = edge.minRadiusMm ?? 0;
  const shown = Math.min(height - 76, 190);
  // Show the allowance and as much of the garment again, at most a third of a turn.
  const scale = shown / (allowanceMm + Math.min(radius, allowanceMm * 1.6) + 4);
  const half = Math.min(Math.PI / 3, (width * 0.36) / Math.max(1, radius * scale));
  const cx = width / 2;
  const hemY = top + 44 + Math.min(radius, allowanceMm * 1.6) * scale;
  const cy = hemY - radius * scale;
  const at = (r: number) => arc(cx, cy, Math.max(0.5, r) * scale, half);
  const inner = Math.max(0, radius - depthMm);
  return (
    <g fill="none">
      <text x={width / 2} y={top + 20} textAnchor="middle" fontSize={15} fontWeight={700} fill="#26272b">
        The tightest curve, radius {lengths.cloth(radius)}, {(scale / 3.78).toFixed(2)} of life size
      </text>
      <path d={at(radius + allowanceMm)} stroke="#26272b" strokeWidth={1.5} strokeDasharray="3 3" />
      <path d={at(radius)} stroke="#235387" strokeWidth={2.5} />
      {inner > 0 && <path d={at(inner)} stroke="#963226" strokeWidth={1.5} strokeDasharray="7 4" />}
    </g>
  );
}

/** The edge as it lies on the table, to scale. */
export function EdgePlan(props: EdgePlanProps) {
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const curved = props.edge.minRadiusMm !== null;
  const split = curved ? height * 0.46 : height;
  return (
    <div ref={ref} className="h-full w-full overflow-hidden">
      {width > 0 && (
        <svg width={width} height={height} role="img" aria-label="The edge from above, to scale">
          <WholeEdge {...props} width={width} height={split} />
          {curved && <Tightest {...props} width={width} top={split} height={height - split} />}
        </svg>
      )}
    </div>
  );
}
