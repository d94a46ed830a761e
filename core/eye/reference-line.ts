import { spreadOf, type Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { leastOf } from './least';
import { isSeenAlong, lookAlong, type LookAt } from './on-seam';
import { middleOf } from './middle';
import { ranAlong } from './ran-along';
import { isWithin, threadAcross, type Covered, type ThreadAt } from './thread-across';
import type { TracedHole } from './trace';

const { abs, max, sqrt } = Math;

/** A line the cloth shows beside a seam: a fold, a raw edge. */
export interface ReferenceLine {
  /** Across at the seam’s middle, mm, and how much more with every mm along. */
  readonly acrossMm: number;
  readonly slope: number;
  /** How far it stands out, in spreads of what any other line would give. */
  readonly score: number;
  /** How likely it is the one, in log: by how plain it is, how near to where it should be, and how little it turns from the thread. */
  readonly total: number;
  /** How far it may lie otherwise, one spread, mm. */
  readonly spreadMm: number;
}

/** It lies within so many mm of where it would if nothing wandered. */
const reachMm = 3;
/** Where it usually is, one spread, mm: what a hand is off by, and the guide. */
const usualMm = 0.7;
/** And by how much farther at either end, one spread, mm: a line that turns more from the thread is hardly what it was led along. */
const usualAtEndsMm = 0.5;
/** Two lines that stand out more than this are both plain: being plainer says little more. */
const plainEnough = 8;
const acrossStepMm = 0.05;
const slopes = Array.from({ length: 33 }, (_, i) => (i - 16) * 0.0025);
/** Nearer to the thread than this, it is the thread that is seen, mm. */
export const threadMm = 0.35;

/** So far from its middle a thread ends, with what a lens makes of it, mm. */
const bareThreadMm = 0.25;

/** What kind of line is looked for. */
export interface LookedFor {
  /** It may be one drawn on the cloth or a ridge, with two sides alike. */
  readonly mayBeDrawn: boolean;
  /** Nothing is looked at so near to the thread. */
  readonly besideThreadMm: number;
}
/** On either side of an edge so much cloth is compared, steps across. */
const sides = [2, 4, 7] as const;
const [, , side] = sides;
/** A line is told from the cloth so far beside it, steps across. */
const besideLine = 6;
/** An edge may turn between two looks, mm. */
const alongStepMm = 0.5;

/**
 * Finds the line a seam is measured from: a step from one cloth to another, or a line darker or
 * lighter than both, straight along the whole seam, with the thread left out.
 *
 * @param field how light the window is, as {@link toned} has it
 * @returns null where nothing stands out enough
 */
export function referenceLine(
  field: Field,
  seam: FoundSeam,
  thread: readonly TracedHole[],
  { mayBeDrawn, besideThreadMm }: LookedFor = { mayBeDrawn: false, besideThreadMm: threadMm },
): ReferenceLine | null {
  const look = lookAlong(field, seam);
  const isSeen = isSeenAlong(field, seam);
  const order = [...thread].sort((a, b) => a.alongMm - b.alongMm);
  const first = order[0]?.alongMm ?? 0;
  const last = order.at(-1)?.alongMm ?? 0;
  const off = middleOf(
    thread.map(({ acrossMm, hole }) => acrossMm - seam.turned[1] * hole.acrossMm),
  );
  const ran = ranAlong(seam, thread);
  const rows = Math.round((2 * reachMm) / acrossStepMm) + 1;
  const columns = Math.max(1, Math.floor((last - first) / alongStepMm));
  const from = off - reachMm;
  const slack = Math.ceil((0.045 * (last - first)) / 2 / acrossStepMm) + 1;
  const tall = rows + 2 * slack;
  // What every place shows of a step and of a line; the thread shows nothing.
  const [step, line] = [new Float32Array(tall * columns), new Float32Array(tall * columns)];
  const threadAt = threadAcross(thread, besideThreadMm);
  const bareAt = threadAcross(thread, bareThreadMm);
  // Of each column all that is compared, looked at once.
  const seen = new Float64Array(tall + 2 * side);
  const isBare = new Uint8Array(seen.length);
  for (let column = 0; column < columns; column++) {
    const along = first + (column + 0.5) * alongStepMm;
    const covered = threadAt(along);
    const bare = bareAt(along);
    for (let i = 0; i < seen.length; i++) {
      const across = from + (i - side - slack) * acrossStepMm;
      seen[i] = look(along, across);
      isBare[i] = isSeen(along, across) && !isWithin(bare, across) ? 1 : 0;
    }
    for (let row = 0; row < tall; row++) {
      const i = row + side;
      // Nor is what it is compared with to be thread.
      if (isBare[i - side] === 0 || isBare[i + side] === 0) continue;
      if (isWithin(covered, from + (row - slack) * acrossStepMm)) continue;
      const at = column * tall + row;
      let sum = 0;
      for (const beside of sides) sum += seen[i + beside]! - seen[i - beside]!;
      step[at] = sum / 3;
      line[at] = seen[i]! - (seen[i + besideLine]! + seen[i - besideLine]!) / 2;
    }
  }
  let best: ReferenceLine | null = null;
  for (const values of [step, line]) {
    const most = 12 * typical(values);
    for (let i = 0; i < values.length; i++) {
      values[i] = max(-most, Math.min(most, values[i]!));
    }
    const sums = slopes.map((slope) => {
      const all = new Float32Array(rows);
      const counts = new Float32Array(rows);
      for (let column = 0; column < columns; column++) {
        const along = first + (column + 0.5) * alongStepMm;
        const start = column * tall + slack + Math.round((slope * along) / acrossStepMm);
        for (let row = 0; row < rows; row++) {
          const value = values[start + row]!;
          if (value !== 0) {
            all[row]! += value;
            counts[row]!++;
          }
        }
      }
      return { slope, all, counts };
    });
    // What any line would give, thread and print included.
    const usual = typical(
      Float32Array.from(
        sums.flatMap(({ all, counts }) =>
          Array.from(all, (sum, row) => (counts[row]! > 0 ? sum / sqrt(counts[row]!) : 0)),
        ),
      ),
    );
    for (const { slope, all, counts } of sums) {
      const atEnds = ((slope - ran.slope) * (last - first)) / 2 / usualAtEndsMm;
      for (let row = 0; row < rows; row++) {
        if (counts[row]! < columns / 8) continue;
        const acrossMm = from + row * acrossStepMm;
        const score = abs(all[row]!) / sqrt(counts[row]!) / max(usual, 1e-9);
        const far = (acrossMm - off) / usualMm;
        const plain = Math.min(plainEnough, score);
        const plainer = Math.log(score / plain);
        const total =
          (plain * plain) / 2 + plainEnough * plainer - (far * far + atEnds * atEnds) / 2;
        if (score >= leastScore && total > (best?.total ?? -Infinity)) {
          best = { acrossMm, slope, score, total, spreadMm: max(0.03, 0.3 / score) };
        }
      }
    }
  }
  if (!best) return null;
  const { score, spreadMm, total } = best;
  return {
    ...nearer(look, isSeen, threadAt, best, [first, last], mayBeDrawn),
    score,
    spreadMm,
    total,
  };
}

/** Where the edge itself is looked for, two greys so many steps to either side are compared. */
const close = 2;
/** And in steps of so much, mm. */
const closeStepMm = 0.03;
/** An edge lies so near to where it was first seen, mm. */
const nearMm = 0.6;
/** A line drawn on the cloth has two sides alike, at most so far from each other, mm. */
const lineMm = 0.5;
const alikeShare = 0.85;

/**
 * The same line to a few hundredths: where one cloth turns to the other the fastest, since a shadow
 * lies on one side of a fold only; the middle, where it is a line with two sides alike.
 */
function nearer(
  look: LookAt,
  isSeen: ReturnType<typeof isSeenAlong>,
  threadAt: ThreadAt,
  about: Pick<ReferenceLine, 'acrossMm' | 'slope'>,
  [first, last]: readonly [number, number],
  mayBeDrawn: boolean,
): Pick<ReferenceLine, 'acrossMm' | 'slope'> {
  const count = 2 * Math.round(nearMm / closeStepMm) + 1;
  const places: { readonly along: number; readonly covered: Covered }[] = [];
  for (let along = first; along <= last; along += alongStepMm / 2) {
    places.push({ along, covered: threadAt(along) });
  }
  let best = { slope: about.slope, row: 0, turn: new Float32Array(count) };
  let most = -1;
  const looks = new Float64Array(count + 2 * close);
  for (let i = -5; i <= 5; i++) {
    const slope = about.slope + i * 0.0008;
    const sums = new Float64Array(count);
    const seen = new Uint16Array(count);
    for (const { along, covered } of places) {
      const across = about.acrossMm + slope * along - ((count - 1) / 2) * closeStepMm;
      for (let i = 0; i < looks.length; i++) {
        const there = across + (i - close) * closeStepMm;
        looks[i] = isSeen(along, there) ? look(along, there) : NaN;
      }
      for (let row = 0; row < count; row++) {
        const by = looks[row + 2 * close]! - looks[row]!;
        if (Number.isNaN(by) || isWithin(covered, across + row * closeStepMm)) continue;
        sums[row]! += by;
        seen[row]!++;
      }
    }
    const turn = Float32Array.from(sums, (sum, row) => sum / max(1, seen[row]!));
    for (let row = 0; row < count; row++) {
      // Few places that are free of thread say little, however much they differ.
      const plain = abs(sums[row]!) / sqrt(max(1, seen[row]!));
      if (plain > most) {
        most = plain;
        best = { slope, row, turn };
      }
    }
  }
  const { slope, row, turn } = best;
  const place = (at: number) => about.acrossMm + (at - (count - 1) / 2) * closeStepMm;
  const reach = Math.round(lineMm / closeStepMm);
  let other = row;
  for (let at = max(0, row - reach); at <= Math.min(count - 1, row + reach); at++) {
    if (turn[at]! * turn[row]! < turn[other]! * turn[row]!) other = at;
  }
  const isLine = mayBeDrawn && -turn[other]! * Math.sign(turn[row]!) > alikeShare * abs(turn[row]!);
  return { slope, acrossMm: isLine ? (place(row) + place(other)) / 2 : place(peak(turn, row)) };
}

/** Where a peak really is, up or down, by a parabola through it and its neighbours. */
function peak(values: Float32Array, at: number): number {
  const [a, b, c] = [values[at - 1], values[at]!, values[at + 1]];
  if (a === undefined || c === undefined) return at;
  const turned = -Math.sign(b);
  return at + leastOf(turned * a, turned * b, turned * c);
}

/**
 * A line that stands out less is not told from what else is there: without one, weave and thread give
 * up to 9; with a fold whose shadow is hardly seen it is 12 or more.
 */
const leastScore = 10;
/** How far values spread, those left out that nothing was looked at for. */
const typical = (values: Float32Array): number => spreadOf(values.filter((value) => value !== 0));
