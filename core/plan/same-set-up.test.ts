import { examplePlan } from './example.fixture';
import { sameForLearning } from './same-set-up';

test('the dials’ start, the depth and the order of keys don’t matter', () => {
  const { cloth, ...rest } = examplePlan;
  const shuffled = {
    ...rest,
    fold: { ...rest.fold, depthMm: 25 },
    machine: { ...rest.machine, plateHoleMm: null, presserLiftMm: 7 },
    edge: { lengthMm: 300, minRadiusMm: null },
    cloth: Object.fromEntries(Object.entries(cloth).reverse()) as unknown as typeof cloth,
  };
  expect(sameForLearning(examplePlan, shuffled)).toBe(true);
});

test.each([
  { cloth: { ...examplePlan.cloth, thicknessMm: 0.7 } },
  { foot: { ...examplePlan.foot, guide: { atMm: -2 } } },
  { edge: { lengthMm: 1400, minRadiusMm: 300 } },
])('another cloth, guide or curve is another set-up: %#', (difference) => {
  expect(sameForLearning(examplePlan, { ...examplePlan, ...difference })).toBe(false);
});

test.each([
  { stitch: { ...examplePlan.stitch, runStitches: 4 } },
  { pickMm: 0.5 },
  { fold: { variant: 'enclosed', depthMm: 30, extensionMm: 12, turnMm: 8 } },
  { foot: { ...examplePlan.foot, reference: 'blade', references: null } },
])('a fold, a stitch or an eye is not: a scrap brings its own checks: %#', (difference) => {
  expect(sameForLearning(examplePlan, { ...examplePlan, ...difference })).toBe(true);
});
