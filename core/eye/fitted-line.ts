import { clothsBeside, type LookedAlong } from './cloths-beside';
import { edgeShapes, type EdgeKind } from './edge-shapes';
import { fittedEdge, type EdgeGuess, type EdgeProfile, type FittedEdge } from './fitted-edge';
import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { leastOf } from './least';
import { meanAndSpread, meanWithin } from './mean-and-spread';
import { isSeenAlong, lookAlong } from './on-seam';
import type { ReferenceLine } from './reference-line';
import { isWithin, threadAcross } from './thread-across';
import type { TracedHole } from './trace';

const { abs, hypot, max, min, round, sqrt } = Math;

/** What is known of a line before it is fitted. */
export interface KnownLine {
  /** On which side across what lies beyond it is to be seen. */
  readonly beyond: 1 | -1;
  /** Of a raw edge on paper the picture was laid along the edge; the paper may lie in the shadow that the cloth throws. */
  readonly kind: EdgeKind;
  /** Nearer to the middle of thread than this, it is thread that is seen, mm. */
  readonly besideThreadMm: number;
  /** What black would be in the picture. */
  readonly black: number;
  /** Spreads that the picture’s blur may have, mm. */
  readonly blursMm: readonly number[];
}

/**
 * So far to either side of the line cloth is looked at, mm. Not farther: the next stripe would be fitted with it, and drew
 * the line 0.1 mm to itself, a raw edge 0.2 mm. A shadow on paper may be wider.
 */
const sideMm = { cloth: 0.66, paper: 1.2 } as const;
/** It lies so near to where it was found, mm: where a picture turns fastest, or where a shadow on paper ends. */
const reachMm = { cloth: 0.2, paper: 0.6 } as const;
const acrossStepMm = 0.04;
const alongStepMm = 0.2;
/** Of fewer looks at a distance, or fewer distances, nothing is told better than it was. */
const leastLooks = 20;
const leastPlaces = 18;
/**
 * Of all looks at a distance so many at either end are left out: specks. Not more: of two prints that meet in a blurred edge the
 * mean is blurred as each of them is, and the middle of all looks, of which stripes have two kinds, is not.
 */
const leftOut = 0.04;
/**
 * Nearer than this two places across tell the same, mm: a yarn of the cloth is as wide, and an edge that none of the shapes has
 * would seem too sure. Paper has no yarns, and what lies near each other is blurred together: so many blurs.
 */
const toldEvery = { clothMm: 0.26, paperBlurs: 2 } as const;
/** Whether an edge is sharp is told by so many times as much: what it looks like far from where it turns fastest says so as well. */
const timesOfKind = 2;
/** No edge looks quite like one of a few shapes: of how much a profile varies so much is told by none, as a share. */
const unlike = { cloth: 0.04, paper: 0.025 } as const;
/**
 * What was blurred, as likely as anything else. Cloth meets paper much lighter than itself, and as the greys of light that was blurred
 * it seems to end 0.02 mm farther in; between two cloths that is next to nothing.
 */
const blurredIn = { cloth: ['greys'], paper: ['greys', 'light'] } as const;
/** What lies beyond is on the side it should be on in so many of a hundred. */
const asKnown = 0.9;
/** A line may turn by so much between its halves, steps. */
const mostShifted = 4;
/** A raw edge is looked for once more, so often, by the cloth beside where it was found: its shadow may have been. */
const timesNearer = 2;
/** What rectifying and a line that is not quite straight leave open, mm; on paper what a shadow may look like besides. */
const leftOpenMm = { cloth: 0.012, paper: 0.03 } as const;

/** A line that is looked at, and so many steps to either side of it. */
interface Looked extends LookedAlong {
  readonly reach: number;
}

/** The mean of all looks at each distance across a line, along some places; NaN of too few. */
function profileOf(
  { look, isSeen, threadAt, line, reach }: Looked,
  alongs: readonly number[],
): Float64Array {
  const looks: number[][] = Array.from({ length: 2 * reach + 1 }, () => []);
  for (const along of alongs) {
    const covered = threadAt(along);
    for (const [i, row] of looks.entries()) {
      const across = line.acrossMm + line.slope * along + (i - reach) * acrossStepMm;
      if (!isWithin(covered, across) && isSeen(along, across)) row.push(look(along, across));
    }
  }
  return Float64Array.from(looks, (row) =>
    row.length < leastLooks ? NaN : meanWithin(row, leftOut),
  );
}

/** How far two profiles lie apart where they are most alike, mm. */
function shiftBetween(one: Float64Array, other: Float64Array): number {
  const off = Array.from({ length: 2 * mostShifted + 1 }, (_, k) => {
    let [sum, count] = [0, 0];
    for (let i = mostShifted; i < one.length - mostShifted; i++) {
      const by = one[i]! - other[i + k - mostShifted]!;
      if (Number.isNaN(by)) continue;
      sum += by * by;
      count++;
    }
    return count < leastPlaces ? NaN : sum / count;
  });
  const least = off.indexOf(Math.min(...off));
  if (least <= 0 || least === off.length - 1) return 0;
  return (
    (least - mostShifted + leastOf(off[least - 1]!, off[least]!, off[least + 1]!)) * acrossStepMm
  );
}

/** A line turned to where its two halves show the same. */
function turned(looked: Looked, alongs: readonly number[]): Looked['line'] {
  const { acrossMm, slope } = looked.line;
  const half = alongs.length >> 1;
  const [one, other] = [alongs.slice(0, half), alongs.slice(half)];
  const by = shiftBetween(profileOf(looked, one), profileOf(looked, other));
  const turn = by / (half * alongStepMm);
  return { acrossMm: acrossMm - turn * (alongs[half] ?? 0), slope: slope + turn };
}

/** The stretch around the middle of a profile in which every distance was looked at. @param most so far from there at the most */
function around(
  of: readonly Float64Array[],
  [mostBefore, mostAfter]: readonly [number, number],
): readonly [from: number, to: number] {
  const isThere = (i: number) =>
    of.every((one) => i >= 0 && i < one.length && !Number.isNaN(one[i]!));
  const middle = (of[0]!.length - 1) / 2;
  let [from, to] = [middle, middle];
  while (middle - from < mostBefore && isThere(from - 1)) from--;
  while (to - middle < mostAfter && isThere(to + 1)) to++;
  return isThere(middle) ? [from, to] : [middle, middle];
}

/** A dark band beside an edge is so wide at the most, mm: a fold’s flank and the shadow it throws. */
const mostDarkMm = 0.5;
/** Its two ends are as steep as each other, about, and steeper than what is seen is off from one place to the next. */
const leastAlike = 0.5;
const plainTurn = 8;

/**
 * Where a profile turns dark on the way to where it was found to turn light again, if it does: a fold lies at that end of its
 * flank and shadow, not at the other. In places from where it was found.
 */
function darkFrom(seen: Float64Array, middle: number, beyond: 1 | -1, noise: number): number {
  const turnAt = (by: number) => {
    const at = middle - beyond * by;
    return beyond * ((seen[at + 1] ?? NaN) - (seen[at - 1] ?? NaN));
  };
  let least = 0;
  for (let by = 1; by <= round(mostDarkMm / acrossStepMm); by++) {
    if (turnAt(by) < turnAt(least)) least = by;
  }
  const isDark = turnAt(0) > plainTurn * noise && -turnAt(least) > leastAlike * turnAt(0);
  return isDark ? -beyond * least : 0;
}

/**
 * The line a seam was led along, where it fits the picture best: a step from one cloth to another, the shadow that falls
 * on what lies beyond, and the bend of a fold. Where the picture turns fastest is not the line: a shadow that fades draws that to the lit side, a
 * fold is darkest before it ends, and the shadow that a cloth throws on paper ends farther out than the cloth.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param even the picture without its light
 * @param line as it was found
 * @returns the line as it was found where too little of it is free of thread
 */
export function fittedLine(
  even: Field,
  seam: FoundSeam,
  line: ReferenceLine,
  thread: readonly TracedHole[],
  known: KnownLine,
): ReferenceLine {
  const endsOnPaper = known.kind === 'raw on paper';
  const under = endsOnPaper ? 'paper' : 'cloth';
  const blurMm = max(...known.blursMm);
  const order = thread.map(({ alongMm }) => alongMm).sort((a, b) => a - b);
  const [first, last] = [order[0]!, order.at(-1)!];
  const reach = round(sideMm[under] / acrossStepMm);
  const looked: Looked = {
    look: lookAlong(even, seam),
    isSeen: isSeenAlong(even, seam),
    threadAt: threadAcross(thread, known.besideThreadMm),
    ...{ line, reach },
  };
  const alongs = Array.from(
    { length: Math.floor((last - first) / alongStepMm) + 1 },
    (_, i) => first + i * alongStepMm,
  );
  const straight = endsOnPaper ? line : turned(looked, alongs);
  // Every other look by itself: by how much they differ, so much they are off.
  const [evens, odds] = [0, 1].map((k) =>
    profileOf(
      { ...looked, line: straight },
      alongs.filter((_, i) => i % 2 === k),
    ),
  ) as [Float64Array, Float64Array];
  /** The cloths that meet so far from where the line was found, mm. */
  const clothsAt = (mm: number) =>
    clothsBeside(
      { ...looked, line: { ...straight, acrossMm: straight.acrossMm + mm } },
      [first, last],
      acrossStepMm,
      known.black,
    );
  /** Where it lies by so much of the upper cloth, and of what is beyond all there is; null where that is too little. */
  const fittedBy = (upperMm: number): FittedEdge | null => {
    const inside = round(upperMm / acrossStepMm);
    const both = known.beyond === 1 ? ([inside, reach] as const) : ([reach, inside] as const);
    const [from, to] = around([evens, odds], both);
    if (to - from < leastPlaces) return null;
    const seen = evens.slice(from, to + 1).map((value, i) => (value + odds[from + i]!) / 2);
    const apart = evens.slice(from, to + 1).map((value, i) => value - odds[from + i]!);
    const strays = sqrt(apart.reduce((sum, value) => sum + value * value, 0) / apart.length) / 2;
    const noise = hypot(strays, unlike[under] * meanAndSpread([...seen]).sd);
    const start = known.kind === 'fold' ? darkFrom(seen, reach - from, known.beyond, strays) : 0;
    const every = endsOnPaper ? toldEvery.paperBlurs * blurMm : toldEvery.clothMm;
    const told = ((to - from) * acrossStepMm) / every;
    const profile: EdgeProfile = {
      ...{ fromMm: (from - reach - start) * acrossStepMm, stepMm: acrossStepMm, seen, noise },
      black: known.black,
      told,
      toldOfKind: timesOfKind * told,
      cloths: known.kind === 'fold' ? clothsAt(start * acrossStepMm) : null,
    };
    const endsMm = sideMm[under] + reachMm[under] + abs(start) * acrossStepMm;
    const guesses = known.blursMm.flatMap((blur): EdgeGuess[] => {
      const shapes = blurredIn[under].flatMap((blurs) =>
        edgeShapes(blur, known.kind, endsMm, blurs),
      );
      const there = { beyond: known.beyond, share: asKnown, shapes };
      if (endsOnPaper) return [there];
      return [there, { beyond: -known.beyond as 1 | -1, share: 1 - asKnown, shapes }];
    });
    const { atMm, spreadMm } = fittedEdge(profile, guesses, reachMm[under]);
    return { atMm: start * acrossStepMm + atMm, spreadMm };
  };
  let edge = fittedBy(sideMm[under]);
  // The next stripe of a cloth that ends on paper draws it less each time it is left out farther.
  for (let i = 0; endsOnPaper && edge && i < timesNearer; i++) {
    edge = fittedBy(min(sideMm.paper, sideMm.cloth - known.beyond * edge.atMm));
  }
  if (!edge) return line;
  return {
    ...line,
    acrossMm: straight.acrossMm + edge.atMm,
    slope: straight.slope,
    spreadMm: hypot(edge.spreadMm, leftOpenMm[under]),
  };
}
