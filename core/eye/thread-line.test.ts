import fc from 'fast-check';
import type { Pair } from './least';
import { alongThread, fromThread, placeOnThread, threadLine } from './thread-line';

const mm = fc.integer({ min: -500, max: 500 }).map((parts) => parts / 100);
const place: fc.Arbitrary<Pair> = fc.tuple(mm, mm);

test('how far along a thread a place lies and how far beside it, by worked values', () => {
  // Three across and four along: five long.
  const line = threadLine([1, 1], [4, 5]);
  expect(line.lengthMm).toBeCloseTo(5, 12);
  const [on, beside] = alongThread(line, [1 + 3 - 0.8, 1 + 4 + 0.6]);
  expect([on, beside]).toEqual([expect.closeTo(5, 12), expect.closeTo(1, 12)]);
  expect(fromThread(line, [4 + 3, 5 + 4])).toBeCloseTo(5, 12);
});

test('a place lies where its line has it, and as far from a thread as from the nearest of all its places', () => {
  fc.assert(
    fc.property(place, place, place, (from, to, at) => {
      const line = threadLine(from, to);
      const [t, s] = placeOnThread(line, alongThread(line, at));
      expect(t).toBeCloseTo(at[0], 9);
      expect(s).toBeCloseTo(at[1], 9);
      const all = Array.from({ length: 1001 }, (_, i) =>
        Math.hypot(
          at[0] - from[0] - (i / 1000) * (to[0] - from[0]),
          at[1] - from[1] - (i / 1000) * (to[1] - from[1]),
        ),
      );
      const far = fromThread(line, at);
      expect(far).toBeLessThanOrEqual(Math.min(...all) + 1e-9);
      expect(far).toBeGreaterThanOrEqual(Math.min(...all) - line.lengthMm / 1000 - 1e-9);
    }),
  );
});
