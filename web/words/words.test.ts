import { catalogue } from '../../core/finish/catalogue';
import { everyVariant, startingWish, workOn } from '../../core/finish/wishes.fixture';
import { cautionIds } from '../../core/finish/work';
import { footKinds } from '../../core/kit/foot-kind';
import { machineKinds } from '../../core/kit/machine';
import { judge } from '../../core/plan/judge';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingValuesOf, stepsOf } from '../../core/plan/work';
import { examplePlan } from '../../core/plan/example.fixture';
import { lengthsFor } from '../../core/measure/lengths';
import { patterns } from '../../core/stitch/stitch';
import { factInWords } from './facts';
import { patternNames, stitchLabel } from './stitches';
import { fill } from '../../core/measure/fill';
import { finishName } from './finishes';
import { footKindNames, gapInWords, machineKindNames } from './kit';
import { about, counted, ofHundred } from './number';
import { cautionInWords, placeInWords, stepInWords } from './steps';

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

describe('a finish’s own sentences', () => {
  test('take their numbers in the person’s unit, small lengths in decimals', () => {
    const inches = lengthsFor({ unit: 'in', inchRounding: '1/8' });
    const text = 'Fold {depthMm}, stitch {gapMm:fine} in, {count} times with {what}.';
    const values = { depthMm: 48, gapMm: 2.5, count: 3, what: 'care' };
    expect(fill(text, values, lengths)).toBe('Fold 48 mm, stitch 2.5 mm in, 3 times with care.');
    expect(fill(text, values, inches)).toBe(
      'Fold 1 7/8 in, stitch 0.098 in in, 3 times with care.',
    );
  });

  test('a number that is missing is seen, not swallowed', () => {
    expect(fill('{n} of {m}', { n: 1 }, lengths)).toBe('1 of {m}');
  });
});

test('every variant of every finish has a name of its own', () => {
  const names = catalogue.flatMap((finish) =>
    finish.variants.map(({ id }) => finishName(finish.id, id)),
  );
  expect(new Set(names).size).toBe(names.length);
  expect(finishName('ruffle')).toBe('ruffle');
});

test.each(everyVariant)(
  '%s says its steps, values and needs in whole words',
  (_, finish, variant) => {
    const request = workOn(finish, variant);
    for (const step of stepsOf(finish, request)) {
      expect(stepInWords(step, lengths)).toMatch(/^[A-Z][^{}]*\.$/);
      expect(placeInWords(step)).toMatch(/^(at|by|on) /);
    }
    for (const { because } of startingValuesOf(finish, request)) {
      for (const fact of because) expect(factInWords(fact, lengths)).toMatch(/^[A-Z0-9][^{}]*\.$/);
    }
  },
);

test('cautions, machines and feet all have words', () => {
  for (const id of cautionIds) expect(cautionInWords(id)).toMatch(/^[A-Z].*\.$/);
  for (const kind of machineKinds) expect(machineKindNames[kind]).toMatch(/^[a-z]/);
  for (const kind of footKinds) expect(footKindNames[kind]).toMatch(/^[a-z]/);
  expect(gapInWords({ about: 'machine', anyOf: ['overlocker'] }, lengths)).toBe('an overlocker');
  expect(gapInWords({ about: 'channel', channelMm: 4 }, lengths)).toBe('a hemmer foot of 4 mm');
});

test.each(everyVariant)('%s brings words for all that its margin says', (_, finish, variant) => {
  const margin = finish.margin(variant);
  if (!margin) return;
  const { patterns: possible, machineKinds: kinds } = finish.needs(variant);
  for (const pattern of possible) {
    for (const guide of [{ atMm: -1 }, { rangeMm: [-2, 8] as const }, { atMm: 12 }]) {
      const plan = {
        ...examplePlan,
        machine: { ...examplePlan.machine, kind: kinds[0] ?? 'lockstitch' },
        foot: { ...examplePlan.foot, guide },
        fold: startingWish(finish, variant),
        stitch: { ...examplePlan.stitch, pattern },
      };
      const at = { widthMm: 3, needlePositionMm: 0.5, guideMm: -1 };
      const facts = [
        ...Object.values(margin.dialReasons(plan, at)).flat(),
        ...margin.startingLength(plan).because,
        ...Object.values(margin.ruled?.(plan) ?? {}).flatMap(({ because }) => because),
      ];
      for (const fact of facts) {
        expect(factInWords(fact, lengths)).toMatch(/^[A-Z].*\.$/);
        expect(factInWords(fact, lengths)).not.toMatch(/NaN|undefined|Infinity|[{}]/);
      }
      for (const { name, below, above, loMm, hiMm } of margin.checks(plan)) {
        expect(margin.words.checks[name]).toBeDefined();
        if (Number.isFinite(loMm)) expect(margin.words.faults[below]).toBeDefined();
        if (Number.isFinite(hiMm)) expect(margin.words.faults[above]).toBeDefined();
      }
      for (const { name, fromMm, toMm, layers } of margin.regions(plan)) {
        expect(name).toMatch(/^[a-z]/);
        expect(toMm).toBeGreaterThanOrEqual(fromMm);
        expect(layers).toBeGreaterThan(0);
      }
      for (const { atMm } of margin.references(plan, at)) expect(Number.isFinite(atMm)).toBe(true);
    }
  }
});

test('every stitch has a name, and its class is one of ISO 4915', () => {
  for (const pattern of patterns) expect(stitchLabel(pattern)).toMatch(/^[a-z].* · ISO [1-7]\d\d$/);
  expect(new Set(Object.values(patternNames)).size).toBe(patterns.length);
});

describe('the margin of the blind hem', () => {
  const plans = ['flat', 'enclosed'].map((variant) => ({
    ...examplePlan,
    fold: { ...examplePlan.fold, variant, ...(variant === 'enclosed' ? { turnMm: 10 } : {}) },
  }));
  const [finish] = catalogue;
  if (!finish) throw new Error('The catalogue is empty.');

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
          const margin = finish.margin(plan.fold.variant)!;
          return [
            ...Object.values(margin.dialReasons(made, dials)).flat(),
            ...margin.startingLength(made).because,
          ];
        }),
      ),
    );
    for (const fact of facts) {
      const words = factInWords(fact, lengths);
      expect(words).toMatch(/^[A-Z].*\.$/);
      expect(words).not.toMatch(/NaN|undefined|Infinity|[{}]/);
    }
  });

  test('warnings are sentences too; faults have words', () => {
    const set = setUpOf(finish, plans[0] ?? examplePlan);
    const wide = judge(set, { ...dials, widthMm: 40, lengthMm: 2 });
    expect(wide.warnings.length).toBeGreaterThan(1);
    for (const fact of wide.warnings) expect(factInWords(fact, lengths)).toMatch(/^[A-Z].*\.$/);
    for (const plan of plans) {
      const margin = finish.margin(plan.fold.variant)!;
      for (const { below, above } of margin.checks(plan)) {
        expect(margin.words.faults[below]).toBeDefined();
        expect(margin.words.faults[above]).toBeDefined();
      }
    }
  });
});
