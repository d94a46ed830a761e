import { stepsOf } from '../plan/work';
import { pinked } from './pinked';
import { foldsOf, workOn } from './wishes.fixture';

test('adds nothing, needs no machine, and is tested by rubbing', () => {
  const plan = foldsOf(pinked, { variant: 'plain' });
  expect([plan.allowanceMm, plan.marks]).toEqual([0, []]);
  expect(pinked.needs('plain').machineKinds).toEqual([]);
  expect(pinked.startingValues(workOn(pinked, 'plain'))).toEqual([]);
  expect(stepsOf(pinked, workOn(pinked, 'plain')).map(({ text }) => text)).toContainEqual(
    expect.stringContaining('rub {rubMm}'),
  );
});

test('with a line of stitching, the usual 5 mm inside the edge', () => {
  expect(foldsOf(pinked, { variant: 'stitched' }).marks[0]?.atMm).toBe(5);
});
