import fc from 'fast-check';
import {
  changeInWords,
  changeMinutesInWords,
  garmentInWords,
  garmentNames,
  laneName,
  minutesInWords,
  placeName,
} from './order';

const machines = [
  { id: 'm1', name: 'Fine-step machine, 9 mm wide' },
  { id: 'm2', name: 'Overlocker, four threads' },
  { id: 'm3', name: 'Overlocker, three threads' },
];

describe('a time', () => {
  test.each([
    [0, '0 min'],
    [0.2, 'under 1 min'],
    [12.4, '12 min'],
    [59.6, '1 h'],
    [60, '1 h'],
    [220, '3 h 40 min'],
  ])('%d minutes are said as one says them', (minutes, words) => {
    expect(minutesInWords(minutes)).toBe(words);
  });

  test('read back it is the same to the minute, and never 60 of anything', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 5000, noNaN: true }), (minutes) => {
        const words = minutesInWords(minutes);
        const hours = Number(/(\d+) h/.exec(words)?.[1] ?? 0);
        const rest = Number(/(\d+) min/.exec(words)?.[1] ?? 0);
        expect(rest).toBeLessThan(60);
        expect(Math.abs(60 * hours + rest - minutes)).toBeLessThanOrEqual(0.5);
      }),
    );
  });

  test('changes come in tenths', () => {
    expect(changeMinutesInWords(1.25)).toBe('1.3 min');
    expect(changeMinutesInWords(2)).toBe('2 min');
  });
});

describe('a place', () => {
  test('is named by its machine, or as where one sits, or as what is missing', () => {
    expect(placeName('m1', machines)).toBe('Fine-step machine, 9 mm wide');
    expect(placeName('hand', machines)).toBe('by hand');
    expect(placeName('missing coverstitch', machines)).toMatch(/, not here$/);
    // A machine that is no longer in the drawer is better than nothing.
    expect(placeName('gone', machines)).toBe('gone');
  });

  test('in a lane is as short as it may be without being another’s', () => {
    expect(laneName('m1', machines)).toBe('Fine-step machine');
    expect(laneName('m2', machines)).toBe('Overlocker, four threads');
    expect(laneName('table', machines)).toBe('table');
  });
});

test('what is changed is said in a word or two', () => {
  const here = (place: string) => placeName(place, machines);
  expect(changeInWords({ what: 'place', to: 'm2' } as never, here)).toBe(
    'to: Overlocker, four threads',
  );
  expect(changeInWords({ what: 'pressure', to: 'less' } as never, here)).toBe(
    'pressure a little less',
  );
  expect(changeInWords({ what: 'pressure', to: 'normal' } as never, here)).toBe('pressure normal');
  expect(changeInWords({ what: 'thread', to: '#334455' } as never, here)).toBe(
    'thread of the colour picked',
  );
  expect(changeInWords({ what: 'thread', to: 'moss' } as never, here)).toBe('thread moss');
  expect(changeInWords({ what: 'foot', to: 'Blind foot' } as never, here)).toBe('foot: Blind foot');
});

test('a garment is its kind and its pieces, each as often as it is cut', () => {
  const pieces = [
    { name: 'front', count: 1 },
    { name: 'sleeve', count: 2 },
  ] as never;
  expect(garmentInWords({ kind: 'jacket', pieces })).toBe(
    'unlined jacket · pieces: front, 2 × sleeve',
  );
  expect(garmentInWords({ kind: null, pieces: [] })).toBe('');
  // No kind goes by a name that the code has for it alone.
  expect(
    Object.values(garmentNames).every((name) => !name.includes('-') || name === 'T-shirt'),
  ).toBe(true);
});
