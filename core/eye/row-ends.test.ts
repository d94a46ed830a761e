import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import type { Prick } from './pricks';
import { withinRow } from './row-ends';

/** A row in a window with room for some places before it and after; a bite shows where it is so much of a millimetre. */
const row = (shownMm: readonly number[]): Prick[] =>
  shownMm.map((mm, i) => ({
    hole: { alongMm: 0, acrossMm: 0, counted: true, needle: 0, role: 'bite' },
    ...{
      repeat: i,
      alongMm: 4 * i,
      acrossMm: 0,
      shows: mm > 0 ? 1 : 0,
      shownMm: mm,
      spreadMm: 0.05,
    },
  }));

describe('the ends of a row of bites on the right side', () => {
  test('where all show it ends with the outermost', () => {
    expect(withinRow(row([0, 0, 0.4, 0.3, 0.5, 0])).map(({ repeat }) => repeat)).toEqual([2, 3, 4]);
  });

  test('where every other shows one more is taken to be beyond either; nowhere more than there is room for', () => {
    const places = row([0, 0, 0.4, 0, 0.3, 0, 0.5, 0, 0.4, 0, 0]);
    expect(withinRow(places)).toHaveLength(9);
    expect(withinRow(row([0.3, 0, 0, 0, 0, 0.3]))).toHaveLength(6);
  });

  test('none that shows is left out, and where none does all stays', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(0, 0, 0.3), { maxLength: 30 }), (shownMm) => {
        const places = row(shownMm);
        const within = withinRow(places);
        const shown = places.filter((one) => one.shownMm > 0);
        expect(within).toEqual(expect.arrayContaining(shown));
        if (shown.length === 0) expect(within).toEqual(places);
      }),
    );
  });

  test.each([0.1, 0.3, 0.5])(
    'of rows in which %d of all do not show it tells in the mean how many there are',
    (hidden) => {
      const next = evenDraws(5);
      const rows = Array.from({ length: 400 }, () => {
        const sewn = Array.from({ length: 23 }, () => (next() < hidden ? 0 : 0.4));
        return withinRow(row([0, 0, 0, ...sewn, 0, 0, 0])).length;
      });
      const mean = rows.reduce((sum, n) => sum + n, 0) / rows.length;
      expect(Math.abs(mean - 23)).toBeLessThan(0.4);
    },
  );
});
