import type { DialSettings } from '../kit/dial-steps';
import type { Machine } from '../kit/machine';
import { pitchMm } from './pitch';
import { repeatOf } from './repeat';
import type { Anchor, Penetration, Stitch } from './stitch';

/** Which u stands still under the anchor; a mirrored stitch keeps its own other side still. */
function stillSide(anchor: Anchor, mirror: boolean): number {
  const side = anchor === 'right' ? 1 : anchor === 'left' ? -1 : 0;
  return mirror ? -side + 0 : side;
}

/**
 * How far a hole stands from the needle position, per millimetre of width.
 *
 * x = p + (u − still) · W/2, so the coefficient is (u − still)/2; the needle position always
 * counts once. Source: docs/formulas.md, “Needle path”.
 *
 * @param u the hole's place in the swing, −1 … +1, after mirroring
 */
export function widthCoefficient(u: number, stitch: Stitch): number {
  return (u - stillSide(stitch.anchor, stitch.mirror ?? false)) / 2;
}

/** Where a hole falls across the machine, mm from the centre needle position. */
export function holeXMm(
  u: number,
  stitch: Stitch,
  dials: Pick<DialSettings, 'widthMm' | 'needlePositionMm'>,
): number {
  return dials.needlePositionMm + widthCoefficient(u, stitch) * dials.widthMm;
}

/** The leftmost and rightmost u of a stitch. */
export function swingOf(stitch: Stitch): readonly [number, number] {
  const us = repeatOf(stitch).penetrations.map((hole) => hole.u);
  return [Math.min(...us), Math.max(...us)];
}

/** Whether a stitch swings at all; for a straight line the width is no dial. */
export function swings(stitch: Stitch): boolean {
  const [left, right] = swingOf(stitch);
  return right > left;
}

/** A needle hole in the cloth. */
export interface Hole extends Penetration {
  readonly xMm: number;
  readonly yMm: number;
}

/**
 * The needle's holes in sewing order.
 *
 * @param repeats how many repeats to lay out, ≥ 1
 * @param machine what its length dial means; one stitch unless it says otherwise
 * @returns x across the machine and y along the seam, mm; y starts at 0
 */
export function needlePath(
  stitch: Stitch,
  dials: DialSettings,
  repeats: number,
  machine: Pick<Machine, 'lengthMeans'> = {},
): Hole[] {
  const { penetrations, stitches } = repeatOf(stitch);
  const pitch = pitchMm(stitch, dials.lengthMm, machine);
  const twinGapMm = stitch.twinGapMm ?? 0;
  const holes: Hole[] = [];
  for (let repeat = 0; repeat < repeats; repeat++) {
    for (const hole of penetrations) {
      const [xMm, yMm] = [holeXMm(hole.u, stitch, dials), (repeat * stitches + hole.v) * pitch];
      if (twinGapMm === 0) holes.push({ ...hole, xMm, yMm });
      else {
        holes.push({ ...hole, needle: 0, xMm: xMm - twinGapMm / 2, yMm });
        holes.push({ ...hole, needle: 1, xMm: xMm + twinGapMm / 2, yMm });
      }
    }
  }
  return holes;
}
