import { foldPlanOf } from '../plan/fold-plan';
import { stepsOf } from '../plan/work';
import { serged } from './serged';
import { sergedRolled } from './serged-rolled';
import { foldsOf, medium, workOn } from './wishes.fixture';

test('the needle stands a from the guide, the knife takes a less the cutting width', () => {
  const plan = foldsOf(serged, { variant: 'four-thread', seamAllowanceMm: 15, depthMm: 6.5 });
  expect(plan.allowanceMm).toBe(15);
  expect(plan.marks.map(({ id, atMm }) => [id, atMm])).toEqual([
    ['knife', 8.5],
    ['needle', 15],
  ]);
  expect(plan.layersAtStitch).toBe(1);
});

test('a narrow allowance gives the knife nothing to cut', () => {
  const plan = foldsOf(serged, { variant: 'four-thread', seamAllowanceMm: 5 });
  expect(plan.marks.map(({ id }) => id)).toEqual(['needle']);
  expect(plan.trim?.needed).toBe(false);
});

test.each([serged, sergedRolled])('a cutting width beyond the allowance is refused', (finish) => {
  const variant = finish.variants[0]?.id ?? '';
  const wish = { variant, seamAllowanceMm: 4, depthMm: 5 };
  expect(() => foldPlanOf(finish, { wish, cloth: { thicknessMm: 0.4 } })).toThrow(
    'A cutting width of 5 mm is more than the allowance of 4 mm; it can be up to 4 mm.',
  );
});

test('easing raises the differential, stretch sets it for knits, sheers are held taut', () => {
  const differential = (more: Parameters<typeof workOn>[2]) =>
    serged
      .startingValues(workOn(serged, 'three-wide', more))
      .find(({ id }) => id === 'differential')?.value;
  expect(differential({})).toBe(1);
  expect(differential({ way: 1 })).toBe(1.5);
  expect(differential({ cloth: { ...medium, construction: 'knit', stretchPercent: 40 } })).toBe(
    1.4,
  );
  expect(differential({ cloth: { ...medium, construction: 'knit', stretchPercent: 160 } })).toBe(2);
  expect(differential({ cloth: { ...medium, construction: 'sheer' } })).toBe(0.8);
});

test('two threads roll with the needle thread, three with the lower looper', () => {
  const tension = (variant: string) =>
    stepsOf(sergedRolled, workOn(sergedRolled, variant)).find(({ id }) => id === 'tension')?.text;
  expect(tension('two-thread')).toContain('needle thread');
  expect(tension('fluffy')).toContain('lower looper');
});
