/** A straight line: what it is at 0, and how much more with every one. */
export interface StraightLine {
  readonly atZero: number;
  readonly slope: number;
}

/**
 * Places no further apart than this share of how far they are from 0 don’t differ: nearer to one
 * another, rounding is all that their difference tells. A share, so that the line is the same
 * whatever the unit.
 */
const ONE_PLACE = 1e-9;

/** The line through some places, by least squares; level where they don’t differ. Source: Gauss. */
export function lineThrough(
  places: readonly (readonly [at: number, value: number])[],
): StraightLine {
  const n = Math.max(1, places.length);
  let [at, value, far] = [0, 0, 0];
  for (const [x, y] of places) {
    far = Math.max(far, Math.abs(x));
    at += x / n;
    value += y / n;
  }
  let [square, product] = [0, 0];
  for (const [x, y] of places) {
    square += (x - at) ** 2;
    product += (x - at) * (y - value);
  }
  const slope = square > n * (ONE_PLACE * far) ** 2 ? product / square : 0;
  return { atZero: value - slope * at, slope };
}
