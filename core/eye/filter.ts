import { flattened, spreadOf, standingOut } from './flatten';
import type { ScaledImage } from './grey';

/** A way to look at colours: how much of each counts, and what is added. */
export interface Filter {
  readonly red: number;
  readonly green: number;
  readonly blue: number;
  readonly at: number;
}

/**
 * What a thread may differ in from cloth that is as light: one colour alone, or the difference of two,
 * which no shadow and no weave has.
 */
export const filters: readonly Filter[] = [
  { red: 1, green: 0, blue: 0, at: 0 },
  { red: 0, green: 1, blue: 0, at: 0 },
  { red: 0, green: 0, blue: 1, at: 0 },
  { red: 1, green: -1, blue: 0, at: 128 },
  { red: -0.5, green: -0.5, blue: 1, at: 128 },
];

/** Coarse enough to be looked at in a moment, fine enough for a thread, px a mm. */
export const lookedAtPxPerMm = 5;
/** So much of a window is thread, or a little less. */
const threadShare = 0.01;

/**
 * How far what is the plainest in a window stands out, as wide as a thread, in spreads of the rest.
 *
 * @param window about {@link lookedAtPxPerMm}
 */
export function standsOutBy(window: ScaledImage): number {
  const { values } = standingOut(flattened(window));
  const far = values.map(Math.abs).sort();
  const plainest = far.subarray(Math.floor(far.length * (1 - threadShare)));
  const mean = plainest.reduce((sum, value) => sum + value, 0) / Math.max(1, plainest.length);
  return mean / spreadOf(values);
}
