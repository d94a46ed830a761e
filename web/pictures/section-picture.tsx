import { sectionOf, type Point } from '../../core/fold/section';
import type { FoldPlan, FoldStage } from '../../core/finish/finish';
import { useLengths } from '../app/lengths-context';
import { markNames } from '../words/facts';
import { tickStepMm } from './axis';
import { NumbersTable } from './numbers-table';
import { useBox } from './use-box';

interface SectionPictureProps {
  readonly folds: FoldPlan;
  readonly stage: FoldStage;
  readonly thicknessMm: number;
  /** Multiplies the thickness as drawn; 1 is true. */
  readonly exaggeration: number;
  /** A small picture: no ruler, no words. */
  readonly small?: boolean;
}

/** Where a distance along the cloth came to lie. */
function placeOf(
  layers: readonly { fromSMm: number; toSMm: number; fromXMm: number; toXMm: number }[],
  sMm: number,
) {
  const layer = layers.find(({ fromSMm, toSMm }) => sMm >= fromSMm && sMm <= toSMm);
  if (!layer) return null;
  const share = (sMm - layer.fromSMm) / Math.max(1e-9, layer.toSMm - layer.fromSMm);
  return layer.fromXMm + share * (layer.toXMm - layer.fromXMm);
}

function pathOf(points: readonly Point[], x: (mm: number) => number, y: (mm: number) => number) {
  return points
    .map(({ xMm, zMm }, i) => `${i === 0 ? 'M' : 'L'}${x(xMm).toFixed(2)},${y(zMm).toFixed(2)}`)
    .join(' ');
}

/** The section through the hem, to scale, at one stage of the folding. */
export function SectionPicture(props: SectionPictureProps) {
  const { folds, stage, thicknessMm, exaggeration, small = false } = props;
  const lengths = useLengths();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const drawnMm = thicknessMm * exaggeration;
  const section = sectionOf(folds.shownMm, stage.folds, drawnMm);
  const [left, right] = section.widthMm;
  const pad = small ? 8 : 60;
  // Each stage fills the width; the ruler under it says the scale.
  const span = right - left + 2 * drawnMm;
  const scale = Math.max(0.1, (width - 2 * pad) / span);
  const offset = (width - (right - left) * scale) / 2 - left * scale;
  const table = small ? height * 0.72 : height * 0.62;
  const x = (mm: number) => offset + mm * scale;
  const y = (mm: number) => table - mm * scale;
  const step = tickStepMm(lengths.unit, scale, 64);
  const line = pathOf(section.centreLine, x, y);
  const temporaryAt = stage.folds.findIndex(({ temporary }) => temporary);
  const temporary = temporaryAt >= 0 ? section.foldPoints[temporaryAt] : undefined;
  const holes = stage.holesAtMm.map((s) => placeOf(section.layers, s));
  const rawEdge = section.centreLine[0];
  const topMm = section.heightMm;

  return (
    <div ref={ref} className="relative h-full w-full overflow-hidden">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label="Section through the hem, to scale"
        >
          {!small && <Ruler left={left} right={right} x={x} y={table + 70} step={step} />}
          <line x1={0} x2={width} y1={table + 1} y2={table + 1} stroke="#d8cbb4" strokeWidth={2} />
          <path
            d={line}
            fill="none"
            stroke="#4d463a"
            strokeWidth={drawnMm * scale + 1.4}
            strokeLinejoin="round"
          />
          <path
            d={line}
            fill="none"
            stroke="#b6a98f"
            strokeWidth={Math.max(0.8, drawnMm * scale - 1.2)}
            strokeLinejoin="round"
          />
          {rawEdge && <RawEdge at={rawEdge} x={x} y={y} halfPx={(drawnMm * scale) / 2} />}
          {temporary && !small && (
            <g stroke="#235387" fill="none" strokeWidth={2} strokeDasharray="6 5">
              <path d={`M${x(temporary.xMm)},${y(topMm) - 12} v-44`} />
            </g>
          )}
          {!small && (
            <FoldNames
              folds={folds}
              stage={stage}
              x={x}
              y={y}
              points={section.foldPoints}
              topMm={topMm}
            />
          )}
          {holes.map((xMm, i) =>
            xMm === null ? null : (
              <g key={i} stroke="#963226" strokeWidth={2}>
                <line
                  x1={x(xMm)}
                  x2={x(xMm)}
                  y1={y(topMm) - (small ? 6 : 14)}
                  y2={table + (small ? 4 : 10)}
                />
                {!small && (
                  <circle cx={x(xMm)} cy={y(topMm) - 14} r={3} fill="#963226" stroke="none" />
                )}
              </g>
            ),
          )}
          {!small && rawEdge && (
            <text
              x={x(rawEdge.xMm)}
              y={table + 34}
              fontSize={14}
              textAnchor="middle"
              fill="#57534a"
            >
              raw edge
            </text>
          )}
          {!small && (
            <text
              x={Math.min(width - 12, x(right))}
              y={table + 34}
              fontSize={14}
              textAnchor="end"
              fill="#57534a"
            >
              garment →
            </text>
          )}
        </svg>
      )}
      {!small && (
        <NumbersTable
          caption="The folds in numbers"
          rows={folds.marks.map(({ name, fromRawEdgeMm }) => [
            markNames[name] ?? name,
            `${lengths.cloth(fromRawEdgeMm)} from the raw edge`,
          ])}
        />
      )}
    </div>
  );
}

function RawEdge({
  at,
  x,
  y,
  halfPx,
}: {
  at: Point;
  x: (mm: number) => number;
  y: (mm: number) => number;
  halfPx: number;
}) {
  const [cx, cy] = [x(at.xMm), y(at.zMm)];
  return (
    <path
      d={`M${cx},${cy - halfPx - 3} l3,${halfPx / 2 + 2} l-6,${halfPx / 2 + 2} l6,${halfPx / 2 + 1} l-3,${halfPx / 2 + 1}`}
      fill="none"
      stroke="#26272b"
      strokeWidth={1.6}
    />
  );
}

function FoldNames(props: {
  folds: FoldPlan;
  stage: FoldStage;
  x: (mm: number) => number;
  y: (mm: number) => number;
  points: readonly Point[];
  topMm: number;
}) {
  const { folds, stage, x, y, points, topMm } = props;
  const lengths = useLengths();
  return folds.marks.map((mark, i) => {
    const made = stage.folds.findIndex(({ atMm }) => atMm === mark.fromRawEdgeMm);
    const point = points[made];
    // A mark that is not folded yet lies on the flat cloth, a fold where it came to lie.
    const at =
      made >= 0 && point ? point.xMm : stage.folds.length === 0 ? mark.fromRawEdgeMm : null;
    if (at === null) return null;
    const temporary = mark.action === 'temporary';
    const lift = 30 + i * 34;
    return (
      <g key={mark.name}>
        <line
          x1={x(at)}
          x2={x(at)}
          y1={y(topMm) - lift + 6}
          y2={y(0) + 4}
          stroke="#235387"
          strokeWidth={1.8}
          strokeDasharray={temporary ? '6 5' : undefined}
        />
        <text
          x={x(at)}
          y={y(topMm) - lift - 10}
          fontSize={15}
          fontWeight={700}
          fill="#235387"
          textAnchor="middle"
        >
          {markNames[mark.name] ?? mark.name}
        </text>
        <text x={x(at)} y={y(topMm) - lift + 4} fontSize={13} fill="#26272b" textAnchor="middle">
          {lengths.cloth(mark.fromRawEdgeMm)}
          {temporary ? ', temporary' : ''}
        </text>
      </g>
    );
  });
}

function Ruler(props: {
  left: number;
  right: number;
  x: (mm: number) => number;
  y: number;
  step: number;
}) {
  const { left, right, x, y, step } = props;
  const lengths = useLengths();
  const count = Math.floor((right - left) / step);
  return (
    <g>
      <line x1={x(left)} x2={x(right)} y1={y} y2={y} stroke="#8d8069" />
      {Array.from({ length: count + 1 }, (_, i) => (
        <g key={i}>
          <line
            x1={x(left + i * step)}
            x2={x(left + i * step)}
            y1={y}
            y2={y + 7}
            stroke="#8d8069"
          />
          <text x={x(left + i * step)} y={y + 22} fontSize={13} textAnchor="middle" fill="#57534a">
            {i === count ? lengths.cloth(i * step) : lengths.editable(i * step)}
          </text>
        </g>
      ))}
    </g>
  );
}
