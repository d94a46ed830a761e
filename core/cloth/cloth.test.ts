import fc from 'fast-check';
import { constructions } from './cloth';
import { clothFromDescription } from './describe';
import { densityKgPerM3 } from './guesses';
import { clothFromHomeTests, curlGrade, frayGrade, slipGrade } from './home-tests';

const allMeasured = {
  construction: 'woven',
  sampleGrams: 1.4,
  sampleSideMm: 100,
  stackHeightMm: 3.2,
  stackLayers: 8,
  restMm: 100,
  pulledMm: 102,
  afterMm: 100,
  looseThreads: 4,
  curlMm: 0,
  rollsOver: false,
  slipDegrees: 38,
} as const;

describe('home tests', () => {
  test('a cloth that was measured all through', () => {
    expect(clothFromHomeTests(allMeasured)).toEqual({
      weightGsm: expect.closeTo(140, 9),
      thicknessMm: expect.closeTo(0.4, 9),
      stretchPercent: expect.closeTo(2, 9),
      recoveryPercent: 100,
      fray: 2,
      curl: 0,
      slip: 1,
      estimated: [],
    });
  });

  test('a smaller square weighs less and comes to the same', () => {
    const { weightGsm } = clothFromHomeTests({
      ...allMeasured,
      sampleGrams: 0.35,
      sampleSideMm: 50,
    });
    expect(weightGsm).toBeCloseTo(140, 9);
  });

  test('ounces per square yard', () => {
    const cloth = clothFromHomeTests({ construction: 'woven', ozPerSqYd: 10 });
    expect(cloth.weightGsm).toBeCloseTo(339.06, 6);
    expect(cloth.thicknessMm).toBeCloseTo(339.06 / 450, 6);
    expect(cloth.estimated).toEqual([
      'thicknessMm',
      'stretchPercent',
      'recoveryPercent',
      'fray',
      'curl',
      'slip',
    ]);
  });

  test('weight and thickness each stand in for the other, by the density of the construction', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...constructions),
        fc.double({ min: 0.2, max: 9, noNaN: true }),
        (construction, grams) => {
          const weighed = clothFromHomeTests({ construction, sampleGrams: grams });
          const stacked = clothFromHomeTests({
            construction,
            stackHeightMm: weighed.thicknessMm * 10,
            stackLayers: 10,
          });
          expect(stacked.weightGsm).toBeCloseTo(weighed.weightGsm, 6);
          expect(weighed.thicknessMm * densityKgPerM3[construction]).toBeCloseTo(grams * 100, 6);
          expect(stacked.estimated).toContain('weightGsm');
          expect(weighed.estimated).toContain('thicknessMm');
        },
      ),
    );
  });

  test('recovery is the share of the stretch that came back', () => {
    const { recoveryPercent } = clothFromHomeTests({ ...allMeasured, pulledMm: 120, afterMm: 105 });
    expect(recoveryPercent).toBeCloseTo(75, 9);
  });

  test('grades at and around their bounds', () => {
    expect([0, 1, 2, 3, 6, 7, 50].map(frayGrade)).toEqual([0, 1, 1, 2, 2, 3, 3]);
    expect([0, 0.5, 4.9, 5, 9.9, 10].map((mm) => curlGrade(mm, false))).toEqual([0, 1, 1, 2, 2, 3]);
    expect(curlGrade(0, true)).toBe(3);
    expect([60, 40.1, 40, 30, 29.9, 20, 19.9, 0].map(slipGrade)).toEqual([0, 0, 1, 1, 2, 2, 3, 3]);
  });

  test.each([
    [{ ...allMeasured, stackLayers: 5 }, 'stackLayers', 'at least 8'],
    [{ ...allMeasured, pulledMm: 90, afterMm: null }, 'pulledMm', 'shorter'],
    [{ ...allMeasured, afterMm: 130 }, 'afterMm', 'longer'],
    [{ ...allMeasured, stackLayers: null }, 'stackLayers', 'both'],
    [{ construction: 'woven', sampleGrams: 2, restMm: 100 }, 'pulledMm', 'both'],
    [{ construction: 'woven' }, 'sampleGrams', 'one of them is needed'],
  ] as const)('a contradiction is named at its field: %#', (tests, path, words) => {
    expect(() => clothFromHomeTests(tests)).toThrow(
      expect.objectContaining({
        issues: [expect.objectContaining({ path, message: expect.stringContaining(words) })],
      }),
    );
  });
});

describe('a cloth by touch', () => {
  test('the class stands in for a weight, and says so', () => {
    const cloth = clothFromDescription({ weightClass: 'heavy', tests: { construction: 'felted' } });
    expect(cloth.weightGsm).toBeCloseTo(320, 9);
    expect(cloth.thicknessMm).toBeCloseTo(1.6, 9);
    expect(cloth.estimated).toContain('weightGsm');
  });

  test('a measurement wins over the class', () => {
    const cloth = clothFromDescription({ weightClass: 'heavy', tests: allMeasured });
    expect(cloth.weightGsm).toBeCloseTo(140, 9);
    expect(cloth.estimated).toEqual([]);
  });
});
