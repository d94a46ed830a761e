import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { useKeys } from '../frame/keys';
import type { DialSettings } from '../../core/kit/dial-steps';
import type { MarginMap } from '../../core/margin/map';
import { useLengths } from '../ground/lengths-context';
import { ofHundred } from '../words/number';
import { tickStepMm, ticksWithin } from './axis';
import { chanceCss } from './chance-colour';
import { MapGrid } from './map-grid';
import { useBox } from './use-box';

interface MarginMapProps {
  readonly map: MarginMap;
  readonly settings: DialSettings;
  /** Moves width and needle to a cell, given by its column and row; a drag is not yet a choice. */
  onMove(column: number, row: number, dragging: boolean): void;
  /** The finger was lifted: where the dials are is where they stay. */
  onDrop(): void;
}

const [left, right, top, bottom] = [64, 150, 30, 56];

const nearest = (positions: readonly number[], mm: number) =>
  positions.reduce(
    (best, at, i) => (Math.abs(at - mm) < Math.abs((positions[best] ?? 0) - mm) ? i : best),
    0,
  );

/** The chance over width × needle position, with the dials on it; drag or arrow keys move them. */
export function MarginMapPicture({ map, settings, onMove, onDrop }: MarginMapProps) {
  const lengths = useLengths();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  // Where the field was when the finger came down; asking at every move would lay the page out.
  const grasped = useRef<DOMRect>(null);
  const [w, h] = [Math.max(0, width - left - right), Math.max(0, height - top - bottom)];
  const { widthsMm, needlePositionsMm, chances } = map;
  const [columns, rows] = [widthsMm.length, needlePositionsMm.length];
  const column = nearest(widthsMm, settings.widthMm);
  const row = nearest(needlePositionsMm, settings.needlePositionMm);
  const chance = chances[row * columns + column] ?? NaN;
  const [cellW, cellH] = [w / columns, h / rows];
  const [cx, cy] = [(column + 0.5) * cellW, h - (row + 0.5) * cellH];
  const [firstW = 0, lastW = 0] = [widthsMm[0], widthsMm.at(-1)];
  const [firstP = 0, lastP = 0] = [needlePositionsMm[0], needlePositionsMm.at(-1)];
  const x = (mm: number) =>
    left + ((mm - firstW) / (lastW - firstW || 1)) * (w - cellW) + cellW / 2;
  const y = (mm: number) =>
    top + h - ((mm - firstP) / (lastP - firstP || 1)) * (h - cellH) - cellH / 2;

  const go = (toColumn: number, toRow: number, dragging: boolean) => {
    const [c, r] = [
      Math.min(columns - 1, Math.max(0, toColumn)),
      Math.min(rows - 1, Math.max(0, toRow)),
    ];
    if (c !== column || r !== row) onMove(c, r, dragging);
  };
  const fromPointer = (event: PointerEvent) => {
    const box = grasped.current;
    if (!box) return;
    go(
      Math.floor((event.clientX - box.left) / cellW),
      rows - 1 - Math.floor((event.clientY - box.top) / cellH),
      true,
    );
  };
  const drop = () => {
    if (grasped.current) onDrop();
    grasped.current = null;
  };
  useKeys([
    {
      press: ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight'],
      shown: '↑ ↓ ← →',
      does: 'on the margin map: move width and needle by one step',
      act: null,
    },
  ]);
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };
    const move = by[event.key as keyof typeof by];
    if (!move) return;
    event.preventDefault();
    event.stopPropagation();
    go(column + (move[0] ?? 0), row + (move[1] ?? 0), false);
  };
  const words = Number.isNaN(chance) ? 'blocked' : `${ofHundred(chance)} of 100`;
  const here = `Width ${lengths.fine(settings.widthMm)}, needle ${lengths.fine(settings.needlePositionMm)}: ${words}`;

  return (
    <div ref={ref} className="relative h-full w-full overflow-hidden">
      {w > 0 && h > 60 && (
        <>
          <svg width={width} height={height} aria-hidden className="absolute">
            {ticksWithin(
              firstW,
              lastW,
              tickStepMm(lengths.unit, w / (lastW - firstW || 1), 52),
            ).map((tick) => (
              <text
                key={tick}
                x={x(tick)}
                y={top + h + 20}
                fontSize={13}
                textAnchor="middle"
                fill="var(--color-soft)"
              >
                {lengths.fineNumber(tick)}
              </text>
            ))}
            {ticksWithin(
              firstP,
              lastP,
              tickStepMm(lengths.unit, h / (lastP - firstP || 1), 30),
            ).map((tick) => (
              <text
                key={tick}
                x={left - 10}
                y={y(tick) + 5}
                fontSize={13}
                textAnchor="end"
                fill="var(--color-soft)"
              >
                {lengths.fineNumber(tick)}
              </text>
            ))}
            <text
              x={left + w / 2}
              y={top + h + 42}
              fontSize={14}
              textAnchor="middle"
              fill="var(--color-graphite)"
            >
              stitch width, {lengths.unit}
            </text>
            <text x={left - 46} y={top - 12} fontSize={14} fill="var(--color-graphite)">
              needle position, {lengths.unit}
            </text>
            <Scale x={left + w + 24} y={top} />
          </svg>
          <div
            tabIndex={0}
            role="group"
            aria-roledescription="map of the margin"
            aria-label="Margin map: arrow keys move width and needle"
            className="absolute cursor-crosshair touch-none"
            style={{ left, top, width: w, height: h }}
            onKeyDown={onKeyDown}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              grasped.current = event.currentTarget.getBoundingClientRect();
              fromPointer(event);
            }}
            onPointerMove={(event) => event.buttons > 0 && fromPointer(event)}
            onPointerUp={drop}
            onPointerCancel={drop}
          >
            <MapGrid map={map} width={w} height={h} />
            <svg width={w} height={h} aria-hidden className="pointer-events-none absolute">
              <path
                d={`M${cx},0 V${h} M0,${cy} H${w}`}
                stroke="var(--color-pencil)"
                strokeDasharray="5 4"
              />
              <circle
                cx={cx}
                cy={cy}
                r={11}
                fill="none"
                stroke="var(--color-slip)"
                strokeWidth={5}
              />
              <circle
                cx={cx}
                cy={cy}
                r={11}
                fill="none"
                stroke="var(--color-pencil)"
                strokeWidth={3}
              />
            </svg>
          </div>
          <p role="status" className="absolute top-1.5 right-3 text-right text-sm">
            <b>{here}</b>
          </p>
        </>
      )}
    </div>
  );
}

/** What colour is which chance. */
function Scale({ x, y }: { x: number; y: number }) {
  const marks = [0.99, 0.95, 0.8, 0.5, 0];
  return (
    <g fontSize={13} fill="var(--color-graphite)">
      {marks.map((chance, i) => (
        <g key={chance} transform={`translate(${x}, ${y + i * 25})`}>
          <rect width={22} height={20} fill={chanceCss(chance)} stroke="var(--color-seam)" />
          <text x={30} y={15}>
            {Math.round(chance * 100)} of 100
          </text>
        </g>
      ))}
      <g transform={`translate(${x}, ${y + marks.length * 25})`}>
        <rect width={22} height={20} fill="var(--color-halo)" stroke="var(--color-seam)" />
        <path d="M0,6 l14,14 M4,0 l18,18 M14,0 l8,8" stroke="var(--color-hatch)" />
        <text x={30} y={15}>
          blocked
        </text>
      </g>
    </g>
  );
}
