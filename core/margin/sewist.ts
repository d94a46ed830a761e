import { undriftedMm, type Check } from './check';
import type { MarginSettings } from './set-up';

/** A hand whose truth is known: where it lets the edge run, and how widely. */
export interface KnownHand {
  readonly shiftMm: number;
  readonly sigmaMm: number;
}

/** A normal number from two even ones, by Box and Muller. */
export function normalDraw(random: () => number): number {
  const radius = Math.sqrt(-2 * Math.log(1 - random()));
  return radius * Math.cos(2 * Math.PI * random());
}

/**
 * A scrap as a known hand sews it, counted by one check: for trying out what is learned from
 * counts, and for samples that nobody sewed.
 *
 * @param n how many stitches of the kind the check watches
 * @param random even numbers in 0 … 1
 */
export function sewSample(
  check: Check,
  settings: MarginSettings,
  n: number,
  { shiftMm, sigmaMm }: KnownHand,
  random: () => number,
): { readonly check: string; readonly n: number; readonly short: number; readonly over: number } {
  const aimMm = undriftedMm(check, settings);
  let [short, over] = [0, 0];
  for (let stitch = 0; stitch < n; stitch++) {
    const value = aimMm + check.k * (shiftMm + sigmaMm * normalDraw(random));
    if (value < check.loMm) short++;
    else if (value > check.hiMm) over++;
  }
  return { check: check.name, n, short, over };
}
