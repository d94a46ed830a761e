import { directionOf, rankAdvice, type CountedMove } from './advice';
import type { SuggestedMove } from './diagnose';

const settings = { widthMm: 2, lengthMm: 2, needlePositionMm: 0, guideMm: -1 };
const predicted = { ok: 0.9, short: 0.1, over: 0, expectedFaults: 10 };
const wider: CountedMove = {
  ...{ settings: { ...settings, widthMm: 2.5 }, predicted },
  change: { dial: 'width', fromMm: 2, toMm: 2.5 },
};
const needle: CountedMove = {
  ...{ settings: { ...settings, needlePositionMm: -0.5 }, predicted },
  change: { dial: 'needlePosition', fromMm: 0, toMm: -0.5 },
};
const stay: CountedMove = { settings, predicted, change: null };
const seen = (
  dial: SuggestedMove['dial'],
  direction: SuggestedMove['direction'],
): SuggestedMove => ({
  ...{ dial, direction, stepMm: null, share: 0.5 },
  reasons: [{ symptom: 'ridge', reason: 'Because.', expect: 'Less of it.' }],
});
const names = (moves: readonly { dial: string; direction: string }[]) =>
  moves.map(({ dial, direction }) => `${dial} ${direction}`);

test('with nothing counted, the cause table’s order stands', () => {
  const { moves, overruled } = rankAdvice(
    null,
    [seen('fold', 'less'), seen('iron', 'less')],
    false,
  );
  expect(names(moves)).toEqual(['fold less', 'iron less']);
  expect(overruled).toEqual([]);
});

test('where both agree it is one move with both reasons', () => {
  const [first, ...rest] = rankAdvice([wider, needle], [seen('width', 'more')], false).moves;
  expect(first).toMatchObject({ dial: 'width', direction: 'more', counted: wider });
  expect(first?.seen?.reasons).toHaveLength(1);
  expect(names(rest)).toEqual(['needlePosition left']);
});

test('counts overrule what was seen on the dials of the margin, and only there', () => {
  const { moves, overruled } = rankAdvice(
    [wider, needle],
    [seen('width', 'less'), seen('upperTension', 'less')],
    false,
  );
  expect(names(moves)).toEqual(['width more', 'upperTension less', 'needlePosition left']);
  expect(names(overruled)).toEqual(['width less']);
});

test('counts that are enough leave the first word to the eye', () => {
  const { moves } = rankAdvice([wider], [seen('iron', 'less')], true);
  expect(names(moves)).toEqual(['iron less', 'width more']);
});

test('no dial gains anything: only the eye has something to say', () => {
  const { moves, overruled } = rankAdvice(
    [stay],
    [seen('guide', 'left'), seen('hand', 'more')],
    false,
  );
  expect(names(moves)).toEqual(['hand more']);
  expect(names(overruled)).toEqual(['guide left']);
});

test.each([
  [{ dial: 'width', fromMm: 2, toMm: 2.5 }, 'more'],
  [{ dial: 'width', fromMm: 2, toMm: 1.5 }, 'less'],
  [{ dial: 'guide', fromMm: -1, toMm: -1.25 }, 'left'],
  [{ dial: 'needlePosition', fromMm: -1, toMm: 0 }, 'right'],
] as const)('%o goes %s', (change, direction) => {
  expect(directionOf(change)).toBe(direction);
});
