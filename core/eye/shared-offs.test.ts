import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import type { MeasuredDepth } from '../margin/measured-depths';
import { normalDraw } from '../margin/sewist';
import { noOffs, ownSpreadMm, sharedOffs } from './shared-offs';

const bells = (seed: number) => {
  const draw = evenDraws(seed);
  return () => normalDraw(draw);
};

interface Photos {
  readonly n: number;
  readonly seed: number;
  /** What all depths of a face are off by, one spread, and what each strays by itself. */
  readonly common: readonly [wrong: number, right: number];
  readonly own: readonly [wrong: number, right: number];
}

/** Two photos of as many bites. */
function photos({ n, seed, common, own }: Photos) {
  const bell = bells(seed);
  const off = common.map((spread) => spread * bell()) as [number, number];
  const depthOf = (side: 0 | 1, trueMm: number): MeasuredDepth => ({
    depthMm: trueMm + off[side] + own[side] * bell(),
    depthSpreadMm: Math.hypot(common[side], own[side]),
  });
  const pairs = Array.from({ length: n }, () => {
    const trueMm = 0.9 + 0.2 * bell();
    return [depthOf(0, trueMm), depthOf(1, trueMm)] as const;
  });
  return { off, pairs };
}

const spread = (max: number) => fc.double({ min: 0.02, max, noNaN: true });
const kinds: fc.Arbitrary<Photos> = fc.record({
  n: fc.integer({ min: 4, max: 24 }),
  seed: fc.integer({ min: 1, max: 9999 }),
  common: fc.tuple(spread(0.08), spread(0.08)),
  own: fc.tuple(spread(0.05), spread(0.05)),
});

test('over many pairs of photos it is nearer than nothing taken away, and as near as it says', () => {
  let [before, after, within, all] = [0, 0, 0, 0];
  for (let seed = 1; seed <= 400; seed++) {
    const { off, pairs } = photos({ n: 12, seed, common: [0.05, 0.04], own: [0.02, 0.03] });
    const told = sharedOffs(pairs);
    for (const [side, one] of told.entries()) {
      before += off[side]! ** 2;
      after += (off[side]! - one.offMm) ** 2;
      if (Math.abs(off[side]! - one.offMm) < 1.645 * one.leftMm) within++;
      all++;
    }
  }
  expect(after).toBeLessThan(0.65 * before);
  // The surest of them is taken for what all have in common, which is a little more than that.
  expect(within / all).toBeGreaterThan(0.88);
  expect(within / all).toBeLessThan(0.99);
});

test('it is the mean and the spread of all ways both may be off, weighed one by one', () => {
  fc.assert(
    fc.property(kinds, (kind) => {
      const { pairs } = photos(kind);
      const [wrong, right] = sharedOffs(pairs);
      const sorted = pairs.map(([a, b]) => a.depthMm - b.depthMm).sort((a, b) => a - b);
      const apart = sorted[sorted.length >> 1]!;
      const noise =
        ((Math.PI / 2) *
          pairs.reduce(
            (sum, [a, b]) =>
              sum + ownSpreadMm(a, wrong.spreadMm) ** 2 + ownSpreadMm(b, right.spreadMm) ** 2,
            0,
          )) /
        pairs.length ** 2;
      let [weight, sum, square] = [0, 0, 0];
      const steps = 160;
      for (let i = -steps; i <= steps; i++) {
        for (let j = -steps; j <= steps; j++) {
          const [c, g] = [(6 * wrong.spreadMm * i) / steps, (6 * right.spreadMm * j) / steps];
          const far = (apart - (c - g)) ** 2 / noise;
          const w = Math.exp(-((c / wrong.spreadMm) ** 2 + (g / right.spreadMm) ** 2 + far) / 2);
          weight += w;
          sum += w * c;
          square += w * c * c;
        }
      }
      const mean = sum / weight;
      expect(wrong.offMm).toBeCloseTo(mean, 3);
      expect(wrong.leftMm).toBeCloseTo(Math.sqrt(square / weight - mean * mean), 3);
    }),
    { numRuns: 15 },
  );
});

test('what is the same in both photos is not told by how far they differ, and stays open', () => {
  for (const sameShare of [0, 0.4, 1]) {
    let [within, all] = [0, 0];
    for (let seed = 1; seed <= 400; seed++) {
      const { off, pairs } = photos({ n: 12, seed, common: [0.05, 0.05], own: [0.02, 0.02] });
      const bell = bells(seed + 1000);
      const same = 0.05 * bell();
      // Each photo’s own part is made so much smaller, and what is the same comes to it.
      const less = Math.sqrt(1 - sameShare) - 1;
      const moved = pairs.map((pair) =>
        pair.map((depth, i) => ({
          ...depth,
          depthMm: depth.depthMm + less * off[i]! + Math.sqrt(sameShare) * same,
        })),
      ) as unknown as typeof pairs;
      const told = sharedOffs(moved, sameShare);
      told.forEach((one, i) => {
        const is = (1 + less) * off[i]! + Math.sqrt(sameShare) * same;
        if (Math.abs(is - one.offMm) < 1.645 * one.leftMm) within++;
        all++;
      });
    }
    expect(within / all).toBeGreaterThan(0.87);
    expect(within / all).toBeLessThan(0.97);
  }
});

test('turned about, the faces change places; a few bites that were taken for others say nothing', () => {
  fc.assert(
    fc.property(kinds, (kind) => {
      const { pairs } = photos({ ...kind, n: 15 });
      const told = sharedOffs(pairs);
      const turned = sharedOffs(pairs.map(([a, b]) => [b, a] as const));
      expect(turned[0].offMm).toBeCloseTo(told[1].offMm, 9);
      expect(turned[1].leftMm).toBeCloseTo(told[0].leftMm, 9);
      const strayed = pairs.map(([a, b], i) =>
        i % 7 === 3 ? ([{ ...a, depthMm: a.depthMm + 1 }, b] as const) : ([a, b] as const),
      );
      expect(Math.abs(sharedOffs(strayed)[0].offMm - told[0].offMm)).toBeLessThan(0.06);
    }),
  );
});

test('of few bites nothing is told', () => {
  const { pairs } = photos({ n: 3, seed: 4, common: [0.05, 0.05], own: [0.02, 0.02] });
  expect(sharedOffs(pairs)).toEqual(noOffs);
});
