import { evenDraws } from '../swatch/draw';
import { otherLength } from './other-length';
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

describe('a row of bites on the right side', () => {
  test.each([0.15, 0.4, 0.7, 1])(
    'that was sewn as set is taken as that, where %d of all show',
    (share) => {
      const told = rows(24, share, 3).map((sewn) => otherLength(lookedAt(sewn, 1)));
      expect(told.filter((one) => one !== null).length).toBeLessThanOrEqual(4);
    },
  );

  test.each([2, 3, 4])(
    'that was sewn %d times as close is told, where two of five show',
    (times) => {
      const told = rows(48, 0.4, times).map((sewn) => otherLength(lookedAt(sewn, times)));
      expect(told.filter((one) => one === 'closer').length).toBeGreaterThan(300);
    },
  );

  test.each([2, 3])('that was sewn %d times as far apart is told, where most show', (times) => {
    const told = rows(12, 0.9, times).map((sewn) => {
      const places = sewn.flatMap((shows, i) => [
        placed(i * times - 7, shows),
        ...Array.from({ length: times - 1 }, (_, k) => placed(i * times + k - 6, false)),
      ]);
      return otherLength({ places, between: [] });
    });
    expect(told.filter((one) => one === 'farther').length).toBeGreaterThan(380);
  });

  test('is as set where its print lies between its places: anywhere, and not where another stitch would have bitten', () => {
    const next = evenDraws(6);
    const told = rows(24, 0.3, 5).map((sewn) => {
      const prints = Array.from({ length: Math.floor(8 * next()) }, () => 0.15 + 0.7 * next());
      return otherLength({ ...lookedAt(sewn, 1), between: prints });
    });
    expect(told.filter((one) => one !== null).length).toBeLessThan(400 / 30);
  });

  test('is as set where one piece lies half-way, which may be a blemish; and is not where two do and nothing else', () => {
    const places = [0, 4, 9].map((repeat) => placed(repeat, true));
    expect(otherLength({ places, between: [0.5] })).toBeNull();
    expect(otherLength({ places, between: [0.48, 0.52] })).toBe('closer');
    expect(otherLength({ places, between: [0.3, 0.5, 0.52, 0.6] })).toBeNull();
  });

  test('is as set where none shows, or so few that they may lie at every other place by chance', () => {
    const told = (shown: number) => {
      const places = Array.from({ length: 24 }, (_, repeat) =>
        placed(repeat, repeat % 2 === 0 && repeat < 2 * shown),
      );
      return otherLength({ places, between: [] });
    };
    // Of n that show all lie so in one of 2ⁿ⁻¹ rows: with one of a hundred that is not as set 99/(99 + 2ⁿ⁻¹) is less than 0.3 from nine on.
    for (const shown of [0, 1, 2, 4, 7, 8]) expect(told(shown)).toBeNull();
    for (const shown of [9, 10, 12]) expect(told(shown)).toBe('farther');
  });
});
