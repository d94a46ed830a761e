import { foldPlanOf } from '../plan/fold-plan';
import { frenchSeam } from './french-seam';
import { foldsOf } from './wishes.fixture';

const wish = (seamAllowanceMm: number, secondPassMm: number) => ({
  variant: 'plain',
  seamAllowanceMm,
  secondPassMm,
});

test('first pass a − q − 2t, trim to q − 2, second pass q', () => {
  const plan = foldsOf(frenchSeam, wish(15, 6), { thicknessMm: 0.2 });
  expect(plan.allowanceMm).toBe(15);
  expect(plan.marks.map(({ atMm, action, from }) => [atMm, action, from])).toEqual([
    [expect.closeTo(8.6, 9), 'stitch', 'raw-edge'],
    [4, 'cut', 'first-seam'],
    [6, 'stitch', 'first-seam'],
  ]);
  expect([plan.layersAtStitch, plan.layersUnderNeedle]).toEqual([4, 2]);
  expect(plan.stackMm).toBeCloseTo(4 * 0.2 * 0.7, 9);
});

test('an allowance that is short already is not trimmed', () => {
  const { trim } = foldsOf(frenchSeam, wish(12, 8), { thicknessMm: 0.1 });
  expect(trim).toEqual({ needed: false, leaveMm: expect.closeTo(3.8, 9), cutAwayMm: 0 });
});

test('the raw edges end short of the second seam', () => {
  const plan = foldsOf(frenchSeam, wish(15, 6), { thicknessMm: 0.2 });
  const sewn = plan.stages.find(({ id }) => id === 'stitch');
  const inside = sewn?.stack.filter(({ toSMm }) => toSMm < 9) ?? [];
  expect(inside).toHaveLength(2);
  for (const { fromXMm } of inside) expect(fromXMm).toBeLessThanOrEqual(6 - 2 + 1e-9);
});

test.each([
  [
    10,
    10,
    'A second pass of 10 mm and the cloth’s turn of 1.2 mm leave no first pass in an allowance of 10 mm; a second pass up to 7.8 mm would fit.',
  ],
  [4, 4, 'an allowance of 6.2 mm would fit'],
])('passes beyond an allowance of %d are refused', (a, q, words) => {
  const request = { wish: wish(a, q), cloth: { thicknessMm: 0.6 } };
  expect(() => foldPlanOf(frenchSeam, request)).toThrow(words);
});
