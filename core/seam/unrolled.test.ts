import fc from 'fast-check';
import { unrolled } from './unrolled';

const layers = (a: { layers: number }, b: { layers: number }) => a.layers === b.layers;

test('a round unrolled from just before its seam begins with that seam', () => {
  const profile = [
    { fromMm: 0, toMm: 6, layers: 12 },
    { fromMm: 6, toMm: 394, layers: 3 },
    { fromMm: 394, toMm: 400, layers: 12 },
  ];
  expect(unrolled(profile, 400, 391, layers)).toEqual([
    { fromMm: 0, toMm: 3, layers: 3 },
    { fromMm: 3, toMm: 15, layers: 12 },
    { fromMm: 15, toMm: 400, layers: 3 },
  ]);
});

test('every place of the round is what it was, and nothing lies twice', () => {
  const cuts = fc.uniqueArray(fc.integer({ min: 1, max: 399 }), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(cuts, fc.integer({ min: 0, max: 399 }), (some, startMm) => {
      const ends = [0, ...some.sort((a, b) => a - b), 400];
      const profile = ends
        .slice(1)
        .map((toMm, i) => ({ fromMm: ends[i]!, toMm, layers: 1 + (i % 3) }));
      const found = unrolled(profile, 400, startMm, layers);
      const at = (all: typeof profile, mm: number) =>
        all.filter(({ fromMm, toMm }) => fromMm <= mm && mm < toMm).map((it) => it.layers);
      const middles = Array.from({ length: 400 }, (_, mm) => mm + 0.5);
      expect(middles.map((mm) => at(found, mm))).toEqual(
        middles.map((mm) => at(profile, (mm + startMm) % 400)),
      );
    }),
  );
});
