import { coveredOff, patchAt } from './cloth-patch';
import { spreadBy } from './hole-patch';
import { settledAt, type Pair, type Placed } from './least';
import type { LookAt } from './on-seam';
import { alongThread, placeOnThread, threadLine, type ThreadLine } from './thread-line';
import type { ThreadCover } from './thread-look';

const { abs, hypot, max, min } = Math;

/** A line is told by what lies so near to it, mm; not by fewer places, nor by a shorter piece. */
export const besideMm = 0.5;
const leastPlaces = 40;
const leastPieceMm = 0.4;
/** Each of two lines is told by the other in turn, in such steps, mm. */
const stepsMm = [0.1, 0.06, 0.03, 0.02, 0.02];
/** How a sum of squares bends is seen over so much, mm. */
const bendMm = 0.04;
/** A thread as it lies on cloth is no straight line to less than this, mm. */
const leastSpreadMm = 0.008;
/** Lines that run so nearly the same way cross nowhere, by the sine between them. */
const leastTurn = 0.05;

/** What thread and cloth look like along a seam. */
export interface ThreadOnCloth {
  readonly look: LookAt;
  /** The same without thread. */
  readonly bare: LookAt;
  readonly cover: ThreadCover;
}

/** Where two lines of thread cross, and how far that may be off across, one spread, mm. */
export interface Crossing {
  readonly at: Pair;
  readonly acrossSpreadMm: number;
}

/** A thread as it was found, and the piece of it that is seen. */
interface SeenThread {
  readonly line: ThreadLine;
  /** Where the middle of its piece lies along it, and how far its ends from there, mm. */
  readonly middleMm: number;
  readonly halfMm: number;
  /** How far along it and beside it every place lies. */
  readonly places: readonly (readonly [onMm: number, besideMm: number])[];
}

function seenThread(line: ThreadLine, all: readonly Pair[]): SeenThread | null {
  const places = all.map((place) => alongThread(line, place));
  const near = places.flatMap(([on, beside]) => (abs(beside) <= besideMm ? [on] : []));
  const [first, last] = [min(...near), max(...near)];
  if (near.length < leastPlaces || last - first < leastPieceMm) return null;
  return { line, places, middleMm: (first + last) / 2, halfMm: (last - first) / 2 };
}

/** A line as it was told, by how far it lies beside a thread’s middle and farther beside its end, run on to where the thread ends. */
function runOn({ line, middleMm, halfMm }: SeenThread, [beside, turned]: Pair): ThreadLine {
  const toEnd = (line.lengthMm - middleMm) / halfMm;
  return threadLine(
    placeOnThread(line, [middleMm, beside]),
    placeOnThread(line, [line.lengthMm, beside + turned * toEnd]),
  );
}

/**
 * Where two straight threads cross beyond what is seen of them. Both are held against the picture at once, as wide and as blurred as
 * thread is, since each lies in the other’s look where they come near.
 *
 * @param threads each from where it comes from to where both were found to meet
 * @param all places where nothing but these two and cloth is seen, across and along, mm
 * @returns null where one of them can’t be told, or they run the same way
 */
export function crossingThreads(
  { look, bare, cover }: ThreadOnCloth,
  threads: readonly [ThreadLine, ThreadLine],
  all: readonly Pair[],
): Crossing | null {
  const [one, other] = threads.map((line) => seenThread(line, all));
  if (!one || !other) return null;
  const patch = patchAt(all, look, bare);
  const covers = new Float64Array(all.length);
  const coverOf = ({ places, middleMm, halfMm }: SeenThread, [beside, turned]: Pair, p: number) => {
    const [on, aside] = places[p]!;
    return cover.across(aside - beside - (turned * (on - middleMm)) / halfMm);
  };
  const offOf = (first: Pair, second: Pair): number => {
    for (let p = 0; p < covers.length; p++) {
      covers[p] = min(1, coverOf(one, first, p) + coverOf(other, second, p));
    }
    return coveredOff(patch, covers);
  };
  const none: Pair = [0, 0];
  let first: Placed = { at: none, off: offOf(none, none) };
  let second = first;
  for (const step of stepsMm) {
    first = settledAt((at) => offOf(at, second.at), { ...first, off: second.off }, [[step, step]]);
    second = settledAt((at) => offOf(first.at, at), { ...second, off: first.off }, [[step, step]]);
  }
  const { off } = second;
  /** How far beside its end a line may be off, one spread, mm. */
  const spreadAtEnd = (
    { line, middleMm, halfMm }: SeenThread,
    offAt: (by: Pair) => number,
  ): number => {
    const [middle, end] = (
      [
        [bendMm, 0],
        [0, bendMm],
      ] as const
    ).map(([m, e]) => {
      const bend = (offAt([m, e]) + offAt([-m, -e]) - 2 * off) / bendMm ** 2;
      return max(leastSpreadMm, spreadBy(patch, off, bend));
    }) as [number, number];
    return hypot(middle, (end * (line.lengthMm - middleMm)) / halfMm);
  };
  const moved = ([a, b]: Pair, [x, y]: Pair): Pair => [a + x, b + y];
  const a = {
    line: runOn(one, first.at),
    spreadMm: spreadAtEnd(one, (by) => offOf(moved(first.at, by), second.at)),
  };
  const b = {
    line: runOn(other, second.at),
    spreadMm: spreadAtEnd(other, (by) => offOf(first.at, moved(second.at, by))),
  };
  const turn = a.line.way[0] * b.line.way[1] - a.line.way[1] * b.line.way[0];
  if (abs(turn) < leastTurn) return null;
  // The second starts so far beside the first; along it the first is reached after as many sines.
  const [, beside] = alongThread(a.line, b.line.from);
  return {
    at: placeOnThread(b.line, [-beside / turn, 0]),
    acrossSpreadMm: hypot(a.spreadMm * b.line.way[0], b.spreadMm * a.line.way[0]) / abs(turn),
  };
}
