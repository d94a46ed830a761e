import { foldPlanOf } from '../plan/fold-plan';
import { doubleHem } from './double-hem';
import { jeansHem } from './jeans-hem';
import { foldsOf, workOn } from './wishes.fixture';

test('A = D + u: marks u and D + u, three layers', () => {
  const plan = foldsOf(doubleHem, { variant: 'narrow', depthMm: 20, turnMm: 8 });
  expect(plan.allowanceMm).toBe(28);
  expect(plan.marks.map(({ atMm }) => atMm)).toEqual([8, 28]);
  expect(plan.layersAtStitch).toBe(3);
  expect(plan.stackMm).toBeCloseTo(3 * 0.6 * 0.7, 9);
});

test('equal turns take the depth twice', () => {
  const plan = foldsOf(doubleHem, { variant: 'equal', depthMm: 12.5 });
  expect(plan.allowanceMm).toBe(25);
  expect(plan.marks.map(({ atMm }) => atMm)).toEqual([12.5, 25]);
});

test.each([doubleHem, jeansHem])('a turn wider than the hem is refused with both', (finish) => {
  const wish = { variant: 'narrow', depthMm: 12, turnMm: 15.5 };
  expect(() => foldPlanOf(finish, { wish, cloth: { thicknessMm: 0.5 } })).toThrow(
    'A turn of 15.5 mm is wider than the hem of 12 mm; it can be up to 12 mm.',
  );
});

test('a thick crossing wants a stronger needle, and says for what', () => {
  const needle = (thickestTimes: number) =>
    doubleHem
      .startingValues(workOn(doubleHem, 'narrow', { thickestTimes }))
      .find(({ id }) => id === 'needle');
  expect(needle(1)?.value).toBe('80-universal');
  // Three layers of 0.6 mm, four times over a felled seam: 5.04 mm under the foot.
  expect(needle(4)?.value).toBe('90-universal');
  expect(needle(4)?.because.at(-1)?.values).toEqual({ thickestMm: expect.closeTo(5.04, 9) });
});

test('a jeans hem is folded the same; its needle and length are for thick thread and seams', () => {
  const plan = foldsOf(jeansHem, { variant: 'narrow', depthMm: 13, turnMm: 10 });
  expect(plan.marks.map(({ atMm }) => atMm)).toEqual([10, 23]);
  const cloth = { ...workOn(jeansHem, 'narrow').cloth, weightGsm: 400, thicknessMm: 0.8 };
  const values = jeansHem.startingValues(workOn(jeansHem, 'narrow', { cloth }));
  const value = (id: string) => values.find((it) => it.id === id)?.value;
  // 2.0 + 0.35 × 1.68 + 0.5; the felled seam makes a stack of 6.7 mm.
  expect(value('length')).toBeCloseTo(2 + 0.35 * 1.68 + 0.5, 9);
  expect(value('needle')).toBe('100-denim');
});
