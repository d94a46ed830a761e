import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import { leastAsSet, otherLength } from './other-length';
import type { Prick, PrickRow } from './pricks';

/** Where bites show in a row that is looked at every so many of its places, and what lies between those. */
function lookedAt(sewn: readonly boolean[], every: number): PrickRow {
  const places = sewn.flatMap((shows, i): Prick[] =>
    i % every === 0 ? [placed(i / every, shows)] : [],
  );
  const between = sewn.flatMap((shows, i) =>
    shows && i % every !== 0 ? [(i % every) / every] : [],
  );
  return { places, between };
}

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));

const placed = (repeat: number, shows: boolean): Prick => ({
  hole: { alongMm: 0, acrossMm: 0, counted: true, needle: 0, role: 'bite' },
  ...{ repeat, alongMm: 4 * repeat, acrossMm: 0 },
  ...{ shows: shows ? 1 : 0, shownMm: shows ? 0.4 : 0, spreadMm: 0.05 },
});

/** Rows of bites of which such a share shows, as anyone may sew them. */
function rows(of: number, share: number, seed: number): boolean[][] {
  const next = evenDraws(seed);
  return Array.from({ length: 400 }, () => Array.from({ length: of }, () => next() < share));
}

/** What is refused, if it is. */
const refusedAs = (row: PrickRow) => {
  const { is, asSet } = otherLength(row);
  return asSet < leastAsSet ? is : null;
};

describe('a row of bites on the right side', () => {
  test.each([0.15, 0.4, 0.7, 1])(
    'that was sewn as set is taken as that, where %d of all show',
    (share) => {
      const told = rows(24, share, 3).map((sewn) => otherLength(lookedAt(sewn, 1)));
      expect(told.filter(({ asSet }) => asSet < leastAsSet).length).toBeLessThanOrEqual(4);
      // And it makes what is counted hardly less sure.
      expect(told.filter(({ asSet }) => asSet > 0.9).length).toBeGreaterThan(380);
    },
  );

  test.each([2, 3, 4])(
    'that was sewn %d times as close is told, where two of five show',
    (times) => {
      const told = rows(48, 0.4, times).map((sewn) => refusedAs(lookedAt(sewn, times)));
      expect(told.filter((one) => one === 'closer').length).toBeGreaterThan(300);
    },
  );

  test.each([2, 3])('that was sewn %d times as far apart is told, where most show', (times) => {
    const told = rows(12, 0.9, times).map((sewn) => {
      const places = sewn.flatMap((shows, i) => [
        placed(i * times - 7, shows),
        ...Array.from({ length: times - 1 }, (_, k) => placed(i * times + k - 6, false)),
      ]);
      return refusedAs({ places, between: [] });
    });
    expect(told.filter((one) => one === 'farther').length).toBeGreaterThan(380);
  });

  test('is as set where its print lies between its places: anywhere, and not where another stitch would have bitten', () => {
    const next = evenDraws(6);
    const told = rows(24, 0.3, 5).map((sewn) => {
      const prints = Array.from({ length: Math.floor(8 * next()) }, () => 0.15 + 0.7 * next());
      return refusedAs({ ...lookedAt(sewn, 1), between: prints });
    });
    expect(told.filter((one) => one !== null).length).toBeLessThan(400 / 30);
  });

  const threeOf = (count: number) =>
    Array.from({ length: count }, (_, repeat) => placed(repeat, repeat % 4 === 0 && repeat < 12));

  test('is doubted where one piece or two lie half-way, which may be a blemish, and refused where three do and nothing else', () => {
    const told = (between: readonly number[]) => otherLength({ places: threeOf(13), between });
    expect(told([]).asSet).toBeGreaterThan(0.95);
    expect(told([0.5]).asSet).toBeGreaterThan(0.8);
    expect(told([0.48, 0.52])).toMatchObject({ is: 'closer' });
    expect(told([0.48, 0.52]).asSet).toBeLessThan(0.5);
    expect(told([0.48, 0.5, 0.52]).asSet).toBeLessThan(0.05);
    // What lies anywhere is of a print.
    expect(told([0.3, 0.5, 0.52, 0.6, 0.2, 0.42]).asSet).toBeGreaterThan(0.5);
  });

  test('is as likely as set as Bayes’ rule has it', () => {
    // Three of twelve places show, two pieces lie half-way: that every one of 24 is as likely to show as any other, whatever that is.
    const likely = (shown: number, of: number) =>
      (factorial(shown) * factorial(of - shown)) / factorial(of + 1);
    const closer = (likely(5, 24) / likely(3, 12)) * 0.85 * (1 / 0.08) ** 2;
    const asSet = 0.15 * 0.4 * 0.6 * 2 * (1 / (12 * 0.6)) ** 2;
    const told = otherLength({ places: threeOf(12), between: [0.47, 0.51] });
    expect(told.asSet).toBeCloseTo((99 * asSet) / (99 * asSet + closer), 9);
  });

  test('is none the likelier as set for one more piece where a shorter stitch would have bitten', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 26 }),
        fc.integer({ min: 0, max: 5 }),
        fc.constantFrom(2, 3, 4),
        (count, pieces, times) => {
          const told = (n: number) =>
            otherLength({
              places: threeOf(count),
              between: Array.from({ length: n }, () => 1 / times),
            }).asSet;
          expect(told(pieces + 1)).toBeLessThanOrEqual(told(pieces) + 1e-12);
          expect(told(pieces)).toBeGreaterThan(0);
          expect(told(pieces)).toBeLessThanOrEqual(1);
        },
      ),
    );
  });

  test('is as set where none shows, or so few that they may lie at every other place by chance', () => {
    const told = (shown: number) => {
      const places = Array.from({ length: 24 }, (_, repeat) =>
        placed(repeat, repeat % 2 === 0 && repeat < 2 * shown),
      );
      return refusedAs({ places, between: [] });
    };
    // Of n that show all lie so in one of 2ⁿ⁻¹ rows: with one of a hundred that is not as set 99/(99 + 2ⁿ⁻¹) is less than 0.3 from nine on.
    for (const shown of [0, 1, 2, 4, 7, 8]) expect(told(shown)).toBeNull();
    for (const shown of [9, 10, 12]) expect(told(shown)).toBe('farther');
  });
});
