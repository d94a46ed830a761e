import { useId } from 'react';
import type { EdgeRecord } from '../../contract/records';
import { isClosed } from '../../core/edge/shape';
import { useLengths } from '../ground/lengths-context';
import { tickStepMm } from './axis';
import { useBox } from './use-box';

interface EdgePlanProps {
  readonly edge: EdgeRecord;
  readonly depthMm: number;
  /** Beyond the finished edge; negative where cloth is cut off. */
  readonly allowanceMm: number;
}
type Placed = EdgePlanProps & {
  /** What is cut off is filled with; null where nothing is. */
  readonly cutOff: string | null;
  readonly plain: boolean;
  readonly width: number;
  readonly top: number;
  readonly height: number;
};

interface BandsProps {
  readonly x0: number;
  readonly x1: number;
  readonly top: number;
  readonly lands: number;
  readonly hemline: number;
  readonly raw: number;
  /** What is cut off is filled with; null where nothing is. */
  readonly cutOff: string | null;
  readonly plain: boolean;
}

/** Garment, hem and allowance along a straight edge, with the three lines between them, px. */
function Bands({ x0, x1, top, lands, hemline, raw, cutOff, plain }: BandsProps) {
  const bands = [
    [top, lands, 'var(--cloth-2)'],
    [lands, hemline, 'var(--cloth-3)'],
    [hemline, raw, cutOff ?? 'var(--cloth-1)'],
  ] as const;
  const lines = [
    ...(plain ? [] : [[lands, 'var(--color-madder)', 1.5, '7 4'] as const]),
    [hemline, 'var(--color-pencil)', 2.5, undefined],
    [raw, 'var(--color-graphite)', 1.5, '3 3'],
  ] as const;
  return (
    <>
      {bands.map(([from, to, fill]) => (
        <rect key={fill} x={x0} y={from} width={x1 - x0} height={to - from} fill={fill} />
      ))}
      {lines.map(([y, stroke, strokeWidth, dashes]) => (
        <path
          key={stroke}
          d={`M${x0},${y} H${x1}`}
          stroke={stroke}
          strokeWidth={strokeWidth}
          strokeDasharray={dashes}
        />
      ))}
    </>
  );
}

/** The whole edge from above, to scale: its length, the hem's depth, the allowance beyond it. */
function WholeEdge({ edge, depthMm, allowanceMm, width, top, height, ...look }: Placed) {
  const lengths = useLengths();
  const pad = 50;
  const scale = Math.min(
    (width - 2 * pad) / edge.lengthMm,
    (height - 84) / (depthMm * 2.6 + allowanceMm),
  );
  const long = edge.lengthMm * scale;
  const x0 = (width - long) / 2;
  const x1 = x0 + long;
  const clothTop = top + 40;
  const raw = Math.min(top + height - 40, clothTop + (depthMm * 2.6 + allowanceMm) * scale + 30);
  const hemline = raw - allowanceMm * scale;
  const lands = hemline - depthMm * scale;
  const tube = isClosed(edge);
  const end = (x: number) =>
    `M${x},${clothTop} ${Array.from({ length: 8 }, (_, i) => `L${x + (i % 2 ? -3 : 3)},${clothTop + ((raw - clothTop) * (i + 1)) / 8}`).join(' ')}`;
  return (
    <g>
      <text
        x={width / 2}
        y={top + 26}
        textAnchor="middle"
        fontWeight={700}
        fontSize={15}
        fill="var(--color-graphite)"
      >
        {lengths.cloth(edge.lengthMm)} {tube ? 'round; both ends are one seam' : 'from end to end'}
      </text>
      <Bands x0={x0} x1={x1} top={clothTop} lands={lands} hemline={hemline} raw={raw} {...look} />
      <g
        stroke="var(--color-graphite)"
        strokeWidth={1.5}
        fill="none"
        strokeDasharray={tube ? '2 3' : undefined}
      >
        <path d={end(x0)} />
        <path d={end(x1)} />
      </g>
      <Legend
        x={width / 2}
        y={raw + 24}
        depthMm={depthMm}
        allowanceMm={allowanceMm}
        {...look}
        cutOff={look.cutOff !== null}
      />
    </g>
  );
}

/** The lines by colour, by dash and by name. */
function Legend(props: {
  x: number;
  y: number;
  depthMm: number;
  allowanceMm: number;
  cutOff: boolean;
  plain: boolean;
}) {
  const { x, y, depthMm, allowanceMm, cutOff, plain } = props;
  const { cloth } = useLengths();
  return (
    <text x={x} y={y} fontSize={14} textAnchor="middle">
      {!plain && <tspan fill="var(--color-madder)">– – depth, {cloth(depthMm)} in</tspan>}
      <tspan dx={18} fill="var(--color-pencil)" fontWeight={700}>
        — finished edge
      </tspan>
      {allowanceMm > 0 && (
        <tspan dx={18} fill="var(--color-graphite)">
          ··· raw edge, {cloth(allowanceMm)} {cutOff ? 'out, cut off' : 'out'}
        </tspan>
      )}
    </text>
  );
}

/** A ring's slice about (cx, cy), symmetric about straight down, between two radii in px. */
function slice(cx: number, cy: number, inner: number, outer: number, half: number): string {
  const at = (r: number, side: number) =>
    `${(cx + side * r * Math.sin(half)).toFixed(1)},${(cy + r * Math.cos(half)).toFixed(1)}`;
  return `M${at(inner, -1)} A${inner},${inner} 0 0 0 ${at(inner, 1)} L${at(outer, 1)} A${outer},${outer} 0 0 1 ${at(outer, -1)} Z`;
}

/** The tightest curve to scale: where the raw edge lies, and the other line where it lands. */
function Tightest({ edge, depthMm, allowanceMm, cutOff, plain, width, top, height }: Placed) {
  const lengths = useLengths();
  const radius = edge.minRadiusMm ?? 0;
  // Round a neck the garment lies outside its edge, and the raw edge in the hole.
  const inside = edge.shape === 'inside-curve';
  const side = inside ? 1 : -1;
  const at = (mm: number) => Math.max(0, radius + side * mm);
  const wanted = inside ? depthMm * 2 : Math.min(radius, depthMm * 2);
  const outermost = Math.max(at(-allowanceMm), at(wanted));
  // So that allowance, hem and as much garment again fit between the headline and the ruler.
  const scale = (height - 84) / ((allowanceMm + wanted) * 1.12);
  const half = Math.min(1, Math.asin(Math.min(1, (width * 0.42) / (outermost * scale))));
  const sagitta = outermost * scale * (1 - Math.cos(half));
  const fit = Math.min(1, (height - 84) / ((allowanceMm + wanted) * scale + sagitta));
  const s = scale * fit;
  const [cx, cy] = [width / 2, top + height - 46 - outermost * s];
  const ring = (one: number, other: number) =>
    slice(cx, cy, Math.min(one, other) * s, Math.max(one, other) * s, half);
  const line = (r: number) => slice(cx, cy, r * s, r * s, half).split(' L')[0];
  return (
    <g>
      <text
        x={width / 2}
        y={top + 18}
        textAnchor="middle"
        fontSize={15}
        fontWeight={700}
        fill="var(--color-graphite)"
      >
        its tightest curve, radius {lengths.cloth(radius)}
      </text>
      <path d={ring(at(wanted), at(depthMm))} fill="var(--cloth-2)" />
      <path d={ring(at(depthMm), radius)} fill="var(--cloth-3)" />
      <path d={ring(radius, at(-allowanceMm))} fill={cutOff ?? 'var(--cloth-1)'} />
      <g fill="none">
        {!plain && (
          <path
            d={line(at(depthMm))}
            stroke="var(--color-madder)"
            strokeWidth={1.5}
            strokeDasharray="7 4"
          />
        )}
        <path d={line(radius)} stroke="var(--color-pencil)" strokeWidth={2.5} />
        <path
          d={line(at(-allowanceMm))}
          stroke="var(--color-graphite)"
          strokeWidth={1.5}
          strokeDasharray="3 3"
        />
      </g>
      <ScaleBar s={s} width={width} y={top + height - 24} />
    </g>
  );
}

/** A piece of a straight edge, nearer. */
function CloseUp({ depthMm, allowanceMm, cutOff, plain, width, top, height }: Placed) {
  const s = (height - 84) / ((allowanceMm + depthMm * 2) * 1.05);
  const [x0, x1] = [width * 0.14, width * 0.86];
  const raw = top + height - 46;
  const hemline = raw - allowanceMm * s;
  const lands = hemline - depthMm * s;
  return (
    <g>
      <text
        x={width / 2}
        y={top + 18}
        textAnchor="middle"
        fontSize={15}
        fontWeight={700}
        fill="var(--color-graphite)"
      >
        the same, nearer
      </text>
      <Bands
        x0={x0}
        x1={x1}
        top={lands - depthMm * s * 0.9}
        lands={lands}
        hemline={hemline}
        raw={raw}
        cutOff={cutOff}
        plain={plain}
      />
      <ScaleBar s={s} width={width} y={top + height - 24} />
    </g>
  );
}

/** A length in round numbers, to read a picture's scale by. */
function ScaleBar({ s, width, y }: { s: number; width: number; y: number }) {
  const lengths = useLengths();
  const bar = tickStepMm(lengths.unit, s, 60);
  return (
    <g transform={`translate(${width - 40 - bar * s}, ${y})`}>
      <path
        d={`M0,-5 V5 M0,0 H${bar * s} M${bar * s},-5 V5`}
        stroke="var(--color-graphite)"
        strokeWidth={1.5}
      />
      <text x={(bar * s) / 2} y={18} fontSize={13} textAnchor="middle" fill="var(--color-soft)">
        {lengths.cloth(bar)}
      </text>
    </g>
  );
}

/** Least depth and allowance together that a picture is laid out for, mm. */
const leastAcrossMm = 8;

/** The edge as it lies on the table, to scale. */
export function EdgePlan({ edge, depthMm, allowanceMm }: EdgePlanProps) {
  const id = useId();
  const props = {
    edge,
    // Where nothing is turned up or added, a little garment stands in for the hem.
    depthMm: Math.max(depthMm, leastAcrossMm / 4),
    allowanceMm: Math.abs(allowanceMm),
    cutOff: allowanceMm < 0 ? `url(#${id})` : null,
    plain: depthMm === 0,
  };
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const split = height * 0.45;
  return (
    <div ref={ref} className="h-full w-full overflow-hidden">
      {width > 0 && height > 60 && (
        <svg width={width} height={height} role="img" aria-label="The edge from above, to scale">
          <defs>
            <pattern
              id={id}
              width="7"
              height="7"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <rect width="7" height="7" fill="var(--color-paper)" />
              <line x1="0" x2="0" y1="0" y2="7" stroke="var(--color-seam)" strokeWidth="2" />
            </pattern>
          </defs>
          <WholeEdge {...props} width={width} top={0} height={split} />
          {edge.minRadiusMm === null ? (
            <CloseUp {...props} width={width} top={split} height={height - split} />
          ) : (
            <Tightest {...props} width={width} top={split} height={height - split} />
          )}
        </svg>
      )}
    </div>
  );
}
