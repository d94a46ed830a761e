import { Maximize2, ZoomIn, ZoomOut } from 'lucide-react';
import { useMemo, useState, type KeyboardEvent, type WheelEvent } from 'react';
import type { Point } from '../../core/edge/course';
import { useLengths } from '../ground/lengths-context';
import { aboveNote } from '../words/above';
import { courseLayout, type DrawnEdge } from './above/course-layout';
import { HandleDot, type Handle } from './above/handle';
import { boundsOf, type AreaKind, type LineKind, type Note } from './above/layout';
import { liesAsTube, tubeLayout } from './above/leg-layout';
import { tickStepMm } from './axis';
import { alongLine, placeLabels, widthOf } from './place-labels';
import { useBox } from './use-box';

const areaFill: Readonly<Record<AreaKind, string>> = {
  garment: 'fill-[var(--cloth-2)]',
  hem: 'fill-[var(--cloth-3)]',
  allowance: 'fill-[var(--cloth-1)]',
  'cut-off': 'fill-madder-wash',
};
const lineLook: Readonly<Record<LineKind, string>> = {
  landing: 'stroke-madder [stroke-dasharray:7_4] [stroke-width:1.5]',
  finished: 'stroke-pencil [stroke-width:2.5]',
  raw: 'stroke-graphite [stroke-dasharray:3_3] [stroke-width:1.5]',
  crease: 'stroke-graphite [stroke-width:1.2]',
  seam: 'stroke-seam [stroke-width:1.8]',
  under: 'stroke-seam [stroke-dasharray:4_4] [stroke-width:1.8]',
  mitre: 'stroke-madder [stroke-width:1.5]',
  side: 'stroke-moss [stroke-width:2.2]',
};
const noteLook: Partial<Record<Note['kind'], string>> = {
  snip: 'fill-madder',
  double: 'fill-soft',
  out: 'fill-moss',
  in: 'fill-moss',
  leg: 'fill-soft',
  start: 'fill-soft',
};
const fontPx = 14;
const padPx = 34;
const mostZoom = 16;

interface FromAboveProps {
  readonly edge: DrawnEdge;
  readonly depthMm: number;
  /** Beyond the finished edge; negative where cloth is cut off. */
  readonly allowanceMm: number;
  /** What of it can be taken hold of. */
  readonly handles?: readonly Handle[];
}

/** Which part is looked at: how near, and where its middle lies as a share of the whole. */
interface View {
  readonly zoom: number;
  readonly x: number;
  readonly y: number;
}
const whole: View = { zoom: 1, x: 0.5, y: 0.5 };

function moved(view: View, dx: number, dy: number): View {
  return {
    ...view,
    x: held(view.x + dx / view.zoom, 0, 1),
    y: held(view.y + dy / view.zoom, 0, 1),
  };
}

const nearer = (view: View, times: number): View => {
  const zoom = Math.min(mostZoom, Math.max(1, view.zoom * times));
  return zoom === 1 ? whole : { ...view, zoom };
};

/** A coordinate held within a box: where a leader meets the words it leads to. */
const held = (at: number, from: number, size: number) => Math.min(from + size, Math.max(from, at));

/** The keys that look nearer and move what is seen. */
const looking = {
  '+': (view: View) => nearer(view, 1.5),
  '-': (view: View) => nearer(view, 1 / 1.5),
  '0': () => whole,
};
const keyMoves: Readonly<Record<string, (view: View) => View>> = {
  ...looking,
  ArrowLeft: (view) => moved(view, -0.15, 0),
  ArrowRight: (view) => moved(view, 0.15, 0),
  ArrowUp: (view) => moved(view, 0, -0.15),
  ArrowDown: (view) => moved(view, 0, 0.15),
};

/** The edge as it lies on the table, to scale: one looks nearer with the wheel, the buttons or keys. */
export function FromAbove({ edge, depthMm, allowanceMm, handles = [] }: FromAboveProps) {
  const lengths = useLengths();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const [view, setView] = useState(whole);
  const layout = useMemo(() => {
    const turned = { depthMm, allowanceMm };
    return liesAsTube(edge) ? tubeLayout(edge, turned) : courseLayout(edge, turned);
  }, [edge, depthMm, allowanceMm]);
  const bounds = useMemo(() => boundsOf(layout), [layout]);
  const [wideMm, highMm] = [bounds.rightMm - bounds.leftMm, bounds.topMm - bounds.bottomMm];
  const pxPerMm =
    view.zoom *
    Math.min((width - 2 * padPx) / Math.max(wideMm, 1), (height - 3 * padPx) / Math.max(highMm, 1));
  const place = ({ xMm, yMm }: Point): readonly [number, number] => [
    width / 2 + (xMm - bounds.leftMm - view.x * wideMm) * pxPerMm,
    height / 2 - padPx / 2 - (yMm - bounds.bottomMm - (1 - view.y) * highMm) * pxPerMm,
  ];
  const path = (points: readonly Point[], closed = false) =>
    `M${points
      .map((it) =>
        place(it)
          .map((px) => px.toFixed(1))
          .join(','),
      )
      .join('L')}${closed ? 'Z' : ''}`;
  const bar = tickStepMm(lengths.unit, pxPerMm, 60);
  const notes = layout.notes.map((note) => ({
    note,
    at: place(note.at),
    text: aboveNote(note, lengths),
  }));
  const seen = notes.filter(({ at: [x, y] }) => x > 0 && y > 0 && x < width && y < height);
  const barBox = { x: width - bar * pxPerMm - 60, y: height - 34, width: 400, height: 34 };
  const buttonsBox = { x: width - 162, y: 0, width: 162, height: 56 };
  const lineBoxes = layout.lines
    .filter(({ kind }) => kind !== 'seam' && kind !== 'under')
    .flatMap(({ points, closed }) =>
      alongLine([...points, ...(closed ? points.slice(0, 1) : [])].map(place)),
    );
  const handleBoxes = handles.map(({ at }) => {
    const [x, y] = place(at);
    return { x: x - 12, y: y - 12, width: 24, height: 24 };
  });
  const boxes = placeLabels(
    seen.map(({ at: [x, y], text }) => ({
      ...{ x, y, width: widthOf(text, fontPx), height: fontPx + 3 },
    })),
    { width: width - 6, height: height - 4 },
    [barBox, buttonsBox, ...lineBoxes, ...handleBoxes],
  );
  const onKeyDown = (event: KeyboardEvent) => {
    const move = keyMoves[event.key];
    if (!move || (event.key.startsWith('Arrow') && view.zoom === 1)) return;
    event.preventDefault();
    // The stations of the page listen for arrows too.
    event.stopPropagation();
    setView(move);
  };
  const onWheel = (event: WheelEvent) => {
    const box = event.currentTarget.getBoundingClientRect();
    const [dx, dy] = [
      (event.clientX - box.left) / box.width - 0.5,
      (event.clientY - box.top) / box.height - 0.5,
    ];
    setView((before) => {
      const next = nearer(before, event.deltaY < 0 ? 1.2 : 1 / 1.2);
      // What is under the pointer stays there.
      const gain = 1 - before.zoom / next.zoom;
      return next.zoom === 1 ? whole : moved(next, dx * gain, dy * gain);
    });
  };
  const looks = [
    { name: 'Look nearer', Icon: ZoomIn, off: view.zoom >= mostZoom, look: looking['+'] },
    { name: 'Look from further', Icon: ZoomOut, off: view.zoom === 1, look: looking['-'] },
    { name: 'See all of it', Icon: Maximize2, off: view.zoom === 1, look: looking['0'] },
  ];
  return (
    <div className="relative flex h-full min-h-72 w-full flex-col md:min-h-52">
      <div ref={ref} className="min-h-0 grow overflow-hidden">
        {width > 0 && height > 60 && (
          <svg
            width={width}
            height={height}
            // What can be taken hold of is no part of a picture.
            role={handles.length > 0 ? 'group' : 'img'}
            tabIndex={0}
            aria-label="The edge from above, to scale"
            aria-description="Plus and minus look nearer and further, 0 at the whole; arrows move what is seen."
            onKeyDown={onKeyDown}
            onWheel={onWheel}
            className="touch-pan-y"
          >
            {layout.areas.map(({ kind, points }, i) => (
              <path key={i} d={path(points, true)} className={areaFill[kind]} />
            ))}
            <g fill="none">
              {/* A light rim, so that every line is seen on a dark cloth too. */}
              {layout.lines.map(({ points, closed }, i) => (
                <path
                  key={`rim ${i}`}
                  d={path(points, closed)}
                  className="stroke-paper/70 [stroke-width:3.6]"
                />
              ))}
              {layout.lines.map(({ kind, points, closed }, i) => (
                <path
                  key={i}
                  data-part={kind}
                  d={path(points, closed)}
                  className={lineLook[kind]}
                />
              ))}
            </g>
            {seen.map(({ note, at: [x, y], text }, i) => {
              const box = boxes[i];
              if (!box) return null;
              return (
                <g key={`${note.kind} ${i}`}>
                  <path
                    d={`M${x},${y}L${held(x, box.x, box.width)},${held(y, box.y, box.height)}`}
                    className="stroke-seam [stroke-width:0.8]"
                  />
                  <circle cx={x} cy={y} r={2.6} className="fill-graphite" />
                  <text
                    x={box.x + box.width / 2}
                    y={box.y + fontPx}
                    textAnchor="middle"
                    fontSize={fontPx}
                    className={`${noteLook[note.kind] ?? 'fill-graphite'} stroke-paper font-bold [paint-order:stroke] [stroke-width:4]`}
                  >
                    {text}
                  </text>
                </g>
              );
            })}
            {handles.map((handle) => (
              <HandleDot
                key={handle.id}
                handle={handle}
                place={place(handle.at)}
                pxPerMm={pxPerMm}
              />
            ))}
            <g transform={`translate(${width - 26 - bar * pxPerMm}, ${height - 12})`}>
              <path
                d={`M0,-5V5M0,0H${bar * pxPerMm}M${bar * pxPerMm},-5V5`}
                className="stroke-graphite [stroke-width:1.5]"
              />
              <text
                x={(bar * pxPerMm) / 2}
                y={-8}
                fontSize={13}
                textAnchor="middle"
                className="fill-soft"
              >
                {lengths.cloth(bar)}
              </text>
            </g>
          </svg>
        )}
      </div>
      <p className="flex shrink-0 flex-wrap gap-x-4 px-3 pb-1.5 text-sm">
        {depthMm > 0 && (
          <span className="text-madder">– – hem lands {lengths.cloth(depthMm)} in</span>
        )}
        <span className="font-bold text-pencil">— finished edge</span>
        {allowanceMm !== 0 && (
          <span>
            ··· raw edge {lengths.cloth(Math.abs(allowanceMm))}{' '}
            {allowanceMm < 0 ? 'out, cut off' : 'out'}
          </span>
        )}
      </p>
      <div className="absolute top-2 right-2 flex gap-1" role="group" aria-label="Look nearer">
        {looks.map(({ name, Icon, off, look }) => (
          <button
            key={name}
            type="button"
            className="inline-flex size-11 items-center justify-center rounded-[3px] border border-seam bg-slip disabled:opacity-40"
            aria-label={name}
            disabled={off}
            onClick={() => setView(look)}
          >
            <Icon size={18} aria-hidden />
          </button>
        ))}
      </div>
    </div>
  );
}
