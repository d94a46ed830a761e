import { stepsOf } from '../plan/work';
import { leftCut } from './left-cut';
import { foldsOf, workOn } from './wishes.fixture';

test('nothing is added, nothing sewn, and no machine is needed', () => {
  expect(foldsOf(leftCut, { variant: 'rotary' })).toMatchObject({ allowanceMm: 0, marks: [] });
  expect(leftCut.needs('shears').machineKinds).toEqual([]);
  expect(leftCut.margin('rotary')).toBeNull();
});

test('a curve is cut along a card, a straight edge along a ruler', () => {
  const line = (radiusMm?: number) =>
    stepsOf(leftCut, workOn(leftCut, 'rotary', radiusMm ? { radiusMm } : {})).find(
      ({ id }) => id === 'line',
    )?.text;
  expect(line()).toContain('ruler');
  expect(line(200)).toContain('card cut to the curve');
});
