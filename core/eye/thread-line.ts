import type { Pair } from './least';

const { hypot, max, min } = Math;

/** A thread that runs straight from one place to another, across and along, mm. */
export interface ThreadLine {
  readonly from: Pair;
  /** Which way it runs: a mm of it, across and along. */
  readonly way: Pair;
  readonly lengthMm: number;
}

export function threadLine(from: Pair, to: Pair): ThreadLine {
  const [dt, ds] = [to[0] - from[0], to[1] - from[1]];
  const lengthMm = hypot(dt, ds);
  return { from, way: lengthMm > 0 ? [dt / lengthMm, ds / lengthMm] : [1, 0], lengthMm };
}

/** How far from its start a place lies along a line, and how far beside it, mm. */
export const alongThread = (
  { from, way }: ThreadLine,
  [t, s]: Pair,
): readonly [onMm: number, besideMm: number] => [
  (t - from[0]) * way[0] + (s - from[1]) * way[1],
  (s - from[1]) * way[0] - (t - from[0]) * way[1],
];

/** Where a place of a line lies, across and along, mm. */
export const placeOnThread = (
  { from, way }: ThreadLine,
  [onMm, besideMm]: readonly [number, number],
): Pair => [
  from[0] + onMm * way[0] - besideMm * way[1],
  from[1] + onMm * way[1] + besideMm * way[0],
];

/** How far a place lies from the thread, mm. */
export function fromThread(line: ThreadLine, place: Pair): number {
  const [on, beside] = alongThread(line, place);
  return hypot(beside, on - max(0, min(line.lengthMm, on)));
}
