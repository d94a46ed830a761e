import fc from 'fast-check';
import { clothFromDescription } from './describe';
import type { HomeTests } from './home-tests';
import { clothRanges, implausibleIssues } from './plausible';

const issuesOf = (tests: HomeTests) => implausibleIssues(clothFromDescription({ tests }), tests);

test('a slip of the square is named, with the square that was meant', () => {
  const [issue] = issuesOf({ construction: 'woven', sampleGrams: 1.4, sampleSideMm: 10 });
  expect(issue).toMatchObject({ path: 'sampleSideMm', code: 'side-slip' });
  expect(issue!.message).toContain('14000 g/m²');
  expect(issue!.message).toContain('Did you mean a 100 mm square?');
});

test.each<[string, HomeTests, string]>([
  ['kilograms', { construction: 'woven', sampleGrams: 1400 }, 'sampleGrams'],
  [
    'a blanket on one layer’s count',
    { construction: 'woven', stackHeightMm: 400, stackLayers: 8 },
    'stackLayers',
  ],
  [
    'centimetres at rest',
    { construction: 'knit', sampleGrams: 2, restMm: 10, pulledMm: 140 },
    'pulledMm',
  ],
])('%s is told at its reading', (_what, tests, path) => {
  expect(issuesOf(tests).map((it) => it.path)).toEqual([path]);
});

test('what passes is within the ranges of every sum, and what does not is told', () => {
  const some = (min: number, max: number) =>
    fc.option(fc.double({ min, max, noNaN: true }), { nil: null });
  fc.assert(
    fc.property(
      fc.record({
        construction: fc.constantFrom('woven' as const, 'knit' as const),
        sampleGrams: fc.double({ min: 0.001, max: 2000, noNaN: true }),
        sampleSideMm: some(10, 1000),
        restMm: fc.constant(100),
        pulledMm: fc.double({ min: 100, max: 5000, noNaN: true }),
      }),
      (tests) => {
        const cloth = clothFromDescription({ tests });
        const within = (['weightGsm', 'thicknessMm', 'stretchPercent'] as const).every(
          (name) => cloth[name] >= clothRanges[name][0] && cloth[name] <= clothRanges[name][1],
        );
        expect(implausibleIssues(cloth, tests).length === 0).toBe(within);
      },
    ),
  );
});
