import { useEffect, useMemo, useRef, type KeyboardEvent } from 'react';
import { middleOf } from '../../core/eye/middle';
import type { ShownWindow } from '../workers/shown-window';
import { ringColour, ringShapes, type Taken } from './find-rings';

/** A find as it is ringed. */
export interface Ringed {
  readonly id: number;
  readonly atMm: readonly [xMm: number, yMm: number];
  readonly judged: Taken;
  readonly doubtful: boolean;
}

interface ScrapPictureProps {
  readonly window: ShownWindow;
  readonly ringed: readonly Ringed[];
  /** Where threads of the cloth end that stick out of its edge. */
  readonly whiskers?: readonly (readonly [xMm: number, yMm: number])[] | undefined;
  /** The line that was measured from, from place to place. */
  readonly reference: readonly (readonly [number, number])[] | null;
  readonly chosen: number | null;
  readonly label: string;
  onChoose?(id: number): void;
  /** A place where nothing is ringed, mm; left out where nothing can be added. */
  onPlace?(atMm: readonly [number, number]): void;
  /** Left out where there is nothing to go along. */
  onKey?(event: KeyboardEvent): void;
}

const noWhiskers: readonly (readonly [number, number])[] = [];
/** A click so near to a find is meant for it, mm. */
const nearMm = 2.6;

/** The window of the card laid flat, with a ring around every find: round, square or pointed. */
export function ScrapPicture(props: ScrapPictureProps) {
  const { window, ringed, whiskers = noWhiskers, reference, chosen, label } = props;
  const { onChoose, onPlace, onKey } = props;
  const { width, pxPerMm } = window;
  const widthMm = width / pxPerMm;
  const [topPx, shownPx] = useMemo(
    () => band(window, [...ringed.map(({ atMm }) => atMm), ...whiskers]),
    [window, ringed, whiskers],
  );
  const size = useMemo(() => ringSize(ringed), [ringed]);
  const heightMm = shownPx / pxPerMm;
  const topMm = topPx / pxPerMm;
  const ring = useRef<SVGGElement>(null);
  // On a phone only a part of it is in sight.
  useEffect(() => {
    const scrolling = requestAnimationFrame(() =>
      ring.current?.scrollIntoView({ inline: 'center', block: 'nearest' }),
    );
    return () => cancelAnimationFrame(scrolling);
  }, [chosen]);
  return (
    <div className="overflow-x-auto">
      <div className="min-w-[40rem]">
        <svg
          viewBox={`0 ${topMm} ${widthMm} ${heightMm}`}
          className={`block w-full rounded-[3px] focus-visible:outline-3 focus-visible:outline-pencil ${onPlace ? 'cursor-crosshair' : ''}`}
          role={onKey ? 'application' : 'img'}
          aria-label={label}
          tabIndex={onKey && 0}
          onKeyDown={onKey}
          onClick={(event) => {
            const box = event.currentTarget.getBoundingClientRect();
            const x = ((event.clientX - box.left) / box.width) * widthMm;
            const y = ((event.clientY - box.top) / box.height) * heightMm + topMm;
            const apart = ({ atMm }: Ringed) => Math.hypot(atMm[0] - x, atMm[1] - y);
            const nearest = [...ringed].sort((a, b) => apart(a) - apart(b))[0];
            if (nearest && apart(nearest) <= nearMm) onChoose?.(nearest.id);
            else onPlace?.([x, y]);
          }}
        >
          <Cloth window={window} />
          {reference && (
            <polyline
              points={reference.map((place) => place.join()).join(' ')}
              fill="none"
              stroke="var(--color-pencil)"
              strokeWidth={0.25}
              strokeDasharray="1 0.8"
            />
          )}
          {whiskers.map(([x, y]) => (
            <path
              key={`${x} ${y}`}
              d="M0,-1.1L1.1,0L0,1.1L-1.1,0Z"
              transform={`translate(${x} ${y})`}
              fill="none"
              stroke="var(--color-madder)"
              strokeWidth={0.35}
              data-whisker
            />
          ))}
          {ringed.map((find) => (
            <g
              key={find.id}
              ref={find.id === chosen ? ring : undefined}
              transform={`translate(${find.atMm[0]} ${find.atMm[1]})`}
              data-find={find.judged}
              data-doubtful={find.doubtful || undefined}
            >
              {[
                ['var(--color-slip)', 0.75],
                [ringColour(find.judged), 0.35],
              ].map(([stroke, width]) => (
                <path
                  key={stroke}
                  d={ringShapes[find.judged]}
                  transform={`scale(${size})`}
                  fill="none"
                  stroke={String(stroke)}
                  strokeWidth={Number(width) / Math.sqrt(size)}
                  strokeDasharray={find.doubtful ? '0.7 0.5' : undefined}
                />
              ))}
            </g>
          ))}
          {/* Where rings lie close it lies on top of its neighbours. */}
          {ringed
            .filter(({ id }) => id === chosen)
            .flatMap(({ atMm: [x, y] }) =>
              [
                ['var(--color-slip)', 0.9],
                ['var(--color-graphite)', 0.45],
              ].map(([stroke, width]) => (
                <circle
                  key={stroke}
                  cx={x}
                  cy={y}
                  r={chosenMm * size}
                  fill="none"
                  stroke={String(stroke)}
                  strokeWidth={Number(width) * Math.sqrt(size)}
                  data-chosen
                />
              )),
            )}
        </svg>
      </div>
    </div>
  );
}

/** The cloth itself, in millimetres. */
function Cloth({ window: { picture, width, height, pxPerMm } }: { readonly window: ShownWindow }) {
  const image = useRef<SVGImageElement>(null);
  useEffect(() => {
    const address = URL.createObjectURL(picture);
    image.current!.setAttribute('href', address);
    return () => URL.revokeObjectURL(address);
  }, [picture]);
  return <image ref={image} width={width / pxPerMm} height={height / pxPerMm} />;
}

/** So much cloth is shown above and below what was found, mm. */
const aroundMm = 11;

/** The rows that are shown: where something was found, and what lies around it. */
function band(
  { height, pxPerMm }: Pick<ShownWindow, 'height' | 'pxPerMm'>,
  places: readonly (readonly [xMm: number, yMm: number])[],
): readonly [topPx: number, rows: number] {
  if (places.length === 0) return [0, height];
  const rows = places.map(([, yMm]) => yMm * pxPerMm);
  const top = Math.max(0, Math.floor(Math.min(...rows) - aroundMm * pxPerMm));
  const low = Math.min(height, Math.ceil(Math.max(...rows) + aroundMm * pxPerMm));
  return [top, low - top];
}

/** Rings of the full size lie clear of each other so far apart, mm; none is smaller than this share. */
const clearMm = 5.2;
const leastSize = 0.45;
/** A ring of the full size is ringed once more where it is chosen, mm. */
const chosenMm = 3.4;

/** How large the rings are: stitches that lie close have smaller ones. */
function ringSize(ringed: readonly Ringed[]): number {
  const apart = ringed
    .slice(1)
    .map(({ atMm }, i) => Math.hypot(atMm[0] - ringed[i]!.atMm[0], atMm[1] - ringed[i]!.atMm[1]));
  return apart.length === 0 ? 1 : Math.min(1, Math.max(leastSize, middleOf(apart) / clearMm));
}
