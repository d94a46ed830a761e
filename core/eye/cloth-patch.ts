import type { Pair } from './least';
import type { LookAt } from './on-seam';

/** A patch of cloth with thread on it, by a seam’s own coordinates in mm. */
export interface ClothPatch {
  readonly across: Float64Array;
  readonly along: Float64Array;
  readonly seen: Float64Array;
  /** What the cloth would show there without thread. */
  readonly bare: Float64Array;
}

/** What is seen at places, and what the cloth would show there. @param places across and along each, mm */
export const patchAt = (places: readonly Pair[], look: LookAt, bare: LookAt): ClothPatch => ({
  across: Float64Array.from(places, ([t]) => t),
  along: Float64Array.from(places, ([, s]) => s),
  seen: Float64Array.from(places, ([t, s]) => look(s, t)),
  bare: Float64Array.from(places, ([t, s]) => bare(s, t)),
});

/** What a least square is told by: of what thread covers, of what is seen, and of both together. */
interface Sums {
  readonly x: number;
  readonly xy: number;
  readonly y: number;
}

function sumsOf({ seen, bare }: ClothPatch, covers: Float64Array): Sums {
  const n = seen.length;
  let [sx, sy, sxx, sxy, syy] = [0, 0, 0, 0, 0];
  for (let i = 0; i < n; i++) {
    const cover = covers[i]!;
    const left = seen[i]! - bare[i]! * (1 - cover);
    sx += cover;
    sy += left;
    sxx += cover * cover;
    sxy += cover * left;
    syy += left * left;
  }
  return { x: sxx - (sx * sx) / n, xy: sxy - (sx * sy) / n, y: syy - (sy * sy) / n };
}

/**
 * How far what is seen is from thread that covers so much: the least sum of squares over all greys the thread may have
 * and all light there may be. What thread covers of the cloth replaces it: seen = light + bare·(1 − cover) + grey·cover.
 *
 * @param covers how much of every place is thread, as a share
 */
export function coveredOff(patch: ClothPatch, covers: Float64Array): number {
  const { x, xy, y } = sumsOf(patch, covers);
  return x > 0 ? y - (xy * xy) / x : y;
}

/** The grey that thread would have, against cloth of none. */
export function coveredGrey(patch: ClothPatch, covers: Float64Array): number {
  const { x, xy } = sumsOf(patch, covers);
  return x > 0 ? xy / x : 0;
}
