/** Where a parabola through three values has its least, in steps from the middle one, at most one to either side. */
export function leastOf(before: number, here: number, after: number): number {
  const bend = before - 2 * here + after;
  if (bend > 0) return Math.max(-1, Math.min(1, (before - after) / (2 * bend)));
  return before < after ? -1 : 1;
}

/** A place with two coordinates. */
export type Pair = readonly [number, number];

/** A place and how far off it is. */
export interface Placed {
  readonly at: Pair;
  readonly off: number;
}

/**
 * A place moved to where it is least far off, along its first coordinate, its second, and its first again, in
 * smaller and smaller steps.
 *
 * @param steps for each round, along either coordinate
 */
export function settledAt(
  offOf: (at: Pair) => number,
  start: Placed,
  steps: readonly Pair[],
): Placed {
  let { at, off } = start;
  for (const [first, second] of steps) {
    for (const [x, y] of [
      [first, 0],
      [0, second],
      [first, 0],
    ] as const) {
      const by = (k: number): Pair => [at[0] + k * x, at[1] + k * y];
      const to = by(leastOf(offOf(by(-1)), off, offOf(by(1))));
      const there = offOf(to);
      if (there < off) [at, off] = [to, there];
    }
  }
  return { at, off };
}
