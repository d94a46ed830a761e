import { stepsOf } from '../plan/work';
import { fringe } from './fringe';
import { foldsOf, workOn } from './wishes.fixture';

test('one layer along a line, with its loops standing on it', () => {
  const plan = foldsOf(fringe, { variant: 'loops', depthMm: 12 });
  expect(plan.allowanceMm).toBe(12);
  expect(plan.marks.map(({ atMm, action }) => [atMm, action])).toEqual([[12, 'stitch']]);
  expect(plan.layersAtStitch).toBe(1);
  expect(plan.stages.at(-1)?.loopsMm).toBeGreaterThan(0);
});

test('loops cut open are one step more, and after them is a pull at all', () => {
  const steps = (variant: string) => stepsOf(fringe, workOn(fringe, variant));
  expect(steps('cut').length).toBe(steps('loops').length + 1);
  expect(steps('cut').find(({ id }) => id === 'last')?.cautions).toContain('loose-trim');
});
