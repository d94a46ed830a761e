import type { Field } from './flatten';
import type { RawEdge } from './raw-edge';

// Asked for at every pixel.
const { exp, max, min, round, hypot, sqrt } = Math;

/** The edge is looked for in strips so wide, mm. */
export const stripMm = 1;
/** Cloth and paper are compared over so much on either side, mm. */
const besideMm = 0.8;
/** So far from its straight line an edge is looked for, mm. */
const reachMm = 4;
/** A step aside of a strip’s width costs as much as so much of the edge’s usual step. */
const bendCost = 1.2;
/** Threads that lie over the edge shift it in one strip and not in the next: one spread, mm. */
const smoothMm = 2;
/** What smoothing took of the waves is smoothed and given back so often: of 15 mm long ones 97 % are left. */
const givenBack = 2;

/**
 * The course of a raw edge in a picture turned along it: how far it lies across from its straight line in
 * every strip, towards the picture’s foot. Of all ways from one end to the other it is the one along which
 * cloth and paper differ most, bends being dear; what lies over the edge is then smoothed away.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param along rows run along the edge
 * @returns mm, for each strip of {@link stripMm} from the left
 */
export function edgeCourse(along: Field, { acrossMm, paper }: RawEdge): number[] {
  const { height, pxPerMm } = along;
  const strips = stripMeans(along);
  const middle = round((height - 1) / 2 + acrossMm * pxPerMm);
  const reach = max(1, round(besideMm * pxPerMm));
  const far = round(reachMm * pxPerMm);
  const rows = Array.from({ length: 2 * far + 1 }, (_, k) => middle - far + k).filter(
    (row) => row >= reach && row <= height - reach,
  );
  if (rows.length === 0) return strips.map(() => 0);
  const steps = strips.map((sums) =>
    rows.map((row) => (paper * (sums[row + reach]! - 2 * sums[row]! + sums[row - reach]!)) / reach),
  );
  const usual = steps.reduce((sum, one) => sum + max(...one), 0) / strips.length;
  const path = plainestWay(steps, bendCost * usual, max(1, round(stripMm * pxPerMm)));
  return withoutThread(path.map((k) => (rows[k]! - 0.5 - (height - 1) / 2) / pxPerMm - acrossMm));
}

/** For each strip, what all its rows above each row have together, each row’s mean over its width. */
function stripMeans({ width, height, values, pxPerMm }: Field): Float64Array[] {
  const wide = max(1, round(stripMm * pxPerMm));
  return Array.from({ length: Math.floor(width / wide) }, (_, strip) => {
    const sums = new Float64Array(height + 1);
    for (let row = 0; row < height; row++) {
      let sum = 0;
      const from = row * width + strip * wide;
      for (let at = from; at < from + wide; at++) sum += values[at]!;
      sums[row + 1] = sums[row]! + sum / wide;
    }
    return sums;
  });
}

/**
 * The way through a table, one place in each line, with the greatest sum, less what going aside costs:
 * the square of how far, in widths. By dynamic programming, no farther aside than a width from one
 * line to the next.
 */
export function plainestWay(
  gains: readonly (readonly number[])[],
  cost: number,
  width: number,
): number[] {
  const count = gains[0]?.length ?? 0;
  let best = [...(gains[0] ?? [])];
  const from = gains.slice(1).map((line) => {
    const came: number[] = [];
    best = line.map((gain, k) => {
      let [most, at] = [-Infinity, k];
      for (let j = max(0, k - width); j <= min(count - 1, k + width); j++) {
        const reached = best[j]! - cost * ((k - j) / width) ** 2;
        if (reached > most) [most, at] = [reached, j];
      }
      came.push(at);
      return most + gain;
    });
    return came;
  });
  const way = [best.indexOf(max(...best))];
  for (const came of from.toReversed()) way.push(came[way.at(-1)!]!);
  return way.toReversed();
}

/** A course without what lies over it, its own waves left as they are. */
function withoutThread(course: readonly number[]): number[] {
  let smooth = smoothed(course);
  for (let i = 0; i < givenBack; i++) {
    const lost = smoothed(course.map((value, at) => value - smooth[at]!));
    smooth = smooth.map((value, at) => value + lost[at]!);
  }
  return smooth;
}

/** Each value as the mean of those around it, the nearer the more. */
function smoothed(values: readonly number[]): number[] {
  const reach = round((3 * smoothMm) / stripMm);
  return values.map((_, i) => {
    let [sum, weight] = [0, 0];
    for (let j = max(0, i - reach); j <= min(values.length - 1, i + reach); j++) {
      const w = exp(-((((i - j) * stripMm) / smoothMm) ** 2) / 2);
      sum += w * values[j]!;
      weight += w;
    }
    return sum / weight;
  });
}

/** A course between its strips. @param xMm from the picture’s left */
export function courseAt(course: readonly number[], xMm: number): number {
  const place = min(course.length - 1, max(0, xMm / stripMm - 0.5));
  const left = min(course.length - 2, Math.floor(place));
  if (left < 0) return course[0] ?? 0;
  return course[left]! + (course[left + 1]! - course[left]!) * (place - left);
}

/** How much longer an edge is than the straight line from its one end to its other, as a share. */
export function longerThanStraight(course: readonly number[]): number {
  if (course.length < 2) return 0;
  const length = course
    .slice(1)
    .reduce((sum, across, i) => sum + hypot(stripMm, across - course[i]!), 0);
  return length / hypot((course.length - 1) * stripMm, course.at(-1)! - course[0]!) - 1;
}

/** How far an edge lies off its straight line, the root of the mean square, mm. */
export const bentMm = (course: readonly number[]): number => {
  const mean = course.reduce((sum, across) => sum + across, 0) / max(1, course.length);
  const square = course.reduce((sum, across) => sum + (across - mean) ** 2, 0);
  return sqrt(square / max(1, course.length));
};

/** A picture in which the edge is straight: every column moved by as much as the edge lies aside there. */
export function straightened(along: Field, course: readonly number[]): Field {
  const { width, height, values, pxPerMm } = along;
  const moved = new Float32Array(values.length);
  for (let x = 0; x < width; x++) {
    const off = courseAt(course, (x + 0.5) / pxPerMm) * pxPerMm;
    const whole = Math.floor(off);
    const part = off - whole;
    for (let row = 0; row < height; row++) {
      const [upper, lower] = [row + whole, row + whole + 1];
      if (upper < 0 || lower >= height) continue;
      const [a, b] = [values[upper * width + x]!, values[lower * width + x]!];
      moved[row * width + x] = a + (b - a) * part;
    }
  }
  return { ...along, values: moved };
}
