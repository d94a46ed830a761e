import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import type { MeasuredDepth } from '../margin/measured-depths';
import { normalDraw } from '../margin/sewist';
import type { PhotoBite } from './both-faces';
import { depthsByLights, matchLights } from './both-lights';
import { countsAt } from './likeliest-counts';

const bounds = { loMm: 0.2, hiMm: 1.1 };

const bells = (seed: number) => {
  const draw = evenDraws(seed);
  return () => normalDraw(draw);
};

/** Bites along a slanting seam, as unevenly spaced as a hand sews. */
const row = (n: number, seed: number): PhotoBite[] => {
  const draw = evenDraws(seed);
  let along = 0;
  return Array.from({ length: n }, () => {
    along += 3.4 + 1.2 * draw();
    return { atMm: [5 + along, 20 + 0.1 * along] as const, depth: null };
  });
};
const movedBy = (bites: readonly PhotoBite[], x: number, y: number): PhotoBite[] =>
  bites.map((bite) => ({ ...bite, atMm: [bite.atMm[0] + x, bite.atMm[1] + y] as const }));

test('a scrap that stayed where it lay has each bite found again, some of them in one photo only', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 10, max: 24 }),
      fc.nat(9999),
      fc.nat(9),
      fc.nat(9),
      (n, seed, a, b) => {
        const bites = row(n, seed);
        const bell = bells(seed + 1);
        const strayed = bites.map((bite): PhotoBite => ({
          ...bite,
          atMm: [bite.atMm[0] + 0.15 * bell(), bite.atMm[1] + 0.15 * bell()],
        }));
        const [first, second] = [bites.toSpliced(a, 1), strayed.toSpliced(b, 1)];
        const told = matchLights(first, second)!;
        const of = (i: number, without: number) => (i >= without ? i + 1 : i);
        expect(told.map((i) => (i === null ? a : of(i, a)))).toEqual(
          second.map((_, j) => of(j, b)),
        );
        expect(told.filter((i) => i === null)).toHaveLength(a === b ? 0 : 1);
      },
    ),
  );
});

test('one that was moved, or of which little is seen, is not laid on what was there', () => {
  const bites = row(20, 3);
  expect(matchLights(bites, movedBy(bites, 0, 6))).toBeNull();
  expect(matchLights(bites, movedBy(bites, 1.9, 0))).toBeNull();
  expect(matchLights(bites, bites.slice(0, 2))).toBeNull();
  expect(matchLights([], bites)).toBeNull();
});

/** What two photos of one hand’s bites tell that are off by so much in common, one spread, four parts of ten of it the same. */
function photos(seed: number, common: readonly [number, number]) {
  const bell = bells(seed);
  const same = bell();
  const off = common.map((spread) => spread * (Math.sqrt(0.4) * same + Math.sqrt(0.6) * bell()));
  const truth = Array.from({ length: 24 }, () => ({ depthMm: 0.55 + 0.35 * bell() }));
  const depth = (trueMm: number, photo: 0 | 1): MeasuredDepth => ({
    depthMm: trueMm + off[photo]! + 0.02 * bell(),
    depthSpreadMm: Math.hypot(common[photo], 0.02),
  });
  const pairs = truth.map(({ depthMm }) => [depth(depthMm, 0), depth(depthMm, 1)] as const);
  return { truth, pairs };
}

test('over many scraps both lights are nearer, their counts oftener right, and as near as they say', () => {
  const off = { one: 0, both: 0 };
  const right = { one: 0, both: 0 };
  let [inside, all] = [0, 0];
  for (let seed = 1; seed <= 300; seed++) {
    const { truth, pairs } = photos(seed, [0.06, 0.05]);
    const told = depthsByLights(pairs, bounds).map((depth) => depth!);
    const isRight = (depths: readonly { depthMm: number }[]) => {
      const [is, says] = [countsAt(truth, bounds), countsAt(depths, bounds)];
      return Math.abs(is.short - says.short) <= 1 && Math.abs(is.over - says.over) <= 1;
    };
    if (isRight(pairs.map(([one]) => one))) right.one++;
    if (isRight(told)) right.both++;
    for (const [i, { depthMm }] of truth.entries()) {
      off.one += (pairs[i]![0].depthMm - depthMm) ** 2;
      off.both += (told[i]!.depthMm - depthMm) ** 2;
      if (Math.abs(told[i]!.depthMm - depthMm) < 1.645 * told[i]!.depthSpreadMm) inside++;
      all++;
    }
  }
  expect(off.both).toBeLessThan(0.75 * off.one);
  expect(right.both).toBeGreaterThan(right.one);
  expect(inside / all).toBeGreaterThan(0.85);
  expect(inside / all).toBeLessThan(0.98);
});

test('two depths that can’t both be right are none; the others are what they are without them', () => {
  const { pairs } = photos(5, [0.05, 0.05]);
  const wrong = pairs.map(([one, other], i) =>
    i === 7
      ? ([one, { ...other, depthMm: other.depthMm + 0.9 }] as const)
      : ([one, other] as const),
  );
  const told = depthsByLights(wrong, bounds);
  expect(told[7]).toBeNull();
  expect(told.filter((depth) => depth === null)).toHaveLength(1);
  depthsByLights(pairs, bounds).forEach((depth, i) => {
    if (i !== 7) expect(Math.abs(depth!.depthMm - told[i]!.depthMm)).toBeLessThan(0.06);
  });
  expect(depthsByLights([], bounds)).toEqual([]);
});
