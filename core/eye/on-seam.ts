import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import type { Seen, SeenHole } from './seen';

/** A way from a seam’s own coordinates, mm, to what a field has there. */
export type LookAt = (alongMm: number, acrossMm: number) => number;

/** A field with the coordinates of a seam laid on it, for what looks at it millions of times. */
export interface LaidField {
  readonly values: Float32Array;
  readonly width: number;
  /** Between the pixels nothing is looked at from here on, px. */
  readonly lastX: number;
  readonly lastY: number;
  /** A millimetre along, px. */
  readonly c: number;
  readonly s: number;
  /** Where the coordinates begin, px. */
  readonly x0: number;
  readonly y0: number;
  /** −1 turns what is dark to light. */
  readonly sign: 1 | -1;
}

export function laidField(
  { width, height, values, pxPerMm }: Field,
  { angle, middleMm }: FoundSeam,
  sign: 1 | -1 = 1,
): LaidField {
  return {
    ...{ values, width, lastX: width - 1, lastY: height - 1, sign },
    ...{ c: Math.cos(angle) * pxPerMm, s: Math.sin(angle) * pxPerMm },
    // A pixel’s value is that of its middle.
    ...{ x0: middleMm[0] * pxPerMm, y0: middleMm[1] * pxPerMm },
  };
}

/** Looks at a field by the coordinates of a seam; beyond the window there is nothing. As `valueAt` has it. */
export function lookOn({ values, width, lastX, lastY, c, s, x0, y0, sign }: LaidField): LookAt {
  return (along, across) => {
    const x = x0 + along * c - across * s;
    const y = y0 + along * s + across * c;
    if (x < 0 || y < 0 || x >= lastX || y >= lastY) return 0;
    const left = x | 0;
    const top = y | 0;
    const fx = x - left;
    const at = top * width + left;
    const above = values[at]!;
    const below = values[at + width]!;
    const upper = above + (values[at + 1]! - above) * fx;
    const lower = below + (values[at + width + 1]! - below) * fx;
    return sign * (upper + (lower - upper) * (y - top));
  };
}

/** The same of a field and a seam. */
export const lookAlong = (field: Field, seam: FoundSeam): LookAt => lookOn(laidField(field, seam));

/** So near to its border a window shows the card’s own print round it, mm. */
export const borderMm = 0.6;

/**
 * Whether a place of a seam lies in a field, clear of its border: beyond it a look sees nothing, which is no step from
 * something, and along it runs the line the card is printed with.
 */
export function isSeenAlong(
  { width, height, pxPerMm }: Field,
  { angle, middleMm }: FoundSeam,
): (alongMm: number, acrossMm: number) => boolean {
  const [c, s] = [Math.cos(angle) * pxPerMm, Math.sin(angle) * pxPerMm];
  const [x0, y0] = [middleMm[0] * pxPerMm, middleMm[1] * pxPerMm];
  const inset = borderMm * pxPerMm;
  return (along, across) => {
    const [x, y] = [x0 + along * c - across * s, y0 + along * s + across * c];
    return x >= inset && y >= inset && x < width - 1 - inset && y < height - 1 - inset;
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
  // A seam’s own place may be any of its repeats, at one end of the window as well.
  const middle = Math.round((-along * seam.alongMm) / seam.repeatMm);
  const placed: PlacedHole[] = [];
  for (let repeat = middle - reach; repeat <= middle + reach; repeat++) {
    for (const hole of seen.holes) {
      const alongMm = seam.alongMm + along * (hole.alongMm * stretch + repeat * seam.repeatMm);
      if (Math.abs(alongMm) > lengthMm / 2) continue;
      placed.push({ hole, repeat, alongMm, acrossMm: seam.acrossMm + across * hole.acrossMm });
    }
  }
  return placed;
}
