import fc from 'fast-check';
import { catalogue } from '../finish/catalogue';
import { startingWish } from '../finish/wishes.fixture';
import { Impossible } from '../impossible';
import { examplePlan } from '../plan/example.fixture';
import { judge } from '../plan/judge';
import { setUpOf } from '../plan/set-up-of';
import { bestChance, mostChance } from './best-chance';
import { normalDrift } from './normal';
import { dialSpace, type SetUp } from './set-up';

const solvable = catalogue.flatMap((finish) =>
  finish.variants.filter(({ id }) => finish.margin(id)).map(({ id }) => ({ finish, variant: id })),
);

/** A set-up of any finish whose dials are solved, on coarse steps. */
const setUps: fc.Arbitrary<SetUp> = fc
  .record({
    chosen: fc.constantFrom(...solvable),
    thicknessMm: fc.integer({ min: 1, max: 25 }).map((tenths) => tenths / 10),
    guideMm: fc.integer({ min: -8, max: 8 }),
    skill: fc.constantFrom(0.7, 1, 1.6),
  })
  .map(({ chosen: { finish, variant }, thicknessMm, guideMm, skill }): SetUp | null => {
    const need = finish.needs(variant);
    try {
      return setUpOf(finish, {
        ...examplePlan,
        cloth: { ...examplePlan.cloth, thicknessMm },
        fold: startingWish(finish, variant),
        machine: {
          ...examplePlan.machine,
          kind: need.machineKinds[0] ?? 'lockstitch',
          ...{ widthStepMm: 1, needleStepMm: 1 },
        },
        foot: { ...examplePlan.foot, guide: { rangeMm: [guideMm, guideMm + 3], stepMm: 1 } },
        stitch: { ...examplePlan.stitch, pattern: need.patterns[0] ?? 'straight' },
        faultWeights: { below: 1, above: 1 },
        skill,
      });
    } catch (error) {
      if (!(error instanceof Impossible)) throw error;
      return null;
    }
  })
  .filter((set) => set !== null);

test('no setting of any finish reaches more than the most', () => {
  fc.assert(
    fc.property(setUps, (set) => {
      const most = mostChance(set.checks, set.beliefs);
      const { width, needlePosition, guide } = dialSpace(set);
      for (const widthMm of width)
        for (const needlePositionMm of needlePosition)
          for (const guideMm of guide) {
            const dials = { widthMm, needlePositionMm, guideMm, lengthMm: 2 };
            if (judge(set, dials).chance > most + 1e-12) throw new Error(JSON.stringify(dials));
          }
    }),
    { numRuns: 60 },
  );
});

test('the best chance is that of the best setting, and at most the most', () => {
  fc.assert(
    fc.property(setUps, (set) => {
      try {
        expect(bestChance(set)).toBeLessThanOrEqual(mostChance(set.checks, set.beliefs) + 1e-12);
      } catch (error) {
        if (!(error instanceof Impossible)) throw error;
      }
    }),
    { numRuns: 60 },
  );
});

test('a window in the middle of what drifts is all there is, and two windows multiply', () => {
  const check = {
    ...{ name: 'a', source: 'guide' as const, k: 1 as const, loMm: 2, hiMm: 4 },
    v0: { constantMm: 0, width: 0, needlePosition: 0, guide: 0 },
    ...{ below: 'short' as const, above: 'over' as const },
  };
  const beliefs = { guide: normalDrift(0.4, 0.5), press: normalDrift(0, 1) };
  // Within two spreads to either side; within one.
  expect(mostChance([check], beliefs)).toBeCloseTo(0.9544997361036416, 12);
  const other = { ...check, name: 'b', source: 'press' as const };
  expect(mostChance([check, other], beliefs)).toBeCloseTo(
    0.9544997361036416 * 0.6826894921370859,
    12,
  );
  // The narrowest of one source is what counts.
  expect(mostChance([check, { ...check, name: 'c', hiMm: 3 }], beliefs)).toBeCloseTo(
    0.6826894921370859,
    12,
  );
});
