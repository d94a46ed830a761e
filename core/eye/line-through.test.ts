import fc from 'fast-check';
import { lineThrough } from './line-through';

const number = fc.double({ min: -20, max: 20, noNaN: true });
/** Along: to a 1024th, so that two places are one or lie further apart than rounding reaches. */
const along = fc.integer({ min: -20_480, max: 20_480 }).map((parts) => parts / 1024);
const somePlaces = fc.array(fc.tuple(along, number), { minLength: 2 });
/** None so small that its share of a unit is below the least number there is. */
const exactPlaces = fc.array(fc.tuple(along, along), { minLength: 2 });

test('a line through places by worked values', () => {
  const { atZero, slope } = lineThrough([
    [1, 6],
    [2, 5],
    [3, 7],
    [4, 10],
  ]);
  expect(slope).toBeCloseTo(1.4, 12);
  expect(atZero).toBeCloseTo(3.5, 12);
  // Of one place, or none, nothing tells how steep it is.
  expect(lineThrough([[3, 8]])).toEqual({ atZero: 8, slope: 0 });
  expect(lineThrough([])).toEqual({ atZero: 0, slope: 0 });
});

test('no line a little higher or steeper lies nearer to all', () => {
  fc.assert(
    fc.property(somePlaces, (places) => {
      const { atZero, slope } = lineThrough(places);
      const off = (high: number, steep: number) =>
        places.reduce((sum, [x, y]) => sum + (y - high - steep * x) ** 2, 0);
      const least = off(atZero, slope);
      for (const [up, more] of [
        [0.01, 0],
        [-0.01, 0],
        [0, 0.01],
        [0, -0.01],
      ] as const) {
        expect(off(atZero + up, slope + more)).toBeGreaterThanOrEqual(least - 1e-6);
      }
    }),
  );
});

test('the line is the same in any unit, of places however near to one another', () => {
  const line = lineThrough([
    [-7.5e-6, 0],
    [0, -20],
    [0, 0],
  ]);
  // The first place alone tells how steep it is: through it, and through the mean of the others.
  expect(line.slope).toBeCloseTo(-10 / 7.5e-6, 3);
  expect(line.atZero).toBeCloseTo(-10, 9);
  fc.assert(
    fc.property(exactPlaces, fc.integer({ min: -60, max: 60 }), (places, power) => {
      // By powers of two, which round nothing: the same to the last digit.
      const unit = 2 ** power;
      const { atZero, slope } = lineThrough(places);
      expect(lineThrough(places.map(([x, y]) => [x * unit, y]))).toEqual({
        atZero,
        slope: slope / unit,
      });
    }),
  );
});
