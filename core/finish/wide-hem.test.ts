import { foldPlanOf } from '../plan/fold-plan';
import { stepsOf } from '../plan/work';
import { wideHem } from './wide-hem';
import { foldsOf, workOn } from './wishes.fixture';

test.each([12, 20, 25])('a hem of %d mm takes its turn-under besides', (depthMm) => {
  const plan = foldsOf(wideHem, { variant: 'hemmer', depthMm, turnMm: 5 });
  expect(plan.allowanceMm).toBe(depthMm + 5);
  expect(plan.feedMm).toBe(depthMm + 5);
  expect(plan.marks.map(({ atMm }) => atMm)).toEqual([5, depthMm + 5]);
  expect(plan.layersAtStitch).toBe(3);
});

test('a turn-under left out is the usual 6 mm', () => {
  expect(foldsOf(wideHem, { variant: 'hand', depthMm: 20 }).allowanceMm).toBe(26);
});

test('the foot wants a folded start, a way over lumps, and a way to close the round', () => {
  const ids = (closed: boolean) =>
    stepsOf(wideHem, workOn(wideHem, 'hemmer', { closed })).map(({ id }) => id);
  expect(ids(true)).toEqual(expect.arrayContaining(['start-fold', 'lump', 'close']));
  expect(ids(false)).not.toContain('close');
});

test('a turn wider than the hem is refused', () => {
  const wish = { variant: 'hemmer', depthMm: 12, turnMm: 13 };
  expect(() => foldPlanOf(wideHem, { wish, cloth: { thicknessMm: 0.4 } })).toThrow(
    'turn of 13 mm is wider than the hem of 12 mm',
  );
});
