import { valueAt, type Field } from './flatten';
import type { FoundSeam } from './find-seam';
import type { Seen, SeenHole } from './seen';

/** A way from a seam’s own coordinates, mm, to what a field has there. */
export type LookAt = (alongMm: number, acrossMm: number) => number;

/** Looks at a field by the coordinates of a seam; beyond the window there is nothing. */
export function lookAlong(field: Field, { angle, middleMm }: FoundSeam): LookAt {
  const { pxPerMm } = field;
  const [c, s] = [Math.cos(angle) * pxPerMm, Math.sin(angle) * pxPerMm];
  // A pixel’s value is that of its middle.
  const [x0, y0] = [middleMm[0] * pxPerMm, middleMm[1] * pxPerMm];
  return (along, across) =>
    valueAt(field, x0 + along * c - across * s, y0 + along * s + across * c);
}

/** Whether a place of a seam lies in a field; beyond it a look sees nothing, which is no step from something. */
export function isSeenAlong(
  { width, height, pxPerMm }: Field,
  { angle, middleMm }: FoundSeam,
): (alongMm: number, acrossMm: number) => boolean {
  const [c, s] = [Math.cos(angle) * pxPerMm, Math.sin(angle) * pxPerMm];
  const [x0, y0] = [middleMm[0] * pxPerMm, middleMm[1] * pxPerMm];
  return (along, across) => {
    const [x, y] = [x0 + along * c - across * s, y0 + along * s + across * c];
    return x >= 0 && y >= 0 && x < width - 1 && y < height - 1;
  };
}

/** A place on a seam as the window has it, mm from its upper left corner. */
export function inWindow(
  { angle, middleMm }: FoundSeam,
  pxPerMm: number,
  [along, across]: readonly [number, number],
): readonly [xMm: number, yMm: number] {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const half = 0.5 / pxPerMm;
  return [middleMm[0] + half + along * c - across * s, middleMm[1] + half + along * s + across * c];
}

/** A hole where the stitch would have it. */
export interface PlacedHole {
  readonly hole: SeenHole;
  /** Which repeat it belongs to, counted along the window. */
  readonly repeat: number;
  readonly alongMm: number;
  readonly acrossMm: number;
}

/** All holes that a window of a length has room for, in sewing order. @param lengthMm of the window */
export function placedHoles(seen: Seen, seam: FoundSeam, lengthMm: number): PlacedHole[] {
  const stretch = seam.repeatMm / seen.repeatMm;
  const [along, across] = seam.turned;
  const reach = Math.ceil(lengthMm / 2 / seam.repeatMm) + 2;
  const placed: PlacedHole[] = [];
  for (let repeat = -reach; repeat <= reach; repeat++) {
    for (const hole of seen.holes) {
      const alongMm = seam.alongMm + along * (hole.alongMm * stretch + repeat * seam.repeatMm);
      if (Math.abs(alongMm) > lengthMm / 2) continue;
      placed.push({ hole, repeat, alongMm, acrossMm: seam.acrossMm + across * hole.acrossMm });
    }
  }
  return placed;
}
