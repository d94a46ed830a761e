import fc from 'fast-check';
import { examplePlan } from '../plan/example.fixture';
import { likenessOf, nearestKept, type KeptSetting, type Seeker } from './nearest';

const seeker: Seeker = {
  ...{ finish: 'blind-hem', clothId: 'c', machineId: 'm', footId: 'f' },
  plan: examplePlan,
};
const kept = (
  patch: Partial<KeptSetting> & { name?: string } = {},
): KeptSetting & { name?: string } => ({
  ...{ finish: 'blind-hem', clothId: 'c', machineId: 'm', footId: 'f' },
  ...{ pinned: false, setUp: examplePlan },
  ...patch,
});
const onCloth = (thicknessMm: number, stretchPercent = 2) => ({
  ...examplePlan,
  cloth: { ...examplePlan.cloth, thicknessMm, stretchPercent },
});

test('the same of everything is no distance at all', () => {
  expect(likenessOf(seeker, kept())).toEqual({
    ...{ cloth: 'same', machine: 'same', foot: 'same', variant: 'same' },
    ...{ thicknessTimes: 1, stretchPoints: 0, distance: 0 },
  });
});

test('each difference counts, and is named', () => {
  const other = likenessOf(
    seeker,
    kept({ clothId: 'd', machineId: 'n', footId: 'g', setUp: onCloth(1.2, 40) }),
  );
  expect(other).toMatchObject({ cloth: 'other', machine: 'kind', foot: 'guidance' });
  expect(other.thicknessTimes).toBeCloseTo(0.5, 12);
  expect(other.stretchPoints).toBe(-38);
  // 1.2·ln 2 + 38/50 + another machine 0.5 + another foot 0.6
  expect(other.distance).toBeCloseTo(1.2 * Math.LN2 + 0.76 + 0.5 + 0.6, 9);
  const alike = likenessOf(seeker, kept({ clothId: 'd', setUp: onCloth(0.65) }));
  expect(alike.cloth).toBe('alike');
});

test('the nearest first, of the same finish alone, and no more than asked for', () => {
  const found = nearestKept(
    seeker,
    [
      kept({ name: 'thick', clothId: 'd', setUp: onCloth(2) }),
      kept({ name: 'hemmed otherwise', finish: 'overcast' }),
      kept({ name: 'near', clothId: 'e', setUp: onCloth(0.7) }),
      kept({ name: 'same' }),
    ],
    2,
  );
  expect(found.map((one) => one.kept.name)).toEqual(['same', 'near']);
});

test('a pin on this cloth, finish and machine comes before all; a pin elsewhere does not', () => {
  const found = nearestKept(
    seeker,
    [
      kept({ name: 'same' }),
      kept({ name: 'pinned', footId: 'g', pinned: true }),
      kept({ name: 'pinned elsewhere', clothId: 'z', pinned: true, setUp: onCloth(3) }),
    ],
    3,
  );
  expect(found.map((one) => [one.kept.name, one.pinnedHere])).toEqual([
    ['pinned', true],
    ['same', false],
    ['pinned elsewhere', false],
  ]);
});

test('as far from here to there as from there to here', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.05, max: 5, noNaN: true }),
      fc.double({ min: 0.05, max: 5, noNaN: true }),
      (a, b) => {
        const from = likenessOf(
          { ...seeker, plan: onCloth(a) },
          kept({ clothId: 'd', setUp: onCloth(b) }),
        );
        const back = likenessOf(
          { ...seeker, plan: onCloth(b) },
          kept({ clothId: 'd', setUp: onCloth(a) }),
        );
        expect(from.distance).toBeCloseTo(back.distance, 9);
        expect(from.distance).toBeGreaterThanOrEqual(0);
      },
    ),
  );
});
