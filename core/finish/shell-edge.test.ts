import { stepsOf } from '../plan/work';
import { shellEdge } from './shell-edge';
import { foldsOf, workOn } from './wishes.fixture';

test('a shell edge folds once, or twice with its raw edge inside', () => {
  const once = foldsOf(shellEdge, { variant: 'folded', depthMm: 5 });
  expect([once.allowanceMm, once.layersAtStitch]).toEqual([5, 2]);
  const twice = foldsOf(shellEdge, { variant: 'rolled', depthMm: 5 });
  expect([twice.allowanceMm, twice.layersAtStitch]).toEqual([10, 3]);
  expect(twice.marks.map(({ atMm }) => atMm)).toEqual([5, 10]);
});

test('the swing draws the fold in, and nobody presses it flat again', () => {
  const steps = stepsOf(shellEdge, workOn(shellEdge, 'folded'));
  expect(steps.find(({ id }) => id === 'sew')?.values).toMatchObject({ offMm: 3.5 });
  expect(steps.find(({ phase }) => phase === 'press')?.text).toContain('Do not press');
  expect(steps.at(-1)?.phase).toBe('put-back');
});
