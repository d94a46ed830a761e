import cdf from '@stdlib/stats-base-dists-normal-cdf';
import fc from 'fast-check';
import { blurred } from './blurred';

const blurs = fc.double({ min: 0.05, max: 0.25, noNaN: true });

test('a step is blurred to the normal distribution of where it lies', () => {
  fc.assert(
    fc.property(blurs, fc.double({ min: -1, max: 1, noNaN: true }), (blurMm, mm) => {
      const half = (at: number) => (Math.abs(at) < 1e-9 ? 0.5 : at > 0 ? 1 : 0);
      const soft = blurred(half, blurMm, [-1, 1]);
      // By tables: a hundredth of a millimetre of the steepest there is.
      expect(Math.abs(soft(mm) - cdf(mm, 0, blurMm))).toBeLessThan(0.006 / blurMm / 2.5 + 0.004);
    }),
  );
});

test('what is the same everywhere stays as it is', () => {
  fc.assert(
    fc.property(blurs, fc.double({ min: -1, max: 1, noNaN: true }), (blurMm, mm) => {
      expect(blurred(() => 0.7, blurMm, [-1, 1])(mm)).toBeCloseTo(0.7, 2);
    }),
  );
});

test('beyond its ends its own value stands', () => {
  const soft = blurred((mm) => mm, 0.1, [-1, 1]);
  expect(soft(-5)).toBe(soft(-1));
  expect(soft(5)).toBe(soft(1));
});
