import fc from 'fast-check';
import { meanAndSpread, meanWithin } from './mean-and-spread';

const values = fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: 1 });

test('a mean and spread by worked values', () => {
  expect(meanAndSpread([2, 4, 4, 4, 5, 5, 7, 9]).mean).toBe(5);
  expect(meanAndSpread([2, 4, 4, 4, 5, 5, 7, 9]).sd).toBeCloseTo(2.138, 3);
  expect(meanAndSpread([])).toEqual({ mean: 0, sd: 0 });
});

test('specks at either end are left out of a mean, and nothing else is', () => {
  expect(meanWithin([900, 1, 2, 3, -900], 0.2)).toBe(2);
  // A share that makes no whole value leaves none out.
  expect(meanWithin([8, 1, 3], 0.3)).toBe(4);
  fc.assert(
    fc.property(values, (some) => {
      expect(meanWithin(some, 0)).toBeCloseTo(meanAndSpread(some).mean, 9);
      const within = meanWithin(some, 0.2);
      expect(within).toBeGreaterThanOrEqual(Math.min(...some) - 1e-9);
      expect(within).toBeLessThanOrEqual(Math.max(...some) + 1e-9);
    }),
  );
});
