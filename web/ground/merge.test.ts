import fc from 'fast-check';
import { basesOf, merged } from './merge';

test('what nobody else touched is written on top, what is there already is not', () => {
  const stored = { name: 'Hem', depth: 40, note: 'theirs' };
  expect(merged({ name: 'Cuff', depth: 40 }, { name: ['Hem'], depth: [30] }, stored)).toEqual({
    mine: { name: 'Cuff' },
    disputed: [],
    together: {},
  });
});

test('what somebody else changed meanwhile is told with both, and never written over', () => {
  expect(merged({ depth: 25 }, { depth: [30] }, { depth: 40 })).toEqual({
    mine: {},
    disputed: [{ field: 'depth', mine: 25, theirs: 40 }],
    together: {},
  });
});

test('the order of fields, and what is null or left out, makes no other value', () => {
  const stored = { fold: { depthMm: 4, variant: 'flat', turnMm: null } };
  const bases = { fold: [{ variant: 'flat', depthMm: 4 }] };
  expect(merged({ fold: { variant: 'flat', depthMm: 5 } }, bases, stored).disputed).toEqual([]);
});

test('a write of one’s own that landed unheard is no dispute', () => {
  const bases = basesOf({ depth: 25 }, { depth: 26 }, { depth: [30] });
  expect(bases).toEqual({ depth: [30, 25] });
  for (const depth of [30, 25]) {
    expect(merged({ depth: 26 }, bases, { depth })).toEqual({
      ...{ mine: { depth: 26 }, disputed: [], together: {} },
    });
  }
});

test('every field of a change is written, there already, or disputed; and theirs is never lost', () => {
  const record = fc.dictionary(fc.constantFrom('a', 'b', 'c'), fc.integer({ min: 0, max: 3 }));
  fc.assert(
    fc.property(record, record, record, (before, patch, stored) => {
      const { mine, disputed } = merged(patch, basesOf(before, patch, {}), stored);
      for (const [field, value] of Object.entries(patch)) {
        const told = disputed.some((one) => one.field === field);
        const changedElsewhere = (stored[field] ?? null) !== (before[field] ?? null);
        if (field in mine) expect(changedElsewhere).toBe(false);
        if (told) expect(changedElsewhere).toBe(true);
        if (!told && !(field in mine)) expect(stored[field]).toBe(value);
      }
    }),
  );
});

describe('what holds many things is put together', () => {
  test('ticks of two devices, one of which both set and one that was taken back', () => {
    const bases = { ticks: [['cut', 'fold']] };
    const mine = { ticks: ['cut', 'fold', 'sew'] };
    expect(merged(mine, bases, { ticks: ['fold', 'press'] })).toEqual({
      ...{ mine: { ticks: ['fold', 'press', 'sew'] }, disputed: [] },
      together: { ticks: ['fold', 'press', 'sew'] },
    });
    // What stands there already is not written a second time: that would be one undo too many.
    const theirs = { ticks: ['fold', 'press', 'sew'] };
    expect(merged(mine, bases, theirs)).toEqual({
      ...{ mine: {}, disputed: [] },
      together: { ticks: ['fold', 'press', 'sew'] },
    });
  });

  test('of a garment its ready list here and its evenings there', () => {
    const base = { ready: ['iron'], evenings: null, sequence: ['a', 'b'] };
    const mine = { ...base, ready: ['iron', 'pins'] };
    const theirs = { ...base, evenings: { minutes: 60 } };
    const whole = { ...base, ready: ['iron', 'pins'], evenings: { minutes: 60 } };
    expect(merged({ garment: mine }, { garment: [base] }, { garment: theirs })).toEqual({
      ...{ mine: { garment: whole }, disputed: [], together: { garment: whole } },
    });
    // An order is no set: two orders are asked about.
    const other = { garment: { ...base, sequence: ['b', 'a'] } };
    const own = { garment: { ...base, sequence: [] } };
    expect(merged(own, { garment: [base] }, other).disputed).toHaveLength(1);
  });

  test('whatever two devices tick and take back, neither loses anything', () => {
    const some = fc.uniqueArray(fc.constantFrom<string>('a', 'b', 'c', 'd', 'e'));
    fc.assert(
      fc.property(some, some, some, (base, mine, theirs) => {
        const answer = merged({ ticks: mine }, { ticks: [base] }, { ticks: theirs });
        expect(answer.disputed).toEqual([]);
        const after = (answer.mine['ticks'] ?? theirs) as string[];
        expect(new Set(after).size).toBe(after.length);
        for (const id of ['a', 'b', 'c', 'd', 'e']) {
          const was = base.includes(id);
          const changed = [mine, theirs].filter((list) => list.includes(id) !== was).length;
          expect(after.includes(id)).toBe(changed > 0 ? !was : was);
        }
      }),
    );
  });
});
