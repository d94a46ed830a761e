import type { Comparison } from '../../core/diagnose/told-apart';
import type { Likeness } from '../../core/book/nearest';
import { sewingPlan } from '../../contract/plan';
import { lengthsFor } from '../../core/measure/lengths';
import { listed, movedInWords, toldApart, type ComparisonWords } from './comparison';
import { countsInWords } from './counts';
import { enoughInWords } from './enough';
import { likenessInWords } from './likeness';
import { setValuesInWords } from './set-values';
import { symptomName } from './symptoms';
import { examplePlan } from '../../core/plan/example.fixture';
import { alongGuidance } from './facts';

const words: ComparisonWords = {
  guidance: 'blade',
  lengths: lengthsFor({ unit: 'mm', inchRounding: '1/16' }),
  values: { differential: 'Differential feed', needle: 'Needle' },
  check: 'bite',
};
const nothing: Comparison = {
  ...{ moved: [], came: [], went: [], together: [], netMm: 0, aloneMm: {} },
};
const both: Comparison = {
  ...nothing,
  moved: [
    { dial: 'width', from: 2, to: 2.5 },
    { dial: 'needlePosition', from: 0.5, to: 0 },
  ],
  together: ['width', 'needlePosition'],
  ...{ netMm: 1, aloneMm: { width: 0.5, needlePosition: 0.5 } },
};

describe('what was moved', () => {
  test('dials in the person’s unit, values as they are', () => {
    expect(movedInWords(nothing, words)).toBe('same setting');
    const moved = [...both.moved, { dial: 'differential', from: 1, to: 1.3 }];
    expect(movedInWords({ ...nothing, moved }, words)).toBe(
      'width 2 → 2.5, needle 0.5 → 0, differential feed 1 → 1.3',
    );
    const inches = { ...words, lengths: lengthsFor({ unit: 'in', inchRounding: '1/16' }) };
    expect(movedInWords(both, inches)).toContain('width 0.079 → 0.098');
  });

  test.each([
    [[], ''],
    [['a'], 'a'],
    [['a', 'b'], 'a and b'],
    [['a', 'b', 'c'], 'a, b and c'],
  ])('%j', (names, text) => expect(listed(names)).toBe(text));
});

describe('what can’t be told apart', () => {
  test('one dial: nothing to say', () => {
    expect(toldApart({ ...both, together: [] }, true, words)).toBeNull();
  });

  test('two dials of the margin are one move of the bite', () => {
    expect(toldApart(both, true, words)).toBe(
      'Width and needle moved at once. The counts see them as one move of the bite, by 1 mm; which of them did it can’t be told apart.',
    );
  });

  test('a dial and the thread: the counts see only the one', () => {
    const mixed: Comparison = {
      ...both,
      ...{ together: ['width', 'needle'], netMm: 0.5, aloneMm: { width: 0.5 } },
    };
    expect(toldApart({ ...mixed, went: ['ridge'] }, true, words)).toBe(
      'Width and needle moved at once. Only one of them moves the bite, by 0.5 mm; what the other did, the counts don’t see. That “a ridge or a row of pits” went can be through any of them.',
    );
  });

  test('nothing counted: whatever changed can be through either', () => {
    const looked = { ...both, ...{ netMm: null, aloneMm: {} } };
    expect(toldApart(looked, false, words)).toContain('can be through any of them');
  });
});

describe('enough', () => {
  test.each([
    [{ fromFaults: 0, toFaults: 2, accepted: 3, enough: true }, /^Surely enough/],
    [{ fromFaults: 0, toFaults: 7, accepted: 3, enough: true }, /^Likely enough.*become 7/],
    [{ fromFaults: 1, toFaults: 9, accepted: 3, enough: false }, /^Not enough yet/],
    [{ fromFaults: 4, toFaults: 9, accepted: 3, enough: false }, /^Surely not enough/],
  ])('%j', (expected, text) => expect(enoughInWords(expected)).toMatch(text));
});

describe('likeness', () => {
  const same: Likeness = {
    ...{ cloth: 'same', machine: 'same', foot: 'same', variant: 'same' },
    ...{ thicknessTimes: 1, stretchPoints: 0, distance: 0 },
  };
  test.each<[Partial<Likeness>, string]>([
    [{}, 'the same cloth, the same machine, the same foot'],
    [
      { cloth: 'other', thicknessTimes: 2.04, stretchPoints: 30, machine: 'kind' },
      'another cloth, this one 2.0 times as thick, it stretches more, another machine, the same foot',
    ],
    [
      { cloth: 'alike', thicknessTimes: 0.8, foot: 'guidance', variant: 'other' },
      'a cloth much like it, this one 1.3 times as thin, folded otherwise, the same machine, a foot that guides alike',
    ],
  ])('%j', (patch, text) => expect(likenessInWords({ ...same, ...patch })).toBe(text));
});

describe('counts', () => {
  test.each([
    ['blind-hem', [{ check: 'bite', n: 24, short: 7, over: 0 }], '24 bites: 7 missed the fold'],
    ['blind-hem', [{ check: 'bite', n: 20, short: 0, over: 0 }], '20 bites: all good'],
    [
      'blind-hem',
      [
        { check: 'run', n: 24, short: 1, over: 2 },
        { check: 'bite', n: 24, short: 0, over: 0 },
      ],
      '24 bites: 3 at the run',
    ],
    ['serged', [], 'looked at, not counted'],
    ['serged', [{ check: 'bite', n: 3, short: 0, over: 0 }], 'Counted for another finish.'],
  ])('%s %j', (finish, counts, text) => expect(countsInWords({ finish, counts })).toBe(text));
});

describe('what else was set', () => {
  const entry = {
    finish: 'serged',
    setUp: sewingPlan.parse({
      ...examplePlan,
      fold: { variant: 'four-thread', seamAllowanceMm: 10 },
    }),
  };
  test('names of the finish, lengths in the person’s unit, numbers rounded, words as they are', () => {
    const dialValues = { differential: 1.23456, 'cutting-width': 6, loopers: 'meeting', gone: 'x' };
    const said = setValuesInWords({ ...entry, dialValues }, words.lengths);
    expect(said).toEqual([
      ['Differential feed', '1.23'],
      ['Cutting width', '6 mm'],
      ['Loopers', 'meeting on the edge'],
      ['gone', 'x'],
    ]);
  });

  test('a set-up that is refused today keeps its values by their ids', () => {
    const broken = { ...entry, setUp: { ...entry.setUp, fold: { variant: 'nowhere' } } };
    const said = setValuesInWords({ ...broken, dialValues: { differential: 1 } }, words.lengths);
    expect(said).toEqual([['differential', '1']]);
  });
});

test('names in a sentence', () => {
  expect(symptomName('shine')).toBe('the iron left a shine');
  expect(alongGuidance('eye')).toBe('by eye');
  expect(alongGuidance('blade')).toBe('along the blade on the foot');
});
