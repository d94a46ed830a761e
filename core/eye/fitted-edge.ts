import type { EdgeParts } from './edge-shapes';

const { exp, log, max, round, sqrt } = Math;

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
  /** So many of its places tell something of their own: what lies near each other is blurred together. */
  readonly told: number;
}

/** How an edge may lie: what lies beyond it is on which side, in how many of as many, and what its parts look like. */
export interface EdgeGuess {
  readonly beyond: 1 | -1;
  readonly share: number;
  readonly parts: EdgeParts;
}

/** Where an edge lies, mm, and how far that may be off, one spread. */
export interface FittedEdge {
  readonly atMm: number;
  readonly spreadMm: number;
}

/** Edges are held against what is seen so far apart, mm. */
const triedMm = 0.015;

/** Takes the mean away, and tells it. */
function aboutItsMean(values: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += values[i]!;
  const mean = sum / values.length;
  for (let i = 0; i < values.length; i++) values[i]! -= mean;
  return mean;
}

/** What is seen above black, and each part of an edge, about their means: products of every two. */
interface Products {
  readonly each: readonly Float64Array[];
  readonly withSeen: readonly number[];
  readonly means: readonly number[];
  readonly meanSeen: number;
}

function productsOf(
  columns: readonly Float64Array[],
  seen: Float64Array,
  meanSeen: number,
): Products {
  const means = columns.map(aboutItsMean);
  const dot = (a: Float64Array, b: Float64Array) => {
    let sum = 0;
    for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
    return sum;
  };
  return {
    each: columns.map((one, p) =>
      Float64Array.from(columns, (other, q) => (q <= p ? dot(one, other) : 0)),
    ),
    withSeen: columns.map((one) => dot(one, seen)),
    ...{ means, meanSeen },
  };
}

/**
 * Of so many edges nothing is told by a bend that is not told without it. Where it were one of as many as the sharp ones, soft
 * pictures of sharp edges would be told 0.05 mm off.
 */
const asSharp = 0.97;
/** A shadow takes so much of the light at the most: what is darker is a stripe of the cloth. */
const mostTaken = 0.55;
/** Less of a part than this is left when others are taken from it: it says nothing of its own. */
const leastOwn = 1e-4;

/**
 * How much of what is seen is told by some parts, each as strong as fits best: by Cholesky, for three at most.
 *
 * @param darker which of them takes light away; nothing is told where it would have to give some, or take more than there is
 */
function toldBy(
  { each, withSeen, means, meanSeen }: Products,
  parts: readonly number[],
  darker: number,
): number {
  const rows: number[][] = [];
  const along: number[] = [];
  let told = 0;
  for (const [p, part] of parts.entries()) {
    const row: number[] = [];
    for (let q = 0; q < p; q++) {
      let sum = each[part]![parts[q]!]!;
      for (let r = 0; r < q; r++) sum -= row[r]! * rows[q]![r]!;
      row.push(sum / rows[q]![q]!);
    }
    const whole = each[part]![part]!;
    const own = whole - row.reduce((sum, value) => sum + value * value, 0);
    if (own <= leastOwn * whole) return 0;
    row.push(sqrt(own));
    const left =
      withSeen[part]! - row.slice(0, p).reduce((sum, value, q) => sum + value * along[q]!, 0);
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
  const shadow = parts.indexOf(darker);
  if (shadow < 0) return told;
  // What lies beyond without its shadow: all of the step.
  const here = parts.reduce((sum, part, p) => sum - strengths[p]! * means[part]!, meanSeen);
  const taken = -strengths[shadow]! / max(1e-9, here + strengths[0]!);
  return taken >= 0 && taken <= mostTaken ? told : 0;
}

/**
 * Where an edge lies that looks like one of many: of every place and every guess how likely it is by how far what is seen
 * is from it, and the mean of all places so weighed. Where two guesses are as good, the spread says so.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param reachMm it lies within so much of 0
 */
export function fittedEdge(
  { fromMm, stepMm, seen, noise, told, black }: EdgeProfile,
  guesses: readonly EdgeGuess[],
  reachMm: number,
): FittedEdge {
  const about = seen.map((value) => value - black);
  const meanSeen = aboutItsMean(about);
  const all = about.reduce((sum, value) => sum + value * value, 0);
  const reach = round(reachMm / triedMm);
  const places: { readonly atMm: number; readonly log: number }[] = [];
  for (const { beyond, share, parts } of guesses) {
    const { step, shadows, bends } = parts;
    const each = [step, ...shadows, ...bends];
    // Of the parts by their places in the list: the step, with or without a shadow, with or without a bend.
    const shapes = [null, ...shadows.keys()].flatMap((shadow) =>
      [null, ...bends.keys()].map((bend) => ({
        darker: shadow === null ? -1 : 1 + shadow,
        // Of the shapes of a guess, by how many have a bend like this or none.
        usual: bends.length === 0 ? 1 : bend === null ? asSharp : (1 - asSharp) / bends.length,
        of: [
          0,
          ...(shadow === null ? [] : [1 + shadow]),
          ...(bend === null ? [] : [1 + shadows.length + bend]),
        ],
      })),
    );
    for (let i = -reach; i <= reach; i++) {
      const atMm = i * triedMm;
      const columns = each.map((part) =>
        Float64Array.from(seen, (_, j) => part(beyond * (fromMm + j * stepMm - atMm))),
      );
      const products = productsOf(columns, about, meanSeen);
      for (const { of, darker, usual } of shapes) {
        const off = max(0, all - toldBy(products, of, darker));
        const misfit = off / seen.length + noise * noise;
        places.push({ atMm, log: log(share * usual) - (told / 2) * log(misfit) });
      }
    }
  }
  const most = places.reduce((best, one) => max(best, one.log), -Infinity);
  let [weight, sum, squares] = [0, 0, 0];
  for (const { atMm, log: likely } of places) {
    const w = exp(likely - most);
    weight += w;
    sum += w * atMm;
    squares += w * atMm * atMm;
  }
  const mean = sum / weight;
  return { atMm: mean, spreadMm: sqrt(max(0, squares / weight - mean * mean)) };
}
