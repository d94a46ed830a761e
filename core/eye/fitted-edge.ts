import type { EdgePart, EdgeShape } from './edge-shapes';
import { seenIn, type Blurs } from './grey-of-light';
import { toldByCloths, type Tried, type Weighed } from './told-by-cloths';
import type { TwoCloths } from './two-cloths';

const { abs, exp, log, max, round, sqrt } = Math;

/** What is seen across an edge, in even steps. */
export interface EdgeProfile {
  /** Where the first place lies, and the next, mm. */
  readonly fromMm: number;
  readonly stepMm: number;
  readonly seen: Float64Array;
  /** How far off that is at any place, one spread. */
  readonly noise: number;
  /** What black would be. */
  readonly black: number;
  /** So many of its places tell something of their own about where it lies: what lies near each other is blurred together. */
  readonly told: number;
  /** So many about whether it is sharp. */
  readonly toldOfKind: number;
  /** What the cloths on its two sides tell that meet there, where they do. */
  readonly cloths?: TwoCloths | null;
}

/** How an edge may lie: what lies beyond it is on which side, in how many of as many, and what it may look like. */
export interface EdgeGuess {
  readonly beyond: 1 | -1;
  readonly share: number;
  readonly shapes: readonly EdgeShape[];
}

/** Where an edge lies, mm, and how far that may be off, one spread. */
export interface FittedEdge {
  readonly atMm: number;
  readonly spreadMm: number;
}

/** Less of a part than this is left when others are taken from it: it says nothing of its own. */
const leastOwn = 1e-4;

/** It is tried at every place that is looked at, and at so many from there to the next. */
const perStep = 2;

/** How likely all together are, in log, by so many places. */
function evidence(tried: readonly Tried[], told: number): number {
  const most = tried.reduce((best, { fits }) => max(best, fits), -Infinity);
  const sum = tried.reduce((all, { fits, share }) => all + share * exp(told * (fits - most)), 0);
  return log(sum) + told * most;
}

/** A part at every place that is tried, from as far on one side of the edge as on the other. */
const tabled = (part: EdgePart, triedMm: number, reach: number): Float64Array =>
  Float64Array.from({ length: 2 * reach + 1 }, (_, i) => part((i - reach) * triedMm));

/** An edge’s parts as they are laid on what is seen: from a place in their tables on, forwards or back. */
interface Laid {
  /** What is seen, each place as much as it weighs. */
  readonly seen: Float64Array;
  readonly weights: Float64Array;
  readonly start: number;
  readonly stride: number;
}

/** The sum of the products of two parts, or of a part with what is seen. */
function product(
  a: Float64Array,
  b: Float64Array | null,
  { seen, weights, start, stride }: Laid,
): number {
  let sum = 0;
  if (b === null)
    for (let j = 0, k = start; j < seen.length; j++, k += stride) sum += a[k]! * seen[j]!;
  else
    for (let j = 0, k = start; j < seen.length; j++, k += stride)
      sum += weights[j]! * a[k]! * b[k]!;
  return sum;
}

/**
 * How much of what is seen is told by an edge’s parts, each as strong as fits best: by Cholesky’s way of solving for them.
 *
 * @param mostTaken what a shadow takes at the most, as a share of what lies beyond
 * @returns null where one would be darker than black, or a shadow give light or take more than there is
 */
function toldBy(
  parts: readonly Float64Array[],
  mostTaken: number,
  laid: Laid,
): { readonly told: number; readonly shadowShare: number } | null {
  const rows: number[][] = [];
  const along: number[] = [];
  let told = 0;
  for (const [p, part] of parts.entries()) {
    const row: number[] = [];
    let own = product(part, part, laid);
    const least = leastOwn * own;
    let left = product(part, null, laid);
    for (let q = 0; q < p; q++) {
      let sum = product(part, parts[q]!, laid);
      for (let r = 0; r < q; r++) sum -= row[r]! * rows[q]![r]!;
      row.push(sum / rows[q]![q]!);
      own -= row[q]! ** 2;
      left -= row[q]! * along[q]!;
    }
    if (own <= least) return null;
    row.push(sqrt(own));
    along.push(left / row[p]!);
    rows.push(row);
    told += along[p]! ** 2;
  }
  // The last part’s strength is its own; that of one before it lacks what those after it take.
  const strengths: number[] = [];
  for (let p = parts.length - 1; p >= 0; p--) {
    let sum = along[p]!;
    for (let r = p + 1; r < parts.length; r++) sum -= rows[r]![p]! * strengths[r]!;
    strengths[p] = sum / rows[p]![p]!;
  }
  const [upper = 0, lower = 0, shadow = 0] = strengths;
  const isLight = upper > 0 && lower > 0 && shadow <= 0 && -shadow <= mostTaken * lower;
  return isLight ? { told, shadowShare: shadow / lower } : null;
}

/** What is seen in what was blurred, and how far it is from nothing and from one even grey, as it weighs. */
function weighedIn(greys: Float64Array, blurs: Blurs) {
  const { values, weights } = seenIn(greys, blurs);
  const seen = values.map((value, i) => weights[i]! * value);
  const sum = (some: Float64Array) => some.reduce((all, value) => all + value, 0);
  const offFrom = (from: number) =>
    sum(values.map((value, i) => weights[i]! * (value - from) ** 2));
  return { seen, weights, all: offFrom(0), about: offFrom(sum(seen) / sum(weights)) };
}

/**
 * Where an edge lies that looks like one of many: of every place and every guess how likely it is by how far what is seen
 * is from it, and the mean of all places so weighed. Where two guesses are as good, the spread says so. Whether it is sharp or
 * darkens before it ends is told apart first, by all that is seen; where it lies by less of it, since no edge looks quite like one of a few.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param profile that begins a whole number of tried places from 0
 * @param reachMm where the picture turns fastest lies within so much of 0
 */
export function fittedEdge(
  { fromMm, stepMm, seen, noise, told, toldOfKind, black, cloths }: EdgeProfile,
  guesses: readonly EdgeGuess[],
  reachMm: number,
): FittedEdge {
  const greys = seen.map((value) => value - black);
  const seenAs = { greys: weighedIn(greys, 'greys'), light: weighedIn(greys, 'light') };
  const triedMm = stepMm / perStep;
  const first = round(fromMm / triedMm);
  const reachOf = (offMm: number) => round((reachMm + offMm) / triedMm);
  const most = max(...guesses.flatMap(({ shapes }) => shapes.map(({ offMm }) => reachOf(offMm))));
  const farthest = max(abs(first), abs(first + perStep * (seen.length - 1))) + most;
  const tables = new Map<EdgePart, Float64Array>();
  const tableOf = (part: EdgePart) => {
    const table = tables.get(part) ?? tabled(part, triedMm, farthest);
    tables.set(part, table);
    return table;
  };
  const [sharp, soft]: [Tried[], Tried[]] = [[], []];
  for (const { beyond, share, shapes } of guesses) {
    for (const shape of shapes) {
      const { all, about, ...weighed } = seenAs[shape.blurs];
      const parts = [shape.upper, shape.lower, shape.shadow].flatMap((part) =>
        part ? [tableOf(part)] : [],
      );
      const reach = reachOf(shape.offMm);
      for (let i = -reach; i <= reach; i++) {
        const start = farthest + beyond * (first - i);
        const by = toldBy(parts, shape.mostTaken, { ...weighed, start, stride: perStep * beyond });
        // What can’t be so is as good as one even grey.
        const off = by === null ? about : max(0, all - by.told);
        const misfit = off / seen.length + noise * noise;
        const one = {
          atMm: i * triedMm,
          fits: -log(misfit) / 2,
          share: share * shape.share,
          beyond,
          shape,
        };
        (shape.isSharp ? sharp : soft).push(one);
      }
    }
  }
  const kinds = [sharp, soft]
    .filter((tried) => tried.length > 0)
    .map((tried) => ({
      tried,
      kind: evidence(tried, toldOfKind),
      where: evidence(tried, told),
    }));
  const likeliest = kinds.reduce((most, { kind }) => max(most, kind), -Infinity);
  const weighed = kinds.flatMap(({ tried, kind, where }) =>
    tried.map((one): Weighed => {
      const weight = one.share * exp(told * one.fits - where + kind - likeliest);
      return { ...one, weight };
    }),
  );
  /** How much of what lies beyond the shadow of one takes, as a share of it, 0 or less. */
  const shadowOf = ({ atMm, beyond, shape }: Tried): number => {
    const { upper, lower, shadow } = shape;
    if (!shadow) return 0;
    const start = farthest + beyond * (first - round(atMm / triedMm));
    const laid = { ...seenAs[shape.blurs], start, stride: perStep * beyond };
    const by = toldBy([upper, lower, shadow].map(tableOf), shape.mostTaken, laid);
    return by ? by.shadowShare : 0;
  };
  let [weight, sum, squares] = [0, 0, 0];
  for (const { atMm, weight: w } of cloths ? toldByCloths(weighed, cloths, shadowOf) : weighed) {
    weight += w;
    sum += w * atMm;
    squares += w * atMm * atMm;
  }
  const mean = sum / weight;
  return { atMm: mean, spreadMm: sqrt(max(0, squares / weight - mean * mean)) };
}
