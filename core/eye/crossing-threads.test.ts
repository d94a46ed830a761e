import fc from 'fast-check';
import { normalDrift } from '../margin/normal';
import { evenDraws } from '../swatch/draw';
import { crossingThreads, type ThreadOnCloth } from './crossing-threads';
import type { Pair } from './least';
import { threadLine } from './thread-line';
import { threadCover } from './thread-look';

const [halfMm, blurMm, edgeMm] = [0.15, 0.08, 1.5];
const soft = normalDrift(0, blurMm);
/** How much of a place so far beside its middle line a thread covers: worked out anew. */
const covered = (besideMm: number) =>
  soft.leftOf(besideMm + halfMm) - soft.leftOf(besideMm - halfMm);
/** How far a place lies beside the line through two others. */
const beside = ([t, s]: Pair, [a, b]: readonly [Pair, Pair]) => {
  const [dt, ds] = [b[0] - a[0], b[1] - a[1]];
  return ((s - a[1]) * dt - (t - a[0]) * ds) / Math.hypot(dt, ds);
};

interface Drawn {
  readonly meet: Pair;
  readonly apartMm: number;
  readonly strayMm: number;
  readonly seed: number;
}

/** Where two threads come from, and where they meet, beyond an edge. */
const drawn: fc.Arbitrary<Drawn> = fc.record({
  meet: fc.tuple(
    fc.double({ min: 1.9, max: 2.6, noNaN: true }),
    fc.double({ min: -0.3, max: 0.3, noNaN: true }),
  ),
  apartMm: fc.double({ min: 1.4, max: 4, noNaN: true }),
  strayMm: fc.double({ min: -0.08, max: 0.08, noNaN: true }),
  seed: fc.nat(),
});

/** What is seen of them on the cloth, where nothing else is, and where they were followed. */
function sightOf({ meet, apartMm, strayMm, seed }: Drawn) {
  const froms: readonly [Pair, Pair] = [
    [-2.2, -apartMm / 2],
    [-2.2, apartMm / 2],
  ];
  const draw = evenDraws(seed);
  const places: Pair[] = [];
  const greys = new Map<string, number>();
  for (let t = -1.7; t < edgeMm - 0.35; t += 0.1) {
    for (let s = -3; s <= 3; s += 0.1) {
      const place: Pair = [t, s];
      const besides = froms.map((from) => beside(place, [from, meet]));
      if (besides.every((mm) => Math.abs(mm) > 0.5)) continue;
      const cover = Math.min(1, covered(besides[0]!) + covered(besides[1]!));
      places.push(place);
      greys.set(`${t} ${s}`, 0.4 * cover + 0.06 * (draw() - 0.5));
    }
  }
  const sight: ThreadOnCloth = {
    look: (along, across) => greys.get(`${across} ${along}`)!,
    bare: () => 0,
    cover: threadCover({ halfMm, blurMm, atHole: 0.3 }),
  };
  const followed: Pair = [meet[0] + strayMm, meet[1] - strayMm / 2];
  const lines = [threadLine(froms[0], followed), threadLine(froms[1], followed)] as const;
  return { froms, places, sight, lines };
}

/** Where both lines cross by the least squares of all places, looked for in ever smaller steps every way at once. */
function bySearch({ froms, places, sight }: ReturnType<typeof sightOf>, near: Pair): Pair {
  const offOf = (x: readonly number[]) => {
    const lines = [0, 1].map((k): readonly [Pair, Pair] => [
      [froms[k]![0], froms[k]![1] + x[k]!],
      [near[0], near[1] + x[k + 2]!],
    ]);
    // Light and grey by their own least squares: seen = light + grey · cover.
    let [n, c, cc, v, cv, vv] = [0, 0, 0, 0, 0, 0];
    for (const place of places) {
      const cover = Math.min(
        1,
        covered(beside(place, lines[0]!)) + covered(beside(place, lines[1]!)),
      );
      const value = sight.look(place[1], place[0]);
      n++;
      c += cover;
      cc += cover * cover;
      v += value;
      cv += cover * value;
      vv += value * value;
    }
    const own = cc - (c * c) / n;
    return vv - (v * v) / n - (cv - (c * v) / n) ** 2 / own;
  };
  let best = [0, 0, 0, 0];
  let off = offOf(best);
  for (let step = 0.06; step > 0.0005; step /= 2) {
    for (let isBetter = true; isBetter;) {
      isBetter = false;
      for (const way of [
        [1, 0, 0, 0],
        [0, 1, 0, 0],
        [0, 0, 1, 0],
        [0, 0, 0, 1],
        [1, 0, -1, 0],
        [0, 1, 0, -1],
      ]) {
        for (const by of [step, -step]) {
          const tried = best.map((value, i) => value + by * way[i]!);
          const there = offOf(tried);
          if (there < off) [best, off, isBetter] = [tried, there, true];
        }
      }
    }
  }
  // Two lines by their places along at the height of their holes, and where they were followed to.
  const slope = (k: number) =>
    (near[1] + best[k + 2]! - froms[k]![1] - best[k]!) / (near[0] - froms[k]![0]);
  const across = (near[1] + best[3]! - near[1] - best[2]!) / (slope(0) - slope(1));
  return [near[0] + across, near[1] + best[2]! + slope(0) * across];
}

test('two threads cross where a search every way at once has them, and near where they do', () => {
  let [within, all] = [0, 0];
  fc.assert(
    fc.property(drawn, (one) => {
      const seen = sightOf(one);
      const crossing = crossingThreads(seen.sight, seen.lines, seen.places)!;
      const [t, s] = bySearch(seen, [seen.lines[0].from[0] + 4.4, one.meet[1]]);
      // Nearly the same way they run, it is told less surely, and so is the least of the squares.
      const near = 0.35 * crossing.acrossSpreadMm + 0.002;
      expect(Math.abs(crossing.at[0] - t)).toBeLessThan(near);
      expect(Math.abs(crossing.at[1] - s)).toBeLessThan(near);
      all++;
      if (Math.abs(crossing.at[0] - one.meet[0]) < 1.645 * crossing.acrossSpreadMm) within++;
    }),
    { numRuns: 14, seed: 4 },
  );
  expect(within / all).toBeGreaterThan(0.8);
});

test('of a short piece, of few places, and of threads that run the same way nothing is told', () => {
  const seen = sightOf({ meet: [2.2, 0], apartMm: 2, strayMm: 0, seed: 1 });
  expect(crossingThreads(seen.sight, seen.lines, seen.places)).not.toBeNull();
  const few = seen.places.filter(([t]) => t > 0.85);
  expect(crossingThreads(seen.sight, seen.lines, few)).toBeNull();
  const [one] = seen.lines;
  expect(crossingThreads(seen.sight, [one, one], seen.places)).toBeNull();
});
