import { stepsOf } from '../plan/work';
import { overcast } from './overcast';
import { foldsOf, medium, workOn } from './wishes.fixture';

test('an edge overcast as it is needs no cloth and no mark', () => {
  for (const variant of ['zigzag', 'woven', 'stretch']) {
    const plan = foldsOf(overcast, { variant });
    expect([plan.allowanceMm, plan.marks, plan.layersAtStitch]).toEqual([0, [], 1]);
  }
});

test('zigzag then trim cuts its allowance off; joining sews two layers at the seam', () => {
  const trimmed = foldsOf(overcast, { variant: 'zigzag-trim', seamAllowanceMm: 4 });
  expect(trimmed.marks.map(({ atMm, action }) => [atMm, action])).toEqual([[4, 'cut']]);
  const joined = foldsOf(overcast, { variant: 'join', seamAllowanceMm: 6 });
  expect(joined.layersAtStitch).toBe(2);
  expect(joined.marks.map(({ atMm, action }) => [atMm, action])).toEqual([[6, 'stitch']]);
});

test('overcast after assembling, the seam comes first', () => {
  const ids = (way: number) =>
    stepsOf(overcast, workOn(overcast, 'woven', { way })).map(({ id }) => id);
  expect(ids(0)).not.toContain('assemble');
  expect(ids(1).indexOf('assemble')).toBeLessThan(ids(1).indexOf('sew'));
});

test('the zigzag is longer above 250 g/m²', () => {
  const length = (weightGsm: number) =>
    overcast
      .startingValues(workOn(overcast, 'zigzag', { cloth: { ...medium, weightGsm } }))
      .find(({ id }) => id === 'length')?.value;
  expect([length(250), length(251)]).toEqual([1.5, 2]);
});
