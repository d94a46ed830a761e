import fc from 'fast-check';
import { lineThrough } from './line-through';

const number = fc.double({ min: -20, max: 20, noNaN: true });

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
    fc.property(fc.array(fc.tuple(number, number), { minLength: 2 }), (places) => {
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
