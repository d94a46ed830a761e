import { catalogue, finishById } from '../finish/catalogue';
import { workOn } from '../finish/wishes.fixture';
import { impliedVariant } from '../finish/fold-request';
import { isClosed, turnRadians } from '../edge/shape';
import { assumedLengths, foldPlanOf } from './fold-plan';
import { gaugeMarks } from './gauge-marks';
import { kitGaps, type Kit } from './kit-gaps';
import { chosenWays, machineChanges, schoolsFor, startingValuesOf, stepsOf } from './work';

const finish = (id: string) => finishById(id)!;
const cloth = { thicknessMm: 0.5 };

describe('the variant that is meant when none is named', () => {
  test.each([
    ['blind-hem', { depthMm: 40, extensionMm: 8 }, 'flat'],
    ['blind-hem', { depthMm: 40, extensionMm: 8, turnMm: 12 }, 'enclosed'],
    ['double-hem', { depthMm: 20 }, 'equal'],
    ['double-hem', { depthMm: 20, turnMm: 8 }, 'narrow'],
    ['rolled-hem', { channelMm: 3 }, 'straight'],
    ['rolled-hem', { turnMm: 6 }, 'imitation'],
    ['rolled-hem', {}, 'straight'],
    ['overcast', {}, 'zigzag'],
    ['bound', { depthMm: 8 }, 'double-fold'],
  ])('%s with %j is %s', (id, wish, variant) => {
    expect(impliedVariant(finish(id), wish)).toBe(variant);
  });
});

test('lengths that may be left out are told with what was taken for them', () => {
  const wish = { variant: 'hemmer', depthMm: 20 };
  expect(assumedLengths(finish('wide-hem'), wish)).toEqual({ turnMm: 6 });
  expect(assumedLengths(finish('wide-hem'), { ...wish, turnMm: 5 })).toEqual({});
});

describe('schools', () => {
  test('a plan’s own way wins, then the person’s default, then the first', () => {
    const overcast = finish('overcast');
    const ways = (...choices: Record<string, string>[]) =>
      chosenWays(overcast, 'woven', ...choices)['overcast-when'];
    expect(ways()).toBe('before');
    expect(ways({}, { 'overcast-when': 'after' })).toBe('after');
    expect(ways({ 'overcast-when': 'before' }, { 'overcast-when': 'after' })).toBe('before');
    expect(ways({ 'overcast-when': 'never heard of' })).toBe('before');
  });

  test('are asked only where they matter', () => {
    const ids = (variant: string) => schoolsFor(finish('rolled-hem'), variant).map(({ id }) => id);
    expect(ids('straight')).toContain('roll-start');
    expect(ids('imitation')).not.toContain('roll-start');
  });
});

describe('what a kit lacks', () => {
  const kit: Kit = {
    machines: [{ kind: 'lockstitch' }],
    feet: [{ kind: 'zigzag' }, { kind: 'hemmer', channelMm: 3 }],
  };
  test.each([
    ['serged', { variant: 'three-wide' }, [{ about: 'machine', anyOf: ['overlocker'] }]],
    ['rolled-hem', { variant: 'straight', channelMm: 3 }, []],
    ['rolled-hem', { variant: 'straight', channelMm: 6 }, [{ about: 'channel', channelMm: 6 }]],
    ['wide-hem', { variant: 'hemmer', depthMm: 20 }, [{ about: 'foot', anyOf: ['wide-hemmer'] }]],
    ['fringe', { variant: 'cut' }, [{ about: 'foot', anyOf: ['tall-bar'] }]],
    ['pinked', { variant: 'plain' }, []],
  ])('%s, %j', (id, wish, gaps) => {
    expect(kitGaps(finish(id), wish, kit)).toEqual(gaps);
  });

  test('an empty kit can only pink, or leave the edge as it is cut', () => {
    const nothing: Kit = { machines: [], feet: [] };
    const able = catalogue.filter((it) =>
      it.variants.some(({ id }) => kitGaps(it, { variant: id }, nothing).length === 0),
    );
    expect(able.map(({ id }) => id)).toEqual(['pinked', 'left-cut']);
  });
});

test('machine changes are counted from one machine and foot to the next', () => {
  const changes = (id: string, variant: string) =>
    machineChanges(stepsOf(finish(id), workOn(finish(id), variant)));
  expect(changes('single-hem', 'overcast')).toBe(1);
  expect(changes('double-hem', 'narrow')).toBe(0);
  expect(changes('pinked', 'plain')).toBe(0);
});

describe('the shape of an edge', () => {
  test.each([
    ['straight', null, false, 0],
    ['tube', null, true, 0],
    ['inside-curve', null, true, 2 * Math.PI],
    ['inside-curve', 180, false, Math.PI],
    ['outside-curve', 90, false, -Math.PI / 2],
    ['outside-curve', null, false, 0],
    ['circle', null, true, -2 * Math.PI],
    ['cornered', null, true, 0],
  ] as const)('%s through %s', (shape, turnDegrees, closed, radians) => {
    expect(isClosed({ shape, turnDegrees })).toBe(closed);
    expect(turnRadians({ shape, turnDegrees })).toBeCloseTo(radians, 12);
  });
});

describe('what goes on a fold gauge', () => {
  const marks = (id: string, wish: Parameters<typeof foldPlanOf>[1]['wish']) =>
    gaugeMarks(foldPlanOf(finish(id), { wish, cloth })).map((it) => [it.id, it.atMm]);
  test.each([
    [
      'double-hem',
      { variant: 'narrow', depthMm: 20, turnMm: 8 },
      [
        ['turn', 8],
        ['hemline', 28],
      ],
    ],
    ['rolled-hem', { variant: 'straight', channelMm: 4 }, [['feed', 8.6]]],
    [
      'kept-hem',
      { variant: 'seams', shortenMm: 40 },
      [
        ['tuck-fold', 20],
        ['leave', 15],
      ],
    ],
    ['overcast', { variant: 'zigzag' }, []],
  ])('%s', (id, wish, expected) => {
    expect(marks(id, wish)).toEqual(expected);
  });

  test('of a binding: what is cut off, the strip, the tuck', () => {
    const wish = { variant: 'double-fold', depthMm: 8, seamAllowanceMm: 15 };
    expect(marks('bound', wish).map(([id]) => id)).toEqual(['cut-off', 'strip', 'tuck']);
  });
});

describe('what goes into the machine besides the dials', () => {
  const valuesOf = (id: string, variant: string, thickestTimes: number) => {
    const request = workOn(finish(id), variant);
    const values = startingValuesOf(finish(id), {
      ...request,
      edge: { ...request.edge, thickestTimes },
    });
    return Object.fromEntries(values.map((value) => [value.id, value.value]));
  };

  test('thread, bobbin, tension and pressure for every lockstitch finish, strong over thick seams', () => {
    const plain = valuesOf('double-hem', 'equal', 1);
    expect(plain).toMatchObject({ thread: 'all-purpose', tension: 'normal' });
    expect(Object.keys(plain)).toEqual(expect.arrayContaining(['needle', 'bobbin', 'pressure']));
    expect(valuesOf('double-hem', 'equal', 4)).toMatchObject({ thread: 'strong' });
  });

  test('a finish that asks for its own thread keeps it', () => {
    expect(valuesOf('jeans-hem', 'narrow', 1)['thread']).toContain('topstitching');
  });

  test('an overlocker is threaded, guided and lifted instead', () => {
    const values = valuesOf('serged', 'three-narrow', 1);
    expect(values).toMatchObject({ threads: '3-right', 'seam-guide': 10 });
    expect(Object.keys(values)).toEqual(
      expect.arrayContaining(['cutting-width', 'differential', 'loopers', 'length', 'lift']),
    );
    expect(values).not.toHaveProperty('bobbin');
    expect(valuesOf('bound', 'knit-strip', 1)['threads']).toBe('3-narrow');
  });
});
