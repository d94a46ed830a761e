import fc from 'fast-check';
import { deepestHemMm, fullnessShare } from './fullness';

test('a hem of 40 mm on a curve of 900 mm has nine per cent too much', () => {
  expect(fullnessShare(900, 40)).toBeCloseTo(940 / 860 - 1, 12);
  expect(fullnessShare(40, 40)).toBe(Infinity);
});

test('the deepest hem has just the tolerated fullness', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 5000, noNaN: true }),
      fc.double({ min: 0.005, max: 0.2, noNaN: true }),
      (radius, share) => {
        expect(fullnessShare(radius, deepestHemMm(radius, share))).toBeCloseTo(share, 9);
      },
    ),
  );
});
