import fc from 'fast-check';
import { differencesFrom, type MachineSetting } from './memory';
import { plainUsual, putBackOf, usualIds } from './put-back';

const dials = { widthMm: 2, lengthMm: 2.5, needlePositionMm: 0.5, guideMm: 0 };
const setting: MachineSetting = {
  ...{ pattern: 'zigzag', foot: 'Open foot', settings: dials },
  values: { pressure: 'less', tension: 'normal' },
};

test('what differs from a saved setting is named once, with both', () => {
  expect(differencesFrom(setting, setting)).toEqual([]);
  const now = {
    ...setting,
    settings: { ...dials, widthMm: 3 },
    values: { pressure: 'normal', bobbin: 'same' },
  };
  expect(differencesFrom(setting, now)).toEqual([
    { id: 'width', saved: 2, now: 3 },
    { id: 'pressure', saved: 'less', now: 'normal' },
    { id: 'tension', saved: 'normal', now: null },
  ]);
});

test('dials that differ by binary noise do not', () => {
  const now = { ...setting, settings: { ...dials, widthMm: 0.1 + 0.2 + 1.7 } };
  expect(differencesFrom(setting, now)).toEqual([]);
});

test('what is put back is what stands otherwise than usual', () => {
  const set = (id: string, value: number | string) => [{ id, value }];
  expect(putBackOf({}, set('pressure', 'less'), dials)).toEqual([
    { id: 'pressure', was: 'normal', is: 'less' },
    { id: 'needle-position', was: 0, is: 0.5 },
  ]);
  expect(putBackOf({ pressure: 'less' }, set('pressure', 'less'), null)).toEqual([]);
  // Of what nobody said how it usually stands, only what it is set to is known.
  expect(putBackOf({}, set('cutting-width', 6), null)).toEqual([
    { id: 'cutting-width', was: null, is: 6 },
  ]);
  expect(putBackOf({}, set('thread', 'fine'), null)).toEqual([]);
});

test('a machine that stands as usual has nothing to put back, whatever that is', () => {
  const value = fc.oneof(fc.integer({ min: -5, max: 5 }), fc.constantFrom('normal', 'less'));
  const state = fc.dictionary(fc.constantFrom(...usualIds), value);
  fc.assert(
    fc.property(state, (usual) => {
      const values = Object.entries(usual).map(([id, it]) => ({ id, value: it }));
      expect(putBackOf(usual, values, null)).toEqual([]);
      const other = values.map(({ id }) => ({ id, value: 'otherwise' }));
      expect(putBackOf(usual, other, null).map(({ is }) => is)).toEqual(
        other.map(() => 'otherwise'),
      );
    }),
  );
  expect(plainUsual.pressure).toBe('normal');
});
