import type { ClothRegion } from '../../core/finish/finish-margin';
import type { Swatch } from '../../core/swatch/swatch';
import { threadPath } from './thread-path';
import type { FaceWindow } from './two-faces';
import { rimPx } from './rimmed-path';

/** Where the threads lock: inside the cloth, or drawn out to one face. */
export type Lock = 'inside' | 'up' | 'under';

/** One face of the swatch in a window; the under one is seen turned over. */
export interface SwatchFaceProps extends FaceWindow {
  readonly swatch: Swatch;
  readonly regions: readonly ClothRegion[];
  /** Visible thread at each counted stitch, mm, where all the rest stays hidden; else null. */
  readonly shownMm: readonly number[] | null;
  readonly lock: Lock;
  /** mm from the reference at the middle of the window. */
  readonly midMm: number;
}

/** A thread, over a rim that tells it from a cloth of its own colour. */
export const threadLines = [
  { stroke: 'var(--thread-rim)', more: 1.4 },
  { stroke: 'var(--thread)', more: 0 },
] as const;

/** A face of the seam, drawn to scale: cloth, threads, and a ring around every fault. */
export function SwatchFace(props: SwatchFaceProps) {
  const { id, swatch, regions, face, shownMm, lock, x, y, width, height, pxPerMm, midMm } = props;
  const turn = face === 'up' ? 1 : -1;
  const along = (mm: number) => x + 10 + mm * pxPerMm;
  const across = (mm: number) => y + height / 2 + turn * (mm - midMm) * pxPerMm;
  const inside = (at: number) => Math.min(y + height, Math.max(y, at));
  const lengthMm = (width - 20) / pxPerMm;
  const holes = swatch.holes
    .filter(({ yMm }) => yMm <= lengthMm)
    .map((hole) => ({ ...hole, xMm: hole.fromReferenceMm }));
  const counted = holes.filter(({ stitch }) => stitch !== null);
  const faulty = counted.filter(({ stitch }) => swatch.stitches[stitch ?? 0]?.fault !== null);
  const loops = (lock === 'up' && face === 'up') || (lock === 'under' && face === 'under');
  // Finite ends only: a region that runs on fills the window.
  const bands = regions
    .filter(({ only }) => only !== 'before')
    .map((region) => {
      const ends = [across(region.fromMm), across(region.toMm)].map(inside);
      return { region, top: Math.min(...ends), bottom: Math.max(...ends) };
    });
  return (
    <g clipPath={`url(#${id})`}>
      <clipPath id={id}>
        <rect x={x} y={y} width={width} height={height} />
      </clipPath>
      <rect x={x} y={y} width={width} height={height} fill="var(--color-bed)" />
      {bands.map(({ region, top, bottom }) => (
        <rect
          key={region.name}
          x={x}
          y={top}
          width={width}
          height={bottom - top}
          fill={region.layers > 1 && face === 'up' ? 'var(--cloth-2)' : 'var(--cloth-1)'}
          stroke="var(--cloth-edge)"
          strokeOpacity={face === 'up' ? 0.7 : 0.25}
          strokeDasharray={face === 'up' ? undefined : '3 4'}
        />
      ))}
      {shownMm === null
        ? threadLines.map(({ stroke, more }) => (
            <path
              key={stroke}
              d={threadPath(
                holes.map((hole) => ({ ...hole, xMm: hole.yMm, yMm: hole.xMm })),
                along,
                across,
              )}
              fill="none"
              stroke={stroke}
              strokeWidth={Math.max(1.2, 0.22 * pxPerMm) + more}
              strokeLinejoin="round"
            />
          ))
        : counted.flatMap(({ stitch, yMm }) => {
            const half = (shownMm[stitch ?? 0] ?? 0) / 2;
            return half > 0
              ? threadLines.map(({ stroke, more }) => (
                  <line
                    key={`${yMm} ${stroke}`}
                    x1={along(yMm)}
                    x2={along(yMm)}
                    y1={across(-half)}
                    y2={across(half)}
                    stroke={stroke}
                    strokeWidth={Math.max(1.5, 0.25 * pxPerMm) + more}
                    strokeLinecap="round"
                  />
                ))
              : [];
          })}
      {loops &&
        holes.map(({ xMm, yMm }, i) => (
          <circle
            key={i}
            cx={along(yMm)}
            cy={across(xMm)}
            r={Math.max(1.6, 0.32 * pxPerMm)}
            data-part="pulled-thread"
            fill="var(--color-pencil)"
          />
        ))}
      {faulty
        .filter(({ stitch }) => shownMm === null || (shownMm[stitch ?? 0] ?? 0) > 0)
        .map(({ xMm, yMm }) => {
          const [cx, cy] = [along(yMm), across(shownMm === null ? xMm : 0)];
          const ring = { cx, cy, r: Math.max(5, 0.9 * pxPerMm) };
          return (
            <g key={yMm}>
              <circle {...ring} className="rim" fill="none" strokeWidth={2.5 + 2 * rimPx} />
              <circle
                {...ring}
                fill="none"
                data-part="fault"
                stroke="var(--color-madder)"
                strokeWidth={2.5}
              />
            </g>
          );
        })}
      <rect x={x} y={y} width={width} height={height} fill="none" stroke="var(--color-line)" />
    </g>
  );
}
