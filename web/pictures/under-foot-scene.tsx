import type { ClothRegion, FinishMargin } from '../../core/finish/finish-margin';
import { openingsOf, type IntervalMm } from '../../core/kit/foot';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { needleRadiusMm } from '../../core/kit/needle';
import { beliefFor, type Beliefs } from '../../core/margin/belief';
import { allowedDrift } from '../../core/margin/check';
import type { Judgement } from '../../core/plan/judge';
import { hasStraightPlate, needleAirMm } from '../../core/stitch/clearance';
import { needlePath, swings, type Hole } from '../../core/stitch/needle-path';
import { repeatLengthMm } from '../../core/stitch/pitch';
import { repeatOf } from '../../core/stitch/repeat';
import type { FootRecord } from '../../contract/records';
import { slotHalfMm } from './foot-parts';
import { upright } from './axis';
import { AttachmentShape } from './attachment-shape';
import { FootShape } from './foot-shape';
import { Label } from './label';
import { Rim, RimmedPath } from './rimmed-path';
import { threadPath } from './thread-path';

/** What the view under the foot is drawn from. */
export interface UnderFootProps {
  readonly margin: FinishMargin;
  readonly plan: SewingPlan;
  readonly foot: FootRecord;
  /** What folds the strip before it; null for none. */
  readonly attachment?: FootRecord | null;
  readonly judgement: Judgement;
  readonly beliefs: Beliefs;
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

/** Whether two windows show the same at the same place. */
export function isSameView(one: View, other: View): boolean {
  return (Object.keys(one) as (keyof View)[]).every((name) => one[name] === other[name]);
}

/** A place across the machine on the screen, px. */
export const px = (view: View, xMm: number) =>
  view.x + view.width / 2 + (xMm - view.midXMm) * view.pxPerMm;
const py = (view: View, yMm: number) =>
  view.y + view.height / 2 - (yMm - view.midYMm) * view.pxPerMm;

/** The drift the picture shows as a band: nine stitches of ten. */
const bandSigmas = 1.645;

/** Cloth, foot, drift, stitches: everything that lies in the view's window. */
export function Scene({
  view,
  lens,
  id,
  ...props
}: UnderFootProps & { view: View; lens: boolean; id: string }) {
  const { margin, plan, foot, judgement, beliefs } = props;
  const { settings } = judgement;
  const [first, ...others] = margin.references(plan, settings);
  const belief = beliefFor(beliefs, first.source);
  const guide = first.atMm;
  const reference = guide + belief.shiftMm;
  const repeatMm = repeatLengthMm(plan.stitch, settings.lengthMm, plan.machine);
  const repeats = Math.ceil((view.height / view.pxPerMm / repeatMm) * 1.5) + 3;
  const path = needlePath(plan.stitch, settings, repeats, plan.machine);
  // The needle, y = 0, is at the hole that counts; what was sewn lies behind it.
  const firstBiteMm = path.find(({ role }) => role === tellingRole(plan))?.yMm ?? 0;
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
  // Sewing is done at the front of the slot.
  const front = Math.min(bottom, Math.max(top, py(view, -slotHalfMm)));
  const spanOf = (only: ClothRegion['only']): readonly [number, number] =>
    only === 'before'
      ? [front, bottom - front]
      : only === 'behind'
        ? [top, front - top]
        : [top, bottom - top];
  const [edgeTop] = spanOf(first.onlyBefore ? 'before' : undefined);
  const edgeOf = (mm: number) => Math.min(view.x + view.width, Math.max(view.x, px(view, mm)));
  const band = bandSigmas * belief.sigmaMm;
  const radius = needleRadiusMm(plan.needleSize) * view.pxPerMm;
  const counted = judgement.checks.find(({ name }) => name === margin.countedCheck);
  const allowed = counted ? allowedDrift(counted, counted.v0Mm) : null;
  const keepMm = needleRadiusMm(plan.needleSize) + needleAirMm;
  const plate = plan.machine.plateHoleMm ?? ([-Infinity, Infinity] as const);
  const openings = openingsOf(plan.foot);
  const straightOnly = hasStraightPlate(plan.machine) && swings(plan.stitch);
  const outside = (xMm: number, [left, right]: IntervalMm) =>
    xMm - keepMm < left - 1e-9 || xMm + keepMm > right + 1e-9;
  const meetsMetal = (xMm: number) =>
    (straightOnly && Math.abs(xMm - settings.needlePositionMm) > 1e-9) ||
    outside(xMm, plate) ||
    openings.every((opening) => outside(xMm, opening));

  // Where the reference may ride, shown at three stitches.
  const rides = (first.onlyBefore ? [-1, -2, -3] : [0, -1, 1]).map((i) => ({
    y: py(view, i * Math.max(repeatMm, first.onlyBefore ? 2.5 : 0)),
    from: px(view, guide + Math.max(-30, allowed?.[0] ?? 0)),
    to: px(view, guide + Math.min(30, allowed?.[1] ?? 0)),
    half: lens ? 16 : 9,
  }));

  const canRide = allowed !== null && allowed[1] > allowed[0];
  const rideEnds = canRide
    ? rides.map(({ from, to, y, half }) => upright([from, to], y - half, y + half)).join(' ')
    : '';
  const referenceLine = upright([px(view, reference)], edgeTop, bottom);
  const threadOf = (part: Hole[]) =>
    threadPath(
      part,
      (mm) => px(view, mm),
      (mm) => py(view, mm),
    );
  const sewnThread = threadOf(sewn);
  const widths = { rideEnds: lens ? 3 : 2, reference: 2.5, thread: lens ? 2.5 : 1.6 };
  const seen = holes.filter(inSight);
  const ringPx = Math.max(2.5, radius);
  const ringFill = lens ? 0.3 : 0.6;
  const ringsOf = (some: readonly Hole[], r: number) =>
    some.map(({ xMm, yMm }) => circle(px(view, xMm), py(view, yMm), r)).join('');

  return (
    <g clipPath={`url(#${id}-${lens ? 'lens' : 'bed'})`}>
      <rect x={view.x} y={view.y} width={view.width} height={view.height} fill="var(--color-bed)" />
      {margin.regions(plan).map((region: ClothRegion) => {
        const [from, to] = [edgeOf(reference + region.fromMm), edgeOf(reference + region.toMm)];
        const [y, height] = spanOf(region.only);
        return (
          <g key={region.name}>
            <rect
              x={from}
              y={y}
              width={Math.max(0, to - from)}
              height={height}
              fill={region.layers > 1 ? 'var(--cloth-2)' : 'var(--cloth-1)'}
            />
            <rect
              x={from}
              y={y}
              width={Math.max(0, to - from)}
              height={height}
              fill={`url(#${id}-weave)`}
            />
            {Number.isFinite(region.toMm) && region.layers === 1 && (
              <line
                x1={to}
                x2={to}
                y1={y}
                y2={y + height}
                stroke="var(--cloth-edge)"
                strokeWidth={1.5}
                strokeDasharray="2 3"
              />
            )}
          </g>
        );
      })}
      <FootShape
        seeThrough
        foot={foot}
        guideMm={settings.guideMm}
        x={(mm) => px(view, mm)}
        y={(mm) => py(view, mm)}
      />
      {!lens && props.attachment && (
        <AttachmentShape
          attachment={props.attachment}
          {...{ plan, foot }}
          guideMm={settings.guideMm}
          x={(mm) => px(view, mm)}
          y={(mm) => py(view, mm)}
          bottomPx={bottom}
        />
      )}
      {plan.machine.plateHoleMm && (
        <rect
          x={px(view, plan.machine.plateHoleMm[0])}
          y={py(view, slotHalfMm * 0.8)}
          width={(plan.machine.plateHoleMm[1] - plan.machine.plateHoleMm[0]) * view.pxPerMm}
          height={slotHalfMm * 1.6 * view.pxPerMm}
          rx={slotHalfMm * 0.8 * view.pxPerMm}
          fill="none"
          stroke="var(--color-soft)"
          strokeOpacity={0.6}
          strokeDasharray="2 4"
        />
      )}
      {others.map((other) => {
        const at = other.atMm + (beliefs[other.source]?.shiftMm ?? 0);
        return (
          <line
            key={other.name}
            x1={px(view, at)}
            x2={px(view, at)}
            y1={top}
            y2={bottom}
            stroke="var(--color-pencil)"
            strokeWidth={2}
            strokeDasharray="3 6"
          />
        );
      })}
      {/* where the fold wanders */}
      <rect
        x={px(view, reference - band)}
        y={edgeTop}
        width={Math.max(1, 2 * band * view.pxPerMm)}
        height={bottom - edgeTop}
        fill="var(--color-pencil)"
        fillOpacity={0.17}
      />
      <RimmedPath
        d={upright([px(view, reference - band), px(view, reference + band)], edgeTop, bottom)}
        stroke="var(--color-pencil)"
        strokeWidth={1}
        strokeDasharray="2 5"
      />
      {rideEnds && (
        <RimmedPath
          d={rides.map(boxOf).join(' ')}
          fill="var(--color-moss-fill)"
          fillOpacity={0.55}
          strokeWidth={0}
        />
      )}
      {/* One rim under all three lines: each path more is another that changes with every nudge. */}
      <Rim d={[rideEnds, referenceLine, sewnThread].join(' ')} strokeWidth={widths.reference} />
      <path d={rideEnds} stroke="var(--color-moss)" strokeWidth={widths.rideEnds} />
      <path d={referenceLine} stroke="var(--color-pencil)" strokeWidth={widths.reference} />
      <path d={sewnThread} fill="none" stroke="var(--color-graphite)" strokeWidth={widths.thread} />
      <RimmedPath
        d={threadOf(toCome)}
        fill="none"
        stroke="var(--color-graphite)"
        strokeWidth={widths.thread}
        strokeOpacity={0.4}
        strokeDasharray="4 4"
      />
      <Rim d={ringsOf(seen, ringPx)} fillOpacity={ringFill} strokeWidth={1} />
      {(['run', 'bite'] as const).map((role) => {
        const some = seen.filter((hole) => (hole.role === tellingRole(plan)) === (role === 'bite'));
        const colour = role === 'bite' ? 'var(--color-moss)' : 'var(--color-graphite)';
        return (
          <g key={role} fill={colour}>
            <path
              d={ringsOf(some, ringPx)}
              fillOpacity={ringFill}
              stroke={colour}
              strokeWidth={1}
            />
            {lens && <path d={ringsOf(some, 3.5)} />}
          </g>
        );
      })}
      <RimmedPath
        d={ringsOf(
          seen.filter(({ xMm }) => meetsMetal(xMm)),
          ringPx + 5,
        )}
        data-part="meets-metal"
        fill="none"
        stroke="var(--color-madder)"
        strokeWidth={4}
      />
      {lens && canRide && (
        <Label
          {...besideOf(
            view,
            px(view, guide + Math.max(-30, allowed[0])),
            px(view, guide + allowed[1]),
          )}
          y={py(view, first.onlyBefore ? -3 : 0) - 24}
          text={`the ${first.name} may ride here`}
          colour="var(--color-moss)"
          strong
        />
      )}
    </g>
  );
}

interface Ride {
  readonly y: number;
  readonly from: number;
  readonly to: number;
  readonly half: number;
}

/** The stretch of a ride as a box, half as high as the lines at its ends. */
function boxOf({ y, from, to, half }: Ride): string {
  return `M${from.toFixed(1)},${(y - half / 2).toFixed(1)} H${to.toFixed(1)} v${half} H${from.toFixed(1)} Z`;
}

/** Where words about a stretch begin, or end where they would not fit to its right. */
function besideOf(view: View, fromPx: number, toPx: number) {
  const right = view.x + view.width;
  const end = fromPx > right - 240;
  return { x: end ? Math.min(toPx, right - 8) : Math.max(view.x + 8, fromPx), end };
}

/** A circle as part of a path: many of them in one element are drawn and changed at once. */
function circle(x: number, y: number, r: number): string {
  return `M${(x - r).toFixed(1)},${y.toFixed(1)} a${r},${r} 0 1 0 ${2 * r},0 a${r},${r} 0 1 0 ${-2 * r},0 Z`;
}

/** The holes that the counted check watches: the bite, else the outermost swing, else the line. */
export function tellingRole({ stitch }: UnderFootProps['plan']): Hole['role'] {
  const roles = repeatOf(stitch).penetrations.map(({ role }) => role);
  return roles.includes('bite') ? 'bite' : roles.includes('swing') ? 'swing' : 'run';
}
