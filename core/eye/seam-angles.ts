import { spreadOf, type Field } from './flatten';

// Asked for at every pixel.
const { abs, ceil, max, PI, round, sqrt, tan } = Math;

/** People lay a seam along the window to so many degrees. */
export const mostTurnedDegrees = 12;
export const angleStepDegrees = 0.25;
/** So many directions of either kind are looked at closely. */
const closelyLookedAt = 3;

/** What every row has up to a column, column after column: a stretch of a row is the difference of two. */
function upToColumn({ width, height, values }: Field, of: (value: number) => number): Float64Array {
  const sums = new Float64Array((width + 1) * height);
  for (let x = 0; x < width; x++) {
    const here = x * height;
    for (let y = 0; y < height; y++) {
      sums[here + height + y] = sums[here + y]! + of(values[y * width + x]!);
    }
  }
  return sums;
}

/** Directions in which rows stand out, as lines or by how lively they are; the likeliest first. */
export function likelyAngles(field: Field): number[] {
  const { width, height } = field;
  const scored: { angle: number; line: number; band: number }[] = [];
  const mean = spreadOf(field.values) ** 2;
  const light = upToColumn(field, (value) => value);
  const squared = upToColumn(field, (value) => value * value);
  const middle = (width - 1) / 2;
  const steepest = ceil(middle * tan((mostTurnedDegrees / 180) * PI)) + 1;
  const rows = height + 2 * steepest;
  for (
    let degrees = -mostTurnedDegrees;
    degrees <= mostTurnedDegrees;
    degrees += angleStepDegrees
  ) {
    const angle = (degrees / 180) * PI;
    const rise = tan(angle);
    const sums = new Float64Array(rows);
    const lively = new Float64Array(rows);
    const counts = new Int32Array(rows);
    // A slanting row is made of level stretches, each a row lower or higher than the last.
    for (let from = 0; from < width;) {
      const down = round((from - middle) * rise);
      let to = from + 1;
      while (to < width && round((to - middle) * rise) === down) to++;
      const [before, end, first] = [from * height, to * height, steepest - down];
      for (let y = 0; y < height; y++) {
        sums[first + y]! += light[end + y]! - light[before + y]!;
        lively[first + y]! += squared[end + y]! - squared[before + y]!;
        counts[first + y]! += to - from;
      }
      from = to;
    }
    const least = width / 2;
    let [line, band] = [0, 0];
    for (let row = 1; row < rows - 1; row++) {
      const n = counts[row]!;
      if (n < least) continue;
      line = max(line, abs(sums[row]!) / sqrt(n * mean));
      band = max(band, (lively[row - 1]! + lively[row]! + lively[row + 1]!) / (3 * n * mean));
    }
    scored.push({ angle, line, band });
  }
  const chosen: number[] = [];
  const apart = (1.8 * angleStepDegrees * PI) / 180;
  // A fold beside the seam is the straightest line there is; without one the stitches’ own band is.
  for (const by of ['line', 'band'] as const) {
    const before = chosen.length;
    for (const { angle } of scored.toSorted((a, b) => b[by] - a[by])) {
      if (chosen.every((other) => abs(other - angle) > apart)) chosen.push(angle);
      if (chosen.length === before + closelyLookedAt) break;
    }
  }
  return chosen;
}
