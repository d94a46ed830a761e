import { meanAndSpread } from './mean-and-spread';

const { abs, log, max, min, round, sqrt } = Math;

/** So much of either side is looked at, from where the edge may lie to there, mm: one cloth alone. */
const aloneMm = [0.28, 1.12] as const;
/** So much around where the edge may lie tells where one ends and the other begins, mm. */
const tellingMm = 0.44;
/** How strong a cloth is shown is known so far from the edge, mm. */
const plainMm = 0.5;
/** What lies nearer to each other is blurred together on one cloth as on two, and camera’s noise with it, mm. */
const sharedMm = 0.08;
/** Of how alike two places are so much is told by no two cloths, as a share. */
const unlike = 0.05;
/** Looks along that repeat each other say no more than one; of what is left so much is told, since no cloth is quite the same all along. */
const toldShare = 0.5;
/** Looks repeat each other over so many at the most. */
const mostRepeated = 120;
/** Of fewer looks along nothing is told. */
const leastLooks = 60;
/** Where hardly anything is shown, so much of the most is, as a share: no camera tells nothing. */
const leastShown = 1e-3;

/** What is seen on both sides of an edge, as far as it changes along it. */
export interface TwoCloths {
  /**
   * How likely what is seen is, in log.
   *
   * @param before how much of the cloth that lies before the edge is shown at each place, as a share of it in the open
   * @param after of what lies after it
   */
  readonly likely: (before: ShownAt, after: ShownAt) => number;
  /** The same were there no edge: one cloth that goes on. */
  readonly asOne: number;
}

/** How much of something is shown at a place, as a share, mm. */
export type ShownAt = (placeMm: number) => number;

/** What every look has of a slow change along the edge, taken away: light, and cloth that does not lie flat. */
function withoutDrift(looks: readonly Float64Array[]): Float64Array[] {
  const n = looks.length;
  const u = looks.map((_, i) => (2 * i + 1) / n - 1);
  const square = u.reduce((sum, x) => sum + x * x, 0) / n;
  const drifts = [u.map(() => 1), u, u.map((x) => x * x - square)];
  const rows = looks.map((look) => look.slice());
  for (const drift of drifts) {
    const own = drift.reduce((sum, x) => sum + x * x, 0);
    for (let k = 0; k < rows[0]!.length; k++) {
      let along = 0;
      for (let i = 0; i < n; i++) along += drift[i]! * rows[i]![k]!;
      for (let i = 0; i < n; i++) rows[i]![k]! -= (along / own) * drift[i]!;
    }
  }
  return rows;
}

/** How many looks tell something of their own: less, the more each repeats those before it. */
function ownLooks(rows: readonly Float64Array[], sds: Float64Array): number {
  const n = rows.length;
  let repeated = 0;
  for (let by = 1; by < min(mostRepeated, n / 3); by++) {
    let sum = 0;
    for (let i = by; i < n; i++) {
      const [a, b] = [rows[i]!, rows[i - by]!];
      for (let k = 0; k < a.length; k++) sum += (a[k]! * b[k]!) / sds[k]! ** 2;
    }
    repeated += (sum / (n - by) / sds.length) ** 2;
  }
  return n / (1 + 2 * repeated);
}

/** A square of numbers, row by row. */
type Square = Float64Array[];

/** How alike places of one cloth are, by how many steps they lie apart. */
function likeness(alike: Square, of: readonly number[]): Float64Array {
  const size = alike.length;
  const [sums, counts] = [new Float64Array(size), new Float64Array(size)];
  for (const a of of) {
    for (const b of of) {
      sums[abs(a - b)]! += alike[a]![b]!;
      counts[abs(a - b)]!++;
    }
  }
  let last = 0;
  return sums.map((sum, by) => (last = counts[by]! > 0 ? sum / counts[by]! : last));
}

/**
 * The root of a square that tells how alike places are, below its diagonal: by Cholesky’s way. What no cloths can be like, being
 * estimates, is made as near to it as can be.
 */
function rootOf(alike: Square): Square {
  const rows: Square = [];
  for (let i = 0; i < alike.length; i++) {
    const row = new Float64Array(alike.length);
    let others = 0;
    for (let j = 0; j < i; j++) {
      let left = alike[i]![j]!;
      for (let k = 0; k < j; k++) left -= row[k]! * rows[j]![k]!;
      row[j] = left / rows[j]![j]!;
      others += row[j]! ** 2;
    }
    const most = alike[i]![i]! - unlike / 2;
    if (others > most) {
      for (let j = 0; j < i; j++) row[j]! *= sqrt(most / others);
      others = most;
    }
    row[i] = sqrt(alike[i]![i]! - others);
    rows.push(row);
  }
  return rows;
}

/**
 * How likely what was seen is, were places as alike as that, for each look.
 * Source: a normal of many dimensions, with what is the same for all left out.
 *
 * @param seenRoot the root of how alike they were seen to be: what is left of it by the other root has for its squares’ sum the trace
 */
function likelyBy(alike: Square, seenRoot: Square): number {
  const size = alike.length;
  const rows = rootOf(alike);
  let sum = 0;
  const x = new Float64Array(size);
  for (let c = 0; c < size; c++) {
    sum += 2 * log(rows[c]![c]!);
    for (let i = c; i < size; i++) {
      const row = rows[i]!;
      let left = seenRoot[i]![c]!;
      for (let k = c; k < i; k++) left -= row[k]! * x[k]!;
      x[i] = left / row[i]!;
      sum += x[i]! ** 2;
    }
  }
  return -sum / 2;
}

/** Places as alike as they are to each other, each as much as to itself, and a little less. */
function evened(alike: Square): Square {
  const least = leastShown * alike.reduce((most, row, i) => max(most, row[i]!), 0);
  const own = alike.map((row, i) => sqrt(max(least, row[i]!)));
  return alike.map((row, i) =>
    row.map((value, j) => (1 - unlike) * (value / own[i]! / own[j]!) + (i === j ? unlike : 0)),
  );
}

/**
 * Two cloths that meet at an edge, by their yarns and prints: what is seen at two places across is alike along the edge where both
 * show the same cloth, however dark either lies, and is not where they show two. It tells where one ends which a shadow leaves open.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param looks one for each place along, of what is seen across as light above black, from one side to the other in even steps around the middle
 * @returns null where too little is seen
 */
export function twoCloths(looks: readonly Float64Array[], stepMm: number): TwoCloths | null {
  if (looks.length < leastLooks) return null;
  const size = looks[0]!.length;
  const middle = (size - 1) / 2;
  const rows = withoutDrift(looks);
  const n = rows.length;
  const indices = Array.from({ length: size }, (_, k) => k);
  const products = indices.map((a) =>
    Float64Array.from(indices, (b) => rows.reduce((sum, row) => sum + row[a]! * row[b]!, 0) / n),
  );
  const sds = Float64Array.from(indices, (k) => sqrt(products[k]![k]!));
  if (sds.some((sd) => sd === 0)) return null;
  const alike = products.map((row, a) => row.map((value, b) => value / sds[a]! / sds[b]!));
  const within = ([from, to]: readonly [number, number]) =>
    indices.filter((k) => {
      const mm = (k - middle) * stepMm;
      return mm > from && mm < to;
    });
  const alone = [within([-aloneMm[1], -aloneMm[0]]), within(aloneMm)] as const;
  const shared = round(sharedMm / stepMm);
  /** How alike places are that show one cloth, and what they have in common on two. */
  const parted = (of: readonly number[]) => {
    const by = likeness(alike, of);
    const least = max(0, min(by[shared]!, by[0]!));
    const own = by.map((value, k) => (k < shared ? least : value));
    return { by, own, common: by.map((value, k) => max(0, value - own[k]!)) };
  };
  const [before, after] = [parted(alone[0]), parted(alone[1])];
  const between = meanAndSpread(alone[0].flatMap((a) => alone[1].map((b) => alike[a]![b]!))).mean;
  const [strongBefore, strongAfter] = alone.map(
    (of) => meanAndSpread(of.map((k) => sds[k]!)).mean,
  ) as [number, number];
  const telling = indices.filter((k) => abs(k - middle) * stepMm <= tellingMm + 1e-9);
  const placesMm = telling.map((k) => (k - middle) * stepMm);
  const seen = rootOf(evened(telling.map((a) => Float64Array.from(telling, (b) => alike[a]![b]!))));
  const told = toldShare * ownLooks(rows, sds);
  const noise = ((strongBefore + strongAfter) / 2) ** 2;
  const square = (of: (i: number, j: number, apart: number) => number): Square =>
    telling.map((a, i) => Float64Array.from(telling, (b, j) => of(i, j, abs(a - b))));
  return {
    likely: (shownBefore, shownAfter) => {
      const strong = (shown: ShownAt, strength: number, mm: number) =>
        placesMm.map((place) => (shown(place) * strength) / max(leastShown, shown(mm)));
      const a = strong(shownBefore, strongBefore, -plainMm);
      const b = strong(shownAfter, strongAfter, plainMm);
      return (
        told *
        likelyBy(
          evened(
            square(
              (i, j, apart) =>
                a[i]! * a[j]! * before.own[apart]! +
                b[i]! * b[j]! * after.own[apart]! +
                (a[i]! * b[j]! + b[i]! * a[j]!) * between +
                (noise * (before.common[apart]! + after.common[apart]!)) / 2,
            ),
          ),
          seen,
        )
      );
    },
    asOne:
      told *
      likelyBy(evened(square((_, __, apart) => (before.by[apart]! + after.by[apart]!) / 2)), seen),
  };
}
