import fc from 'fast-check';
import { alongFrame, markPx, marksInRows } from './layout';

const places = fc
  .array(fc.integer({ min: 18, max: 340 }), { minLength: 1, maxLength: 60 })
  .map((all) => all.sort((a, b) => a - b));

test('marks keep their order, lie on no other, and stay within the ends, on a phone too', () => {
  fc.assert(
    fc.property(places, (xs) => {
      const marks = marksInRows(xs, [18, 340]);
      const rows = new Map<number, number[]>();
      for (const { x, row } of marks) rows.set(row, [...(rows.get(row) ?? []), x]);
      for (const row of rows.values()) {
        expect(row[0]).toBeGreaterThanOrEqual(18 + markPx / 2 - 1e-9);
        expect(row.at(-1)).toBeLessThanOrEqual(340 - markPx / 2 + 1e-9);
        row.slice(1).forEach((x, i) => expect(x - row[i]!).toBeGreaterThanOrEqual(markPx - 1e-9));
      }
    }),
  );
});

test('where there is room each mark stands over its place, in one row', () => {
  expect(marksInRows([60, 120, 300], [18, 340])).toEqual([
    { x: 60, row: 0 },
    { x: 120, row: 0 },
    { x: 300, row: 0 },
  ]);
});

test('the strip leaves room for its rows of marks above and its lanes below', () => {
  const frame = alongFrame(390, 288, 2);
  expect(frame.topPx).toBe(14 + 2 * markPx);
  expect(frame.lanesPx[0]).toBeGreaterThan(frame.basePx);
  expect(frame.axisPx).toBeGreaterThan(frame.lanesPx[2]);
});
