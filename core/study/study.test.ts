import { blindHem } from '../finish/blind-hem';
import { examplePlan } from '../plan/example.fixture';
import { evenDraws } from '../swatch/draw';
import { coverage, reached, type StudySetting } from './study';

const setting: StudySetting = {
  name: 'felted wool, tenth-millimetre steps',
  finish: blindHem,
  plan: {
    ...examplePlan,
    cloth: { ...examplePlan.cloth, thicknessMm: 1 },
    machine: { ...examplePlan.machine, widthStepMm: 0.1, needleStepMm: 0.1 },
  },
};

test('the 90 % intervals hold the truth for about nine sewists of ten', () => {
  for (const { offset, spread } of coverage(setting, 50, 2, evenDraws(11))) {
    // Fifty sewists: three standard deviations are an eighth.
    expect(offset).toBeGreaterThan(0.77);
    expect(spread).toBeGreaterThan(0.77);
  }
});

test('following the advice takes fewer scraps than one step at a time', () => {
  const { medianAdvised, medianTrial, sewists } = reached(setting, 20, 1, evenDraws(5));
  expect(sewists).toBe(20);
  expect(medianAdvised).toBeLessThanOrEqual(3);
  expect(medianTrial).toBeGreaterThan(medianAdvised);
});

test('the same seeds give the same numbers', () => {
  const once = coverage(setting, 3, 1, evenDraws(2));
  expect(coverage(setting, 3, 1, evenDraws(2))).toEqual(once);
});
