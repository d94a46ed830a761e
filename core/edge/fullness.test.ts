import fc from 'fast-check';
import { fullnessesOf } from './fullness';
import { swingEveryMm } from './swing';

const woven = { construction: 'woven' } as const;
const edge = (
  shape: 'outside-curve' | 'inside-curve' | 'circle' | 'straight',
  minRadiusMm: number | null,
) => ({
  ...{ shape, minRadiusMm, lengthMm: 1000, turnDegrees: null },
});

const worst = (...asked: Parameters<typeof fullnessesOf>) => fullnessesOf(...asked)[0]!;

describe('one rule for what a curve does to a turned edge', () => {
  test('straight edges fit', () => {
    expect(worst(edge('straight', null), 40, woven)).toEqual({ kind: 'fits' });
  });

  test('a flare is too long: pressed away, eased, or too much', () => {
    const way = (radius: number, depth: number) => {
      const it = worst(edge('outside-curve', radius), depth, woven);
      return it.kind === 'full' ? it.way : it.kind;
    };
    expect(way(2400, 20)).toBe('pressed');
    expect(way(800, 20)).toBe('eased');
    expect(way(180, 40)).toBe('too full');
    expect(way(30, 40)).toBe('too full');
  });

  test('a straight edge with a tightest curve is taken to curve outward there', () => {
    expect(worst(edge('straight', 800), 20, woven)).toEqual(
      worst(edge('outside-curve', 800), 20, woven),
    );
  });

  test('a neck is too short, never too long', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 400 }),
        fc.integer({ min: 3, max: 40 }),
        (radius, depth) => {
          const it = worst(edge('inside-curve', radius), depth, woven);
          expect(it.kind).not.toBe('full');
          if (it.kind === 'short') expect(it.share).toBeGreaterThan(0.02);
        },
      ),
    );
    // (R − D)/(R + D) = 60/80: a quarter is missing.
    expect(worst(edge('inside-curve', 70), 10, woven)).toMatchObject({
      kind: 'short',
      share: expect.closeTo(0.25, 9),
    });
  });

  test('a full circle has its radius whether or not somebody typed it', () => {
    const it = worst(edge('circle', null), 10, woven);
    expect(it).toMatchObject({ kind: 'full', radiusMm: expect.closeTo(1000 / (2 * Math.PI), 9) });
  });
});

test('letting the cloth swing: the worked example, and what the curve then leaves', () => {
  expect(swingEveryMm(70, 0.7)).toBeCloseTo(19.8, 1);
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 3000, noNaN: true }),
      fc.double({ min: 0.05, max: 3, noNaN: true }),
      (radiusMm, sideMm) => {
        const every = swingEveryMm(radiusMm, sideMm);
        expect(every ** 2 / (8 * radiusMm)).toBeCloseTo(sideMm, 9);
      },
    ),
  );
});
