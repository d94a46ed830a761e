import { foldPlanOf } from '../plan/fold-plan';
import { stepsOf } from '../plan/work';
import { rolledHem } from './rolled-hem';
import { foldsOf, workOn } from './wishes.fixture';

test.each([2, 3, 4, 6])('a channel of %d mm takes twice that, fed at 2.15 times', (channelMm) => {
  const plan = foldsOf(rolledHem, { variant: 'zigzag', channelMm });
  expect(plan.allowanceMm).toBe(2 * channelMm);
  expect(plan.feedMm).toBeCloseTo(2.15 * channelMm, 9);
  expect(plan.marks).toEqual([]);
  expect(plan.layersAtStitch).toBe(3);
});

test('the three ways to start are three different steps', () => {
  const starts = [0, 1, 2].map(
    (way) =>
      stepsOf(rolledHem, workOn(rolledHem, 'straight', { way })).find(
        ({ id }) => id === 'roll-start',
      )?.text,
  );
  expect(new Set(starts).size).toBe(3);
});

test('the imitation folds once and trims to the stitch', () => {
  const plan = foldsOf(rolledHem, { variant: 'imitation', turnMm: 7 });
  expect(plan.marks.map(({ atMm }) => atMm)).toEqual([7]);
  expect(plan.trim).toMatchObject({ needed: true, cutAwayMm: 5 });
  expect(plan.feedMm).toBeUndefined();
});

test('a channel of 0 is refused with what feet there are room for', () => {
  const wish = { variant: 'straight', channelMm: 0 };
  expect(() => foldPlanOf(rolledHem, { wish, cloth: { thicknessMm: 0.2 } })).toThrow(
    'Channel of the foot: 0 mm is out of range; it can be 1 to 8 mm.',
  );
});
