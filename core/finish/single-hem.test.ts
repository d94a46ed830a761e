import { foldPlanOf } from '../plan/fold-plan';
import { machineChanges, stepsOf } from '../plan/work';
import { singleHem } from './single-hem';
import { foldsOf, workOn } from './wishes.fixture';

test('A = D: one mark, two layers, the stitch 2.25 mm inside the raw edge', () => {
  const plan = foldsOf(singleHem, { variant: 'overcast', depthMm: 25 });
  expect(plan.allowanceMm).toBe(25);
  expect(plan.marks.map(({ atMm, action }) => [atMm, action])).toEqual([[25, 'press']]);
  expect(plan.layersAtStitch).toBe(2);
  expect(plan.stackMm).toBeCloseTo(0.84, 9);
  expect(plan.stitchFromHemlineMm).toBeCloseTo(22.75, 9);
});

test('a narrow hem is stitched in its middle', () => {
  expect(foldsOf(singleHem, { variant: 'serged', depthMm: 3 }).stitchFromHemlineMm).toBe(1.5);
});

test('serging first is a change of machine; the side is the person’s', () => {
  const steps = stepsOf(singleHem, workOn(singleHem, 'serged', { way: 1 }));
  expect(machineChanges(steps)).toBe(1);
  expect(steps.find(({ id }) => id === 'sew')?.text).toContain('From the right side');
});

test('a hem of nothing is refused with its range', () => {
  const wish = { variant: 'overcast', depthMm: 0 };
  expect(() => foldPlanOf(singleHem, { wish, cloth: { thicknessMm: 0.5 } })).toThrow('3 to 500 mm');
});
