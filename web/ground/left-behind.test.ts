import { LeftBehind } from './left-behind';

function left() {
  const behind = new LeftBehind();
  behind.begin([
    { key: 'plans/a', patch: { width: 2, length: 3 }, bases: { width: [1], length: [2] } },
    { key: 'plans/b', patch: { width: 9 } },
    { key: 'plans/a', patch: { width: 4 }, bases: { width: [2] } },
  ]);
  return behind;
}

test('what was left of a record is all of it, the later over the earlier', () => {
  expect(left().of('plans/a')).toEqual({ width: 4, length: 3 });
  expect(left().of('plans/c')).toEqual({});
});

test('a field that is changed again is left no more, and stands on all it stood on before', () => {
  const behind = left();
  expect(behind.changedAgain('plans/a', { width: 5, depth: 1 })).toEqual({ width: [1, 2] });
  expect(behind.of('plans/a')).toEqual({ length: 3 });
  expect(behind.of('plans/b')).toEqual({ width: 9 });
  expect(behind.all[0]).toEqual({
    ...{ key: 'plans/a', patch: { length: 3 } },
    bases: { width: [1], length: [2] },
  });
});

test('what is taken over goes from the front', () => {
  const behind = left();
  behind.dropFirst();
  expect(behind.first?.key).toBe('plans/b');
  expect(behind.of('plans/a')).toEqual({ width: 4 });
});
