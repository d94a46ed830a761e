import fc from 'fast-check';
import { leastOf, settledAt, type Pair } from './least';

const some = (most: number) => fc.double({ min: -most, max: most, noNaN: true });

test('of a parabola the least is where it is, and at most one step off', () => {
  fc.assert(
    fc.property(some(3), fc.double({ min: 0.1, max: 9, noNaN: true }), (at, bend) => {
      const value = (x: number) => bend * (x - at) ** 2;
      const least = leastOf(value(-1), value(0), value(1));
      expect(least).toBeCloseTo(Math.max(-1, Math.min(1, at)), 9);
    }),
  );
});

test('where it bends the other way, the lower end', () => {
  expect(leastOf(1, 5, 2)).toBe(-1);
  expect(leastOf(2, 5, 1)).toBe(1);
});

test('a place settles where a valley is the deepest, turned as it may be', () => {
  fc.assert(
    fc.property(some(0.12), some(0.12), some(0.5), (x, y, turned) => {
      const offOf = ([a, b]: Pair) => (a - x) ** 2 + (b - y) ** 2 + turned * (a - x) * (b - y);
      const start: Pair = [0, 0];
      const steps: Pair[] = [0.1, 0.1, 0.05, 0.025].map((step) => [step, step]);
      const { at, off } = settledAt(offOf, { at: start, off: offOf(start) }, steps);
      expect(Math.hypot(at[0] - x, at[1] - y)).toBeLessThan(0.005);
      expect(off).toBe(offOf(at));
    }),
  );
});

test('it never goes where it is farther off', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
      const rough = ([a, b]: Pair) => Math.sin(seed * (a + 1.7)) + Math.cos(seed * (b - 0.3));
      const start = { at: [0, 0] as const, off: rough([0, 0]) };
      expect(settledAt(rough, start, [[0.1, 0.1]]).off).toBeLessThanOrEqual(start.off);
    }),
  );
});
