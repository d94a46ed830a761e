import type { ClothRegion, Finish, SewingPlan } from '../../core/finish/finish';
import { needleRadiusMm } from '../../core/kit/needle';
import type { DriftBelief } from '../../core/margin/belief';
import { allowedDrift } from '../../core/margin/check';
import type { Judgement } from '../../core/plan/judge';
import { needleAirMm } from '../../core/stitch/clearance';
import { needlePath } from '../../core/stitch/needle-path';
import { repeatOf } from '../../core/stitch/repeat';
import type { FootRecord } from '../../contract/records';
import { Label } from './label';

/** What the view under the foot is drawn from. */
export interface UnderFootProps {
  readonly finish: Finish;
  readonly plan: SewingPlan;
  readonly foot: FootRecord;
  readonly judgement: Judgement;
  readonly belief: DriftBelief;
}

/** A window onto the bed: what x and y in mm it shows and where on the screen. */
export interface View {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
  /** mm at the middle of the window. */
  readonly midXMm: number;
  readonly midYMm: number;
}

/** A place across the machine on the screen, px. */
export const px = (view: View, xMm: number) =>
  view.x + view.width / 2 + (xMm - view.midXMm) * view.pxPerMm;
const py = (view: View, yMm: number) =>
  view.y + view.height / 2 - (yMm - view.midYMm) * view.pxPerMm;

/** The drift the picture shows as a band: nine stitches of ten. */
const bandSigmas = 1.645;

/** Cloth, foot, drift, stitches: everything that lies in the view's window. */
export function Scene({ view, lens, ...props }: UnderFootProps & { view: View; lens: boolean }) {
  const { finish, plan, foot, judgement, belief } = props;
  const { settings } = judgement;
  const guide = settings.guideMm;
  const reference = guide + belief.shiftMm;
  const repeatMm = repeatOf(plan.stitch).stitches * settings.lengthMm;
  const repeats = Math.ceil((view.height / view.pxPerMm / repeatMm) * 1.5) + 3;
  const path = needlePath(plan.stitch, settings, repeats);
  // The needle, y = 0, is making a bite; what was sewn lies behind it, what comes before it.
  const firstBiteMm = path.find(({ role }) => role === 'bite')?.yMm ?? 0;
  const shiftMm = firstBiteMm + Math.floor(repeats / 2) * repeatMm;
  const reachMm = view.height / 2 / view.pxPerMm + repeatMm;
  const holes = path
    .map((hole) => ({ ...hole, yMm: hole.yMm - shiftMm }))
    .filter(({ yMm }) => Math.abs(yMm - view.midYMm) < reachMm);
  const inSight = ({ yMm }: { yMm: number }) =>
    Math.abs(yMm - view.midYMm) < view.height / 2 / view.pxPerMm + 1;
  const sewn = holes.filter(({ yMm }) => yMm >= -1e-9);
  const toCome = holes.filter(({ yMm }) => yMm < 1e-9);
  const [top, bottom] = [view.y, view.y + view.height];
  const edgeOf = (mm: number) => Math.min(view.x + view.width, Math.max(view.x, px(view, mm)));
  const [slotLeft, slotRight] = plan.foot.slotMm;
  const slotHalfMm = 2.2;
  const band = bandSigmas * belief.sigmaMm;
  const radius = needleRadiusMm(plan.needleSize) * view.pxPerMm;
  const counted = judgement.checks.find(({ name }) => name === finish.countedCheck);
  const allowed = counted ? allowedDrift(counted, counted.v0Mm) : null;
  const sole = foot.soleMm;
  const keepMm = needleRadiusMm(plan.needleSize) + needleAirMm;
  const openings = [
    plan.foot.slotMm,
    ...(plan.machine.plateHoleMm ? [plan.machine.plateHoleMm] : []),
  ];
  const meetsMetal = (xMm: number) =>
    openings.some(([left, right]) => xMm - keepMm < left - 1e-9 || xMm + keepMm > right + 1e-9);

  return (
    <g clipPath={`url(#clip-${lens ? 'lens' : 'bed'})`}>
      <rect x={view.x} y={view.y} width={view.width} height={view.height} fill="#fdfbf5" />
      {finish.regions(plan).map((region: ClothRegion) => {
        const [from, to] = [edgeOf(reference + region.fromMm), edgeOf(reference + region.toMm)];
        return (
          <g key={region.name}>
            <rect
              x={from}
              y={top}
              width={Math.max(0, to - from)}
              height={bottom - top}
              fill={region.layers > 1 ? '#cdbfa5' : '#e4d9c4'}
            />
            <rect
              x={from}
              y={top}
              width={Math.max(0, to - from)}
              height={bottom - top}
              fill="url(#weave)"
            />
            {Number.isFinite(region.toMm) && region.layers === 1 && (
              <line
                x1={to}
                x2={to}
                y1={top}
                y2={bottom}
                stroke="#8d8069"
                strokeWidth={1.5}
                strokeDasharray="2 3"
              />
            )}
          </g>
        );
      })}
      {/* the foot, see-through, with its slot */}
      <g fill="#57534a" fillOpacity={0.13} stroke="#26272b" strokeOpacity={0.55} strokeWidth={1.5}>
        <path
          fillRule="evenodd"
          d={`${roundedRect(px(view, -sole.widthMm / 2), py(view, sole.heelMm), sole.widthMm * view.pxPerMm, (sole.heelMm + sole.toeMm) * view.pxPerMm, 10)} ${roundedRect(px(view, slotLeft), py(view, slotHalfMm), (slotRight - slotLeft) * view.pxPerMm, slotHalfMm * 2 * view.pxPerMm, 8)}`}
        />
      </g>
      {/* where the fold wanders */}
      <rect
        x={px(view, reference - band)}
        y={top}
        width={Math.max(1, 2 * band * view.pxPerMm)}
        height={bottom - top}
        fill="#235387"
        fillOpacity={0.17}
      />
      {allowed && allowed[1] > allowed[0] && (
        <g stroke="#3f5c2a" strokeWidth={lens ? 3 : 2} fill="#8ba26f">
          {[0, -1, 1].map((i) => {
            const y = py(view, i * repeatMm);
            const [from, to] = [
              px(view, guide + Math.max(-30, allowed[0])),
              px(view, guide + Math.min(30, allowed[1])),
            ];
            const half = lens ? 16 : 9;
            return (
              <g key={i}>
                <rect
                  x={from}
                  y={y - half / 2}
                  width={to - from}
                  height={half}
                  fillOpacity={0.55}
                  stroke="none"
                />
                <line x1={from} x2={from} y1={y - half} y2={y + half} />
                <line x1={to} x2={to} y1={y - half} y2={y + half} />
              </g>
            );
          })}
        </g>
      )}
      {lens && allowed && allowed[1] > allowed[0] && (
        <Label
          x={px(view, guide + Math.max(-30, allowed[0]))}
          y={py(view, 0) - 24}
          text="the fold may ride here"
          colour="#3f5c2a"
          strong
        />
      )}
      <line
        x1={px(view, reference)}
        x2={px(view, reference)}
        y1={top}
        y2={bottom}
        stroke="#235387"
        strokeWidth={2.5}
      />
      {/* the guide in front of the needle */}
      <line
        x1={px(view, guide)}
        x2={px(view, guide)}
        y1={py(view, -slotHalfMm)}
        y2={py(view, -sole.toeMm)}
        stroke="#26272b"
        strokeWidth={Math.max(3, 0.35 * view.pxPerMm)}
      />
      {[sewn, toCome].map((part) => (
        <path
          key={part === sewn ? 'sewn' : 'to-come'}
          d={part
            .map(
              ({ xMm, yMm }, i) =>
                `${i ? 'L' : 'M'}${px(view, xMm).toFixed(1)},${py(view, yMm).toFixed(1)}`,
            )
            .join(' ')}
          fill="none"
          stroke="#26272b"
          strokeWidth={lens ? 2.5 : 1.6}
          strokeOpacity={part === sewn ? 1 : 0.4}
          strokeDasharray={part === sewn ? undefined : '4 4'}
        />
      ))}
      {(['run', 'bite'] as const).map((role) => {
        const seen = holes.filter(
          (hole) => inSight(hole) && (hole.role === 'bite') === (role === 'bite'),
        );
        const colour = role === 'bite' ? '#3f5c2a' : '#26272b';
        const rings = (r: number) =>
          seen.map(({ xMm, yMm }) => circle(px(view, xMm), py(view, yMm), r)).join('');
        return (
          <g key={role} fill={colour}>
            <path d={rings(Math.max(2.5, radius))} fillOpacity={lens ? 0.3 : 0.6} stroke={colour} />
            {lens && <path d={rings(3.5)} />}
            <path
              d={seen
                .filter(({ xMm }) => meetsMetal(xMm))
                .map(({ xMm, yMm }) =>
                  circle(px(view, xMm), py(view, yMm), Math.max(2.5, radius) + 5),
                )
                .join('')}
              fill="none"
              stroke="#963226"
              strokeWidth={4}
            />
          </g>
        );
      })}
    </g>
  );
}

/** A circle as part of a path: many of them in one element are drawn and changed at once. */
function circle(x: number, y: number, r: number): string {
  return `M${(x - r).toFixed(1)},${y.toFixed(1)} a${r},${r} 0 1 0 ${2 * r},0 a${r},${r} 0 1 0 ${-2 * r},0 Z`;
}

function roundedRect(x: number, y: number, width: number, height: number, r: number): string {
  const k = Math.min(r, width / 2, height / 2);
  return `M${x + k},${y} h${width - 2 * k} a${k},${k} 0 0 1 ${k},${k} v${height - 2 * k} a${k},${k} 0 0 1 ${-k},${k} h${-(width - 2 * k)} a${k},${k} 0 0 1 ${-k},${-k} v${-(height - 2 * k)} a${k},${k} 0 0 1 ${k},${-k} Z`;
}
