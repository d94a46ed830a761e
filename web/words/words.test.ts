import { catalogue } from '../../core/finish/catalogue';
import { needleAdvice } from '../../core/plan/starting-setting';
import { judge } from '../../core/plan/judge';
import { setUpOf } from '../../core/plan/set-up-of';
import { examplePlan } from '../../core/plan/example.fixture';
import { lengthsFor } from '../app/lengths';
import { actionNames, factInWords, faults, markNames, regionNames } from './facts';
import { finishName } from './finishes';
import { about, counted, ofHundred } from './number';
import { cautionInWords, stageTitles, stepInWords } from './steps';

const lengths = lengthsFor({ unit: 'mm', inchRounding: '1/16' });
const dials = { widthMm: 2, needlePositionMm: 0.5, guideMm: -1 };

describe('numbers in words', () => {
  test('a chance never rounds a doubt away', () => {
    expect([0, 0.5, 0.994, 0.996, 0.9999, 1].map(ofHundred)).toEqual([0, 50, 99, 99, 99, 100]);
  });

  test('expected counts have a decimal while they are small', () => {
    expect([0, 0.04, 0.26, 3.14, 9.94, 12.4, 90.6].map(about)).toEqual([
      '0',
      '0',
      '0.3',
      '3.1',
      '9.9',
      '12',
      '91',
    ]);
  });

  test('one and many', () => {
    expect([counted(1, 'scrap'), counted(2, 'scrap'), counted(0, 'foot', 'feet')]).toEqual([
      '1 scrap',
      '2 scraps',
      '0 feet',
    ]);
  });
});

describe.each(catalogue.map((finish) => [finish.id, finish] as const))(
  'the words of %s',
  (_, finish) => {
    const plans = finish.variants.map((variant) => ({
      ...examplePlan,
      fold: {
        variant,
        depthMm: 40,
        extensionMm: 8,
        ...(variant === 'enclosed' ? { turnMm: 10 } : {}),
      },
    }));

    test('every variant has a name of its own', () => {
      const names = finish.variants.map((variant) => finishName(finish.id, variant));
      expect(new Set(names).size).toBe(names.length);
      expect(names.join()).not.toContain(finish.id);
    });

    test('every fact is a sentence, in every kind of cloth and guide', () => {
      const guides = [{ atMm: -1 }, { rangeMm: [-2, 0] as const, stepMm: 0.25 }];
      const facts = plans.flatMap((plan) =>
        guides.flatMap((guide) =>
          [0.1, 0.6, 1.5].flatMap((thicknessMm) => {
            const made = {
              ...plan,
              foot: { ...plan.foot, guide },
              cloth: { ...plan.cloth, thicknessMm },
            };
            return [
              ...Object.values(finish.dialReasons(made, dials)).flat(),
              ...finish.startingLength(made).because,
            ];
          }),
        ),
      );
      const all = [
        ...facts,
        ...finish.schools.flatMap(({ costs }) => costs),
        ...needleAdvice(200).because,
      ];
      for (const fact of all) {
        const words = factInWords(fact, lengths);
        expect(words).toMatch(/^[A-Z].*\.$/);
        expect(words).not.toMatch(/NaN|undefined|Infinity/);
      }
    });

    test('warnings are sentences too', () => {
      const set = setUpOf(finish, plans[0] ?? examplePlan);
      const wide = judge(set, { ...dials, widthMm: 40, lengthMm: 2 });
      expect(wide.warnings.length).toBeGreaterThan(1);
      for (const fact of wide.warnings) expect(factInWords(fact, lengths)).toMatch(/^[A-Z].*\.$/);
    });

    test('steps, cautions, stages, marks, faults and regions all have words', () => {
      for (const plan of plans) {
        const folds = finish.folds({ wish: plan.fold, cloth: plan.cloth });
        for (const step of finish.steps(plan)) {
          expect(stepInWords(step, lengths)).toMatch(/^[A-Z].*\.$/);
          for (const caution of step.cautions)
            expect(cautionInWords(caution)).toMatch(/^[A-Z].*\.$/);
        }
        for (const { id } of folds.stages) expect(stageTitles[id]).toBeDefined();
        for (const { name, action } of folds.marks) {
          expect(markNames[name]).toBeDefined();
          expect(actionNames[action]).toBeDefined();
        }
        for (const { below, above } of finish.checks(plan)) {
          expect(faults[below]).toBeDefined();
          expect(faults[above]).toBeDefined();
        }
        for (const { name } of finish.regions(plan)) expect(regionNames[name]).toBeDefined();
      }
    });
  },
);

test('a step carries the person’s own numbers in their own unit', () => {
  const [finish] = catalogue;
  const steps = finish?.steps(examplePlan) ?? [];
  const inInches = lengthsFor({ unit: 'in', inchRounding: '1/8' });
  const press = steps.find(({ id }) => id === 'press-hemline');
  expect(press && stepInWords(press, lengths)).toBe('Press the hemline, 48 mm from the raw edge.');
  expect(press && stepInWords(press, inInches)).toBe(
    'Press the hemline, 1 7/8 in from the raw edge.',
  );
});
