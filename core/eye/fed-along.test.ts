import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import { threadOf, zigzag } from './drawn-field.fixture';
import { fedAlong } from './fed-along';
import type { OnSeam } from './seen';

const seen = zigzag(4, 4);

/** A zigzag whose holes lie about so far from where an even feed has them. */
function fed(repeats: number, stepMm: number, strayMm: number, seed: number) {
  const next = evenDraws(seed);
  const places = Array.from({ length: 2 * repeats }, (_, i): OnSeam => [
    (i * stepMm) / 2 + strayMm * (2 * next() - 1),
    i % 2 === 0 ? -2 : 2,
  ]);
  return threadOf(seen, places);
}

describe('where the machine would have fed the end of a thread', () => {
  test('is a repeat from the like hole beside it, however far it was followed itself', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 20 }),
        fc.double({ min: 2, max: 6, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (repeats, stepMm, lostMm) => {
          const thread = fed(repeats, stepMm, 0, 1);
          for (const at of [0, thread.length - 1]) {
            const truly = thread[at]!.alongMm;
            const lost = { ...thread[at]!, alongMm: truly + lostMm };
            const found = fedAlong(
              thread.map((one, i) => (i === at ? lost : one)),
              lost,
            );
            expect(found!.alongMm).toBeCloseTo(truly, 9);
          }
        },
      ),
      { numRuns: 50 },
    );
  });

  test('is said to be off by as much as the others are', () => {
    const off = [0.02, 0.1, 0.3].map((strayMm) => {
      const thread = fed(40, 4, strayMm, 7);
      const { alongMm, spreadMm } = fedAlong(thread, thread.at(-1)!)!;
      expect(Math.abs(alongMm - thread.at(-1)!.alongMm)).toBeLessThan(3 * spreadMm);
      return spreadMm;
    });
    expect([...off].sort((a, b) => a - b)).toEqual(off);
    // The difference of two places that stray evenly by 0.3 mm spreads by 0.3·√(2/3).
    expect(off[2]).toBeGreaterThan(0.15);
    expect(off[2]).toBeLessThan(0.36);
  });

  test('is not told by a few', () => {
    const thread = fed(5, 4, 0, 1);
    expect(fedAlong(thread, thread.at(-1)!)).toBeNull();
  });
});
