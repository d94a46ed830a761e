import fc from 'fast-check';
import { greyOf, lightOf, seenIn } from './grey-of-light';

const shares = fc.double({ min: 0.03, max: 1.5, noNaN: true });

test('a grey is of so much light, and the light of that grey; by worked values', () => {
  // e^(2.2 · ln 0.5) = e^−1.52492, e^(ln 0.2 / 2.2) = e^−0.73156.
  expect(lightOf(0.5)).toBeCloseTo(0.21764, 5);
  expect(greyOf(0.2)).toBeCloseTo(0.48116, 5);
  expect([greyOf(0), lightOf(0), greyOf(1), lightOf(1)]).toEqual([0, 0, 1, 1]);
  fc.assert(fc.property(shares, (grey) => expect(greyOf(lightOf(grey))).toBeCloseTo(grey, 12)));
});

test('what is off by a little counts the same in light as in greys', () => {
  fc.assert(
    fc.property(shares, fc.double({ min: -1e-4, max: 1e-4, noNaN: true }), (grey, by) => {
      const { values, weights } = seenIn(Float64Array.of(grey, grey + by), 'light');
      const off = weights[0]! * (values[1]! - values[0]!) ** 2;
      expect(Math.abs(off - by ** 2)).toBeLessThanOrEqual(0.02 * by ** 2 + 1e-20);
    }),
  );
});

test('greys are as they are, and black counts no more than what is nearly black', () => {
  const greys = Float64Array.of(0.2, 0.7);
  expect(seenIn(greys, 'greys')).toEqual({ values: greys, weights: Float64Array.of(1, 1) });
  const { values, weights } = seenIn(Float64Array.of(-0.1, 0, 0.01), 'light');
  for (const each of [...values, ...weights]) expect(Number.isFinite(each)).toBe(true);
  expect(new Set(weights).size).toBe(1);
});
