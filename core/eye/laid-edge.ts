import { alongEdge, type AlongEdge } from './along-edge';
import { bentMm, courseAt, edgeCourse, straightened } from './edge-course';
import type { Field } from './flatten';
import type { RawEdge } from './raw-edge';
import { turnedBy } from './waves';

/** Off its straight line by less, the root of the mean square, an edge is straight: thread over it does as much, mm. */
const leastBentMm = 0.17;

/** A picture laid along a raw edge. */
export interface LaidEdge {
  readonly edge: RawEdge;
  /** How far the edge lies off its straight line, strip by strip. */
  readonly course: readonly number[];
  /** By how much the picture was moved to make it straight: its course, or nothing. */
  readonly moved: readonly number[];
  /** The picture turned along the edge, which is straight in it. */
  readonly tones: Field;
  readonly picture: AlongEdge;
}

/** Turns a picture along a raw edge, and makes the edge straight if it is not. @param tones about their mean */
export function laidEdge(tones: Field, edge: RawEdge): LaidEdge {
  const turned = turnedBy(tones, edge.angle);
  const course = edgeCourse(turned, edge);
  const moved = bentMm(course) < leastBentMm ? [] : course;
  const laid = moved.length > 0 ? straightened(turned, moved) : turned;
  return { edge, course, moved, tones: laid, picture: alongEdge(laid) };
}

/** A way from a laid picture back to the window it was taken from, mm. */
export function backToWindow({
  edge: { angle },
  moved,
  tones: { width, height, pxPerMm },
}: LaidEdge): (place: readonly [number, number]) => readonly [number, number] {
  const [xc, yc] = [width / 2 / pxPerMm, height / 2 / pxPerMm];
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return ([x, y]) => {
    const off = y + courseAt(moved, x) - yc;
    return [xc + (x - xc) * c - off * s, yc + (x - xc) * s + off * c];
  };
}

/** A straight line in a laid picture, with so many places that it follows the edge in the window. */
export function alongCourse(
  line: readonly (readonly [number, number])[],
  moved: readonly number[],
): readonly (readonly [number, number])[] {
  const [from, to] = [line[0], line.at(-1)];
  if (moved.length === 0 || !from || !to) return line;
  const steps = Math.max(1, Math.round(Math.abs(to[0] - from[0])));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const share = i / steps;
    return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share] as const;
  });
}
