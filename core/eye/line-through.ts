/** A straight line: what it is at 0, and how much more with every one. */
export interface StraightLine {
  readonly atZero: number;
  readonly slope: number;
}

/** The line through some places, by least squares; level where they don’t differ. Source: Gauss. */
export function lineThrough(
  places: readonly (readonly [at: number, value: number])[],
): StraightLine {
  const n = Math.max(1, places.length);
  let [at, value] = [0, 0];
  for (const [x, y] of places) {
    at += x / n;
    value += y / n;
  }
  let [square, product] = [0, 0];
  for (const [x, y] of places) {
    square += (x - at) ** 2;
    product += (x - at) * (y - value);
  }
  const slope = square > 1e-9 ? product / square : 0;
  return { atZero: value - slope * at, slope };
}
