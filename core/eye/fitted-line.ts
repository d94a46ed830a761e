import { blurred } from './blurred';
import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { settledAt, type Pair, type Placed } from './least';
import { isSeenAlong, lookAlong } from './on-seam';
import type { ReferenceLine } from './reference-line';
import { isWithin, threadAcross } from './thread-across';
import type { ThreadLook } from './thread-look';
import type { TracedHole } from './trace';

const { abs, exp, max } = Math;

/**
 * So far to either side of the line the cloth is looked at, mm. Not farther: the next stripe would be fitted with it, and drew
 * the line 0.1 mm to itself.
 */
const sideMm = 0.6;
const acrossStepMm = 0.04;
const alongStepMm = 0.4;
/** Of fewer places nothing is told better than it was. */
const leastPlaces = 200;
/** A shadow fades to a third over so much, mm. */
const fadesMm = [0.25, 0.5, 1];
/** Each round across, and as much at either end of the line, mm. */
const stepsMm = [0.06, 0.03, 0.015];
/** A line is moved by what a shadow and a lens do to it, mm and in blurs; what moves it farther is another one. */
const mostMoved = { mm: 0.03, blurs: 0.6 } as const;
/** How far a fitted line was off in the mean square: sharp or soft 0.01 mm, blurred more, in blurs. */
const leftOpen = { mm: 0.012, blurs: 0.14 } as const;

/** What is seen around a line. */
interface Beside {
  /** Along, from the middle of the thread, and across from the line, mm. */
  readonly along: Float64Array;
  readonly across: Float64Array;
  readonly seen: Float64Array;
}

/** A step at 0, and a shadow that begins there and fades; both blurred. */
interface Shape {
  readonly step: (mm: number) => number;
  readonly shadow: (mm: number) => number;
}

function shapeOf(blurMm: number, fadeMm: number): Shape {
  const ends = [-2 * sideMm, 2 * sideMm] as const;
  const half = (mm: number) => (mm > 0 ? 1 : mm < 0 ? 0 : 0.5);
  return {
    step: blurred(half, blurMm, ends),
    shadow: blurred((mm) => half(mm) * exp(-max(0, mm) / fadeMm), blurMm, ends),
  };
}

/**
 * How far what is seen is from a line that lies so far across and turned, with the shadow on one of its sides: the least sum of
 * squares over all heights of step and shadow.
 *
 * @param at how far across, mm, and how much more for every mm along
 */
function misfit(
  { along, across, seen }: Beside,
  { step, shadow }: Shape,
  side: 1 | -1,
  [by, turn]: Pair,
): number {
  const n = seen.length;
  let [a, b, y, aa, bb, yy, ab, ay, sby] = [0, 0, 0, 0, 0, 0, 0, 0, 0];
  for (let i = 0; i < n; i++) {
    const mm = side * (across[i]! - by - turn * along[i]!);
    const [one, two, value] = [step(mm), shadow(mm), seen[i]!];
    a += one;
    b += two;
    y += value;
    aa += one * one;
    bb += two * two;
    yy += value * value;
    ab += one * two;
    ay += one * value;
    sby += two * value;
  }
  const [va, vb, vy] = [aa - (a * a) / n, bb - (b * b) / n, yy - (y * y) / n];
  const [vab, vay, vby] = [ab - (a * b) / n, ay - (a * y) / n, sby - (b * y) / n];
  const both = va * vb - vab * vab;
  // Where the two are one and the same, one of them will do.
  if (both <= 1e-9 * va * vb) return va > 0 ? vy - (vay * vay) / va : vy;
  return vy - (vay * (vay * vb - vby * vab) + vby * (vby * va - vay * vab)) / both;
}

function besideOf(
  even: Field,
  seam: FoundSeam,
  { acrossMm, slope }: ReferenceLine,
  thread: readonly TracedHole[],
  { halfMm, blurMm }: ThreadLook,
  [first, last]: Pair,
): Beside {
  const look = lookAlong(even, seam);
  const isSeen = isSeenAlong(even, seam);
  // Nearer to thread than this, it is thread that is seen.
  const threadAt = threadAcross(thread, halfMm + 3 * blurMm + 0.05);
  const places: (readonly [along: number, across: number, seen: number])[] = [];
  for (let along = first; along <= last; along += alongStepMm) {
    const covered = threadAt(along);
    for (let off = -sideMm; off <= sideMm; off += acrossStepMm) {
      const across = acrossMm + slope * along + off;
      if (isWithin(covered, across) || !isSeen(along, across)) continue;
      places.push([along - (first + last) / 2, off, look(along, across)]);
    }
  }
  return {
    along: Float64Array.from(places, ([along]) => along),
    across: Float64Array.from(places, ([, across]) => across),
    seen: Float64Array.from(places, ([, , seen]) => seen),
  };
}

/**
 * The line a seam was led along, where it fits the picture best: a step from cloth to cloth with a shadow that begins
 * there. Where the picture turns fastest is not the line: a shadow that fades draws that towards the lit
 * side, the more the more the picture is blurred.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param even the picture without its light
 * @param line as it was found
 * @param threadLook how thread looks in this photo
 * @returns the line as it was found where nothing near it fits
 */
export function fittedLine(
  even: Field,
  seam: FoundSeam,
  line: ReferenceLine,
  thread: readonly TracedHole[],
  threadLook: ThreadLook,
): ReferenceLine {
  const { blurMm } = threadLook;
  const alongs = thread.map(({ alongMm }) => alongMm);
  const ends: Pair = [Math.min(...alongs), Math.max(...alongs)];
  const beside = besideOf(even, seam, line, thread, threadLook, ends);
  if (beside.seen.length < leastPlaces) return line;
  const halfMm = max(1, (ends[1] - ends[0]) / 2);
  const steps = stepsMm.map((mm): Pair => [mm, mm / halfMm]);
  const fits = fadesMm.flatMap((fadeMm) => {
    const shape = shapeOf(blurMm, fadeMm);
    return ([1, -1] as const).map((side): Placed => {
      const offOf = (at: Pair) => misfit(beside, shape, side, at);
      return settledAt(offOf, { at: [0, 0], off: offOf([0, 0]) }, steps);
    });
  });
  const { at } = fits.reduce((best, one) => (one.off < best.off ? one : best));
  const [by, turn] = at;
  if (abs(by) > max(mostMoved.mm, mostMoved.blurs * blurMm)) return line;
  const middle = (ends[0] + ends[1]) / 2;
  const acrossMm = line.acrossMm + by - turn * middle;
  const spreadMm = max(leftOpen.mm, leftOpen.blurs * blurMm);
  return { ...line, acrossMm, slope: line.slope + turn, spreadMm };
}
