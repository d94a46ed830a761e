import type { DialSettings } from '../kit/dial-steps';
import { openingsOf, type Foot, type IntervalMm } from '../kit/foot';
import type { Machine } from '../kit/machine';
import { needleRadiusMm } from '../kit/needle';
import { holeXMm, swingOf, widthCoefficient } from './needle-path';
import type { Stitch } from './stitch';

/** Starting guess: how much air a needle that bends a little wants beside it, mm. */
export const needleAirMm = 0.3;

/**
 * Starting guess: a plate whose hole is no wider than this was made for straight stitching alone;
 * its round hole leaves no room for a swing, however small.
 */
export const straightPlateMm = 2.2;

/** Whether a machine wears a plate that is for straight stitching alone. */
export function hasStraightPlate({ plateHoleMm }: Pick<Machine, 'plateHoleMm'>): boolean {
  return Boolean(plateHoleMm && plateHoleMm[1] - plateHoleMm[0] <= straightPlateMm);
}

/** Room for binary noise, so that a needle exactly at its limit is not refused. */
const hair = 1e-9;

/** How far either of two needles on one shank stands from its middle; 0 for a single one. */
const halfTwinMm = ({ twinGapMm }: Stitch): number => (twinGapMm ?? 0) / 2;

/** What of a foot the needle has to pass. */
type Opened = Pick<Foot, 'slotMm' | 'besideMm'>;

/** Where and by how much the needle comes nearest to metal. */
export interface Clearance {
  /** Room left beyond the needle's radius and its air; negative blocks the setting. */
  readonly clearanceMm: number;
  /** What it would meet first. */
  readonly nearest: 'foot' | 'plate';
  readonly side: 'left' | 'right';
}

/**
 * The room between the needle's swing and the metal around it: every hole keeps the needle's
 * radius plus {@link needleAirMm} inside the foot's slot and the plate's hole, and over a
 * straight-stitch plate it may not swing at all.
 * Source: docs/formulas.md, “Clearance”.
 *
 * @param needleSize metric size, e.g. 80
 */
export function clearanceOf(
  stitch: Stitch,
  dials: DialSettings,
  foot: Opened,
  machine: Pick<Machine, 'plateHoleMm'>,
  needleSize: number,
): Clearance {
  const [uLeft, uRight] = swingOf(stitch);
  const xs = [holeXMm(uLeft, stitch, dials), holeXMm(uRight, stitch, dials)];
  const apart = halfTwinMm(stitch);
  const [left, right] = [Math.min(...xs) - apart, Math.max(...xs) + apart];
  const keepMm = needleRadiusMm(needleSize) + needleAirMm;
  const nearestOf = (nearest: Clearance['nearest'], [from, to]: IntervalMm): Clearance => {
    const [toLeft, toRight] = [left - from - keepMm, to - right - keepMm];
    return toLeft <= toRight
      ? { clearanceMm: toLeft, nearest, side: 'left' }
      : { clearanceMm: toRight, nearest, side: 'right' };
  };
  // A foot without a slot is passed on whichever side leaves more room.
  const atFoot = openingsOf(foot)
    .map((opening) => nearestOf('foot', opening))
    .reduce((best, next) => (next.clearanceMm > best.clearanceMm ? next : best));
  const places = [atFoot];
  if (machine.plateHoleMm) places.push(nearestOf('plate', machine.plateHoleMm));
  if (hasStraightPlate(machine) && right - left > hair) {
    // What the swing asks for is what the plate lacks.
    places.push({ clearanceMm: left - right, nearest: 'plate', side: 'left' });
  }
  return places.reduce((least, next) => (next.clearanceMm < least.clearanceMm ? next : least));
}

/** True when no hole falls outside the widest swing the machine can make, ± half its width. */
export function withinSwing(
  stitch: Stitch,
  dials: Pick<DialSettings, 'widthMm' | 'needlePositionMm'>,
  machine: Pick<Machine, 'maxWidthMm'>,
): boolean {
  const half = machine.maxWidthMm / 2 - halfTwinMm(stitch) + hair;
  return swingOf(stitch).every((u) => Math.abs(holeXMm(u, stitch, dials)) <= half);
}

/**
 * Whether the needle may go to a width and position at all: {@link withinSwing}, and
 * {@link clearanceOf} not negative. Worked out once for a kit, asked for every setting of it.
 */
export function needleMayGo(
  stitch: Stitch,
  foot: Opened,
  machine: Pick<Machine, 'plateHoleMm' | 'maxWidthMm'>,
  needleSize: number,
): (widthMm: number, needlePositionMm: number) => boolean {
  const keepMm = needleRadiusMm(needleSize) + needleAirMm;
  const half = machine.maxWidthMm / 2;
  const apart = halfTwinMm(stitch);
  const [plateLeft, plateRight] = machine.plateHoleMm ?? [-Infinity, Infinity];
  const rooms = openingsOf(foot).map(([left, right]) => ({
    least: Math.max(-half, plateLeft + keepMm, left + keepMm) + apart - hair,
    most: Math.min(half, plateRight - keepMm, right - keepMm) - apart + hair,
  }));
  const [a, b] = swingOf(stitch).map((u) => widthCoefficient(u, stitch)) as [number, number];
  const straightOnly = hasStraightPlate(machine);
  return (widthMm, needlePositionMm) => {
    const [x, y] = [needlePositionMm + a * widthMm, needlePositionMm + b * widthMm];
    if (straightOnly && Math.abs(x - y) + 2 * apart > hair) return false;
    return rooms.some(({ least, most }) => x >= least && x <= most && y >= least && y <= most);
  };
}
