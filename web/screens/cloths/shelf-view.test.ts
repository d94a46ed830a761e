import fc from 'fast-check';
import type { ClothRecord } from '../../../contract/records';
import { constructions } from '../../../core/cloth/cloth';
import { fibres } from '../../../core/cloth/about-cloth';
import { filtered, inOrder, isTested, wholeShelf } from './shelf-view';

const cloth = (patch: Partial<ClothRecord> & { gsm?: number; mm?: number }): ClothRecord => {
  const { gsm = 200, mm = 0.4, ...rest } = patch;
  return {
    ...{ id: 'c', version: 1, createdAt: '2026-01-01', updatedAt: '', name: 'Cloth', note: '' },
    ...{ weightClass: 'medium', like: null, fibre: null, colour: null, face: null, nap: null },
    ...{ shine: 'untested', pressNote: '', widthMm: null, lengthLeftMm: null, photoId: null },
    ...{ tests: { construction: 'woven' }, readyMade: null },
    properties: {
      construction: rest.tests?.construction ?? 'woven',
      ...{ weightGsm: gsm, thicknessMm: mm, stretchPercent: 2, fray: 1, curl: 0, slip: 0 },
      estimated: ['weightGsm', 'thicknessMm'],
    },
    ...rest,
  };
};
const names = (cloths: readonly ClothRecord[]) => cloths.map(({ name }) => name);
const nobody = new Set<string>();

describe('searching', () => {
  const shelf = [
    cloth({ id: '1', name: 'Wool flannel, slate', fibre: 'wool', note: 'From the old coat' }),
    cloth({ id: '2', name: 'Linen, unbleached', fibre: 'linen' }),
    cloth({ id: '3', name: 'Ponte', tests: { construction: 'knit' } }),
  ];
  test.each([
    ['wool', ['Wool flannel, slate']],
    ['COAT', ['Wool flannel, slate']],
    ['knit', ['Ponte']],
    ['  linen   woven ', ['Linen, unbleached']],
    ['wool linen', []],
    ['', names(shelf)],
  ])('“%s”', (text, found) => {
    expect(names(filtered(shelf, { ...wholeShelf, text }, nobody))).toEqual(found);
  });
  test('by state', () => {
    const used = new Set(['2']);
    const by = (state: (typeof wholeShelf)['state']) =>
      names(filtered(shelf, { ...wholeShelf, state }, used));
    expect(by('used')).toEqual(['Linen, unbleached']);
    expect(by('unused')).toEqual(['Wool flannel, slate', 'Ponte']);
    expect(by('tested')).toEqual([]);
    expect(by('guessed')).toHaveLength(3);
  });
});

test('a cloth is tested once its weight or its thickness is', () => {
  const { properties } = cloth({});
  expect(isTested(cloth({}))).toBe(false);
  expect(isTested(cloth({ properties: { ...properties, estimated: ['thicknessMm'] } }))).toBe(true);
  expect(isTested(cloth({ properties: { ...properties, estimated: [] } }))).toBe(true);
});

const anyCloth = fc
  .record({
    id: fc.uuid(),
    name: fc.string({ minLength: 1, maxLength: 20 }),
    fibre: fc.option(fc.constantFrom(...fibres)),
    gsm: fc.double({ min: 20, max: 600, noNaN: true }),
    mm: fc.double({ min: 0.05, max: 5, noNaN: true }),
    construction: fc.constantFrom(...constructions),
    lengthLeftMm: fc.option(fc.nat(5000)),
  })
  .map(({ construction, ...rest }) => cloth({ ...rest, tests: { construction } }));

describe('any shelf', () => {
  const shelf = fc.array(anyCloth, { maxLength: 40 });
  test('in any order it holds the same cloths, each step the right way', () => {
    fc.assert(
      fc.property(shelf, (cloths) => {
        const heavy = inOrder(cloths, 'heavy').map(({ properties }) => properties.weightGsm);
        expect(heavy).toEqual([...heavy].sort((a, b) => b - a));
        const light = inOrder(cloths, 'light').map(({ properties }) => properties.weightGsm);
        expect(light).toEqual([...heavy].reverse());
        const left = inOrder(cloths, 'left').map(({ lengthLeftMm }) => lengthLeftMm ?? -1);
        expect(left).toEqual([...left].sort((a, b) => b - a));
        const ids = (some: readonly ClothRecord[]) => some.map(({ id }) => id).sort();
        for (const sort of ['name', 'thick', 'new'] as const) {
          expect(ids(inOrder(cloths, sort))).toEqual(ids(cloths));
        }
      }),
    );
  });
  test('every filter only takes away, and keeps the order', () => {
    fc.assert(
      fc.property(
        shelf,
        fc.string({ maxLength: 4 }),
        fc.constantFrom(...fibres, 'any' as const),
        (cloths, text, fibre) => {
          const kept = filtered(cloths, { ...wholeShelf, text, fibre }, nobody);
          const places = kept.map((one) => cloths.indexOf(one));
          expect(places).toEqual([...places].sort((a, b) => a - b));
          for (const one of kept) if (fibre !== 'any') expect(one.fibre).toBe(fibre);
        },
      ),
    );
  });
  test('by name as a person would: 2 before 10, case aside', () => {
    const cloths = ['cloth 10', 'Cloth 2', 'étamine', 'Zephyr'].map((name) => cloth({ name }));
    expect(names(inOrder(cloths, 'name'))).toEqual(['Cloth 2', 'cloth 10', 'étamine', 'Zephyr']);
  });
});
