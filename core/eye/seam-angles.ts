import { spreadOf, type Field } from './flatten';

// Asked for at every pixel.
const { abs, cos, max, PI, sin, sqrt } = Math;

/** People lay a seam along the window to so many degrees. */
export const mostTurnedDegrees = 12;
export const angleStepDegrees = 0.25;
/** So many directions of either kind are looked at closely. */
const closelyLookedAt = 3;

/** Directions in which rows stand out, as lines or by how lively they are; the likeliest first. */
export function likelyAngles(field: Field): number[] {
  const { width, height } = field;
  const scored: { angle: number; line: number; band: number }[] = [];
  const small = field.values;
  const mean = spreadOf(small) ** 2;
  for (
    let degrees = -mostTurnedDegrees;
    degrees <= mostTurnedDegrees;
    degrees += angleStepDegrees
  ) {
    const angle = (degrees / 180) * PI;
    const [c, s] = [cos(angle), sin(angle)];
    const sums = new Float32Array(2 * height);
    const lively = new Float32Array(2 * height);
    const counts = new Float32Array(2 * height);
    for (let y = 0; y < height; y++) {
      const first = (y - height / 2) * c + (width / 2) * s + height + 0.5;
      for (let x = 0; x < width; x += 2) {
        // Never below 0, so that this rounds.
        const row = (first - x * s) | 0;
        const value = small[y * width + x]!;
        sums[row]! += value;
        lively[row]! += value * value;
        counts[row]!++;
      }
    }
    const least = width / 4;
    let [line, band] = [0, 0];
    for (let row = 1; row < 2 * height - 1; row++) {
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
