import { useMemo } from 'react';
import { placeOf, plateausOf } from '../../core/fold/layer';
import type { FoldMark } from '../../core/fold/mark';
import { sectionOf, type Point, type Section } from '../../core/fold/section';
import type { FoldStage } from '../../core/finish/fold-plan';
import { useLengths } from '../ground/lengths-context';
import { LayerCounts, Ruler } from './section-scale';
import { NumbersTable } from './numbers-table';
import { tickStepMm } from './axis';
import { useBox } from './use-box';

interface SectionPictureProps {
  readonly stage: FoldStage;
  readonly marks: readonly FoldMark[];
  /** Multiplies the thickness as drawn; 1 is true. */
  readonly exaggeration: number;
  /** A small picture: no ruler, no words. */
  readonly small?: boolean;
}

/** Each strip its own ground; they are named as well, where there is more than one. */
const grounds: Readonly<Record<string, string>> = {
  garment: 'var(--cloth-3)',
  binding: 'var(--color-strip)',
  'other side': 'var(--cloth-1)',
};

type Scale = (mm: number) => number;

function pathOf(points: readonly Point[], x: Scale, y: Scale) {
  return points
    .map(({ xMm, zMm }, i) => `${i === 0 ? 'M' : 'L'}${x(xMm).toFixed(2)},${y(zMm).toFixed(2)}`)
    .join(' ');
}

/** Where a mark is at a stage, across the picture; null while it can't be seen. */
function markPlace(mark: FoldMark, stage: FoldStage, { bends }: Section): number | null {
  if (mark.from === 'first-seam') {
    return stage.stitchesXMm.some((x) => Math.abs(x - mark.atMm) < 1e-6) ? mark.atMm : null;
  }
  if (mark.from !== 'raw-edge') return null;
  const bend = bends.find(
    ({ piece, sMm }) => piece === 'garment' && Math.abs(sMm - mark.atMm) < 1e-6,
  );
  if (bend) return bend.xMm;
  const lies = bends.length === 0 || mark.action === 'stitch' || mark.action === 'cut';
  return lies ? placeOf(stage.stack, mark.atMm) : null;
}

/** The section through the hem, to scale, at one stage of the work. */
export function SectionPicture({ stage, marks, exaggeration, small = false }: SectionPictureProps) {
  const lengths = useLengths();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const section = useMemo(() => sectionOf(stage.stack, exaggeration), [stage, exaggeration]);
  const plateaus = useMemo(() => plateausOf(stage.stack), [stage]);
  const [left, right] = section.widthMm;
  const pad = small ? 10 : 60;
  const thickest = Math.max(...section.legs.map(({ thicknessMm }) => thicknessMm));
  const span = right - left + 2 * thickest;
  const table = small ? height * 0.78 : height * 0.6;
  // Each stage fills the width, or the height if it is a thick one; the ruler says the scale.
  const room = small ? table - 10 : table - 96;
  const scale = Math.max(
    0.1,
    Math.min((width - 2 * pad) / span, room / (section.heightMm + (stage.loopsMm ?? 0))),
  );
  const offset = (width - (right - left) * scale) / 2 - left * scale;
  const x: Scale = (mm) => offset + mm * scale;
  const y: Scale = (mm) => table - mm * scale;
  const top = y(section.heightMm);
  const namesFrom = top - (stage.loopsMm ?? 0) * scale;
  const step = tickStepMm(lengths.unit, scale, 64);
  const placed = marks.flatMap((mark) => {
    const at = markPlace(mark, stage, section);
    return at === null ? [] : [{ mark, px: x(at) }];
  });
  const garment = section.legs.find(({ piece }) => piece === 'garment');
  const rawEdge = garment?.centreLine[0];
  const pieces = [...new Set(section.legs.map(({ piece }) => piece))];

  return (
    <div ref={ref} className="relative h-full w-full overflow-hidden">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          {...(small
            ? { 'aria-hidden': true }
            : { role: 'img', 'aria-label': 'Section through the hem, to scale' })}
        >
          <line
            x1={0}
            x2={width}
            y1={table + 1}
            y2={table + 1}
            stroke="var(--color-line)"
            strokeWidth={2}
          />
          {section.legs.map(({ piece, thicknessMm, centreLine }, i) => {
            const line = pathOf(centreLine, x, y);
            const across = thicknessMm * scale;
            return (
              <g key={i} fill="none" strokeLinejoin="round">
                <path d={line} stroke="var(--cloth-line)" strokeWidth={across + 1.4} />
                <path
                  d={line}
                  stroke={grounds[piece] ?? 'var(--cloth-3)'}
                  strokeWidth={Math.max(0.8, across - 1.2)}
                />
              </g>
            );
          })}
          {rawEdge && garment && (
            <RawEdge at={rawEdge} x={x} y={y} halfPx={(garment.thicknessMm * scale) / 2} />
          )}
          {stage.wrappedMm && <Wrapped ends={stage.wrappedMm} x={x} top={top} table={table} />}
          {stage.loopsMm !== null && (
            <Loops at={stage.stitchesXMm} highPx={stage.loopsMm * scale} x={x} top={top} />
          )}
          {stage.stitchesXMm.map((xMm) => (
            <g key={xMm} stroke="var(--color-madder)" strokeWidth={2}>
              <line x1={x(xMm)} x2={x(xMm)} y1={top - (small ? 6 : 14)} y2={table + 5} />
              {!small && (
                <circle cx={x(xMm)} cy={top - 14} r={3} fill="var(--color-madder)" stroke="none" />
              )}
            </g>
          ))}
          {!small && (
            <>
              <MarkNames placed={placed} top={namesFrom} table={table} width={width} />
              <LayerCounts plateaus={plateaus} x={x} y={table + 20} />
              <Ruler left={left} right={right} x={x} y={table + 78} step={step} />
              {rawEdge && (
                <text
                  x={Math.max(34, x(rawEdge.xMm))}
                  y={table + 58}
                  fontSize={14}
                  textAnchor="middle"
                  fill="var(--color-soft)"
                >
                  raw edge
                </text>
              )}
              {garment && (
                <text
                  x={Math.min(width - 12, x(right))}
                  y={table + 58}
                  fontSize={14}
                  textAnchor="end"
                  fill="var(--color-soft)"
                >
                  garment →
                </text>
              )}
              {pieces.length > 1 && <PieceKey pieces={pieces} y={22} />}
            </>
          )}
        </svg>
      )}
      {!small && (
        <NumbersTable
          caption="The section in numbers"
          rows={[
            ...marks.map(({ name, atMm }) => [name, lengths.cloth(atMm)] as const),
            ...plateaus.map(
              ({ fromXMm, toXMm, layers, heightMm }, i) =>
                [
                  `${i + 1}. ${lengths.cloth(toXMm - fromXMm)} wide`,
                  `${layers} layers, ${lengths.fine(heightMm)} thick`,
                ] as const,
            ),
          ]}
        />
      )}
    </div>
  );
}

/** What colour is which strip. */
function PieceKey({ pieces, y }: { pieces: readonly string[]; y: number }) {
  return (
    <g fontSize={14}>
      {pieces.map((piece, i) => (
        <g key={piece} transform={`translate(${16 + i * 110}, ${y})`}>
          <rect y={-11} width={16} height={12} fill={grounds[piece]} stroke="var(--cloth-line)" />
          <text x={22} fill="var(--color-graphite)">
            {piece}
          </text>
        </g>
      ))}
    </g>
  );
}

/** Thread laid round an edge: over the top, round it, and back underneath. */
function Wrapped(props: { ends: readonly [number, number]; x: Scale; top: number; table: number }) {
  const { ends, x, top, table } = props;
  const [outer, inner] = [x(ends[0]), x(ends[1])];
  const half = (table - top) / 2 + 4;
  const bow = Math.min(half, Math.abs(inner - outer) / 2);
  return (
    <path
      d={`M${inner},${top - 4} L${outer + bow},${top - 4} Q${outer},${top - 4} ${outer},${(top + table) / 2} Q${outer},${table + 4} ${outer + bow},${table + 4} L${inner},${table + 4}`}
      fill="none"
      stroke="var(--color-madder)"
      strokeWidth={2}
      strokeDasharray="5 3"
    />
  );
}

/** Loops of thread standing from one stitch to the next. */
function Loops(props: { at: readonly number[]; highPx: number; x: Scale; top: number }) {
  const { at, highPx, x, top } = props;
  const [from, to] = [x(Math.min(...at)), x(Math.max(...at))];
  return [1, 0.8, 0.6].map((share) => (
    <path
      key={share}
      d={`M${from},${top} C${from},${top - highPx * share * 1.33} ${to},${top - highPx * share * 1.33} ${to},${top}`}
      fill="none"
      stroke="var(--color-madder)"
      strokeWidth={1.6}
    />
  ));
}

function RawEdge({ at, x, y, halfPx }: { at: Point; x: Scale; y: Scale; halfPx: number }) {
  const [cx, cy] = [x(at.xMm), y(at.zMm)];
  return (
    <path
      d={`M${cx},${cy - halfPx - 3} l3,${halfPx / 2 + 2} l-6,${halfPx / 2 + 2} l6,${halfPx / 2 + 1} l-3,${halfPx / 2 + 1}`}
      fill="none"
      stroke="var(--color-graphite)"
      strokeWidth={1.6}
    />
  );
}

interface Placed {
  readonly mark: FoldMark;
  readonly px: number;
}

/** The marks by name; two that stand close are lifted past each other. */
function MarkNames(props: {
  placed: readonly Placed[];
  top: number;
  table: number;
  width: number;
}) {
  const { placed, top, table, width } = props;
  const lengths = useLengths();
  return placed.map(({ mark, px }, i) => {
    const crowded = placed.slice(0, i).filter((other) => Math.abs(other.px - px) < 130).length;
    const lift = 26 + crowded * 36;
    const temporary = mark.action === 'temporary';
    const words = Math.min(width - 62, Math.max(62, px));
    return (
      <g key={mark.id}>
        <line
          x1={px}
          x2={px}
          y1={top - lift + 6}
          y2={table + 4}
          stroke="var(--color-pencil)"
          strokeWidth={1.8}
          strokeDasharray={temporary ? '6 5' : undefined}
        />
        <text
          x={words}
          y={top - lift - 12}
          fontSize={15}
          fontWeight={700}
          fill="var(--color-pencil)"
          textAnchor="middle"
        >
          {mark.name}
        </text>
        <text
          x={words}
          y={top - lift + 2}
          fontSize={13}
          fill="var(--color-graphite)"
          textAnchor="middle"
        >
          {lengths.cloth(mark.atMm)}
          {temporary ? ', temporary' : ''}
        </text>
      </g>
    );
  });
}
