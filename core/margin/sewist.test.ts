import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import type { Check } from './check';
import { normalDrift } from './normal';
import { normalDraw, sewSample } from './sewist';

const check: Check = {
  ...{ name: 'run', source: 'guide', k: -1, loMm: 0, hiMm: 2, below: 'low', above: 'high' },
  v0: { constantMm: 1, width: 0, needlePosition: 0, guide: 0 },
};
const at = { widthMm: 0, needlePositionMm: 0, guideMm: 0 };

test('normal draws have mean 0 and variance 1', () => {
  const random = evenDraws(3);
  const draws = Array.from({ length: 20_000 }, () => normalDraw(random));
  const mean = draws.reduce((sum, z) => sum + z, 0) / draws.length;
  const variance = draws.reduce((sum, z) => sum + (z - mean) ** 2, 0) / draws.length;
  expect(mean).toBeCloseTo(0, 1);
  expect(variance).toBeCloseTo(1, 1);
  expect(Number.isFinite(normalDraw(() => 0))).toBe(true);
});

test('a long scrap has the shares of its hand, on the sides the check’s sign says', () => {
  const hand = { shiftMm: 0.5, sigmaMm: 0.6 };
  const { n, short, over } = sewSample(check, at, 20_000, hand, evenDraws(4));
  // v = 1 − ε: to the right by half a millimetre lowers the value.
  const belief = normalDrift(-0.5, 0.6);
  expect(short / n).toBeCloseTo(belief.leftOf(-1), 2);
  expect(over / n).toBeCloseTo(belief.rightOf(1), 2);
  expect(short).toBeGreaterThan(over);
});

test('counts never contradict each other', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), fc.integer(), (n, seed) => {
      const sample = sewSample(check, at, n, { shiftMm: 0, sigmaMm: 2 }, evenDraws(seed));
      expect(sample.short + sample.over).toBeLessThanOrEqual(n);
    }),
  );
});
