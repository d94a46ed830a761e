import fc from 'fast-check';
import { alongEdge, crossingKinds, type Crossing } from './crossing';
import { alongTheEdge } from './crossings';
import { profileOf } from './profile';

const felled: Crossing = { kind: 'felled', atMm: 100, widthMm: 12 };
const leg = { lengthMm: 420, closed: true, crossings: [felled] };
const sole = { toeMm: 12, heelMm: 14 };

/** In woven cloth of a thickness, under a foot that lifts so high and two millimetres more. */
const along = (
  edge: Parameters<typeof alongTheEdge>[0],
  layers: number,
  thicknessMm: number,
  liftMm: number,
) =>
  alongTheEdge(edge, layers, { thicknessMm, construction: 'woven' }, sole, {
    liftMm,
    highLiftMm: liftMm + 2,
  });

const edges = fc
  .record({
    lengthMm: fc.integer({ min: 60, max: 3000 }),
    closed: fc.boolean(),
    crossings: fc.array(
      fc.record({
        kind: fc.constantFrom(...crossingKinds),
        share: fc.double({ min: 0, max: 1, noNaN: true }),
        widthMm: fc.integer({ min: 2, max: 40 }),
      }),
      { maxLength: 4 },
    ),
  })
  .map(({ lengthMm, closed, crossings }) => ({
    lengthMm,
    closed,
    crossings: crossings.map(({ kind, share, widthMm }) => ({
      kind,
      atMm: share * lengthMm,
      widthMm,
    })),
  }));

describe('the profile of an edge', () => {
  test('a felled seam makes twelve layers of three', () => {
    expect(profileOf(leg, 3, 0.8)).toEqual([
      { fromMm: 0, toMm: 94, layers: 3, stackMm: expect.closeTo(3 * 0.8 * 0.7, 9) },
      { fromMm: 94, toMm: 106, layers: 12, stackMm: expect.closeTo(12 * 0.8 * 0.7, 9) },
      { fromMm: 106, toMm: 420, layers: 3, stackMm: expect.closeTo(3 * 0.8 * 0.7, 9) },
    ]);
  });

  test('a seam at the join of a closed edge lies at both its ends', () => {
    const atJoin = { ...leg, crossings: [{ ...felled, atMm: 0 }] };
    expect(
      profileOf(atJoin, 2, 1).map(({ fromMm, toMm, layers }) => [fromMm, toMm, layers]),
    ).toEqual([
      [0, 6, 8],
      [6, 414, 2],
      [414, 420, 8],
    ]);
    expect(profileOf({ ...atJoin, closed: false }, 2, 1)).toHaveLength(2);
  });

  test('covers the edge once, without gaps, and is never thinner than the hem', () => {
    fc.assert(
      fc.property(edges, (edge) => {
        const profile = profileOf(edge, 2, 0.5);
        expect(profile[0]?.fromMm).toBe(0);
        expect(profile.at(-1)?.toMm).toBe(edge.lengthMm);
        profile.slice(1).forEach(({ fromMm, layers }, i) => {
          expect(fromMm).toBe(profile[i]?.toMm);
          expect(layers).not.toBe(profile[i]?.layers);
        });
        for (const { layers } of profile) expect(layers).toBeGreaterThanOrEqual(2);
      }),
    );
  });

  test('turned along a closed edge, the profile turns with it', () => {
    fc.assert(
      fc.property(edges, fc.integer({ min: 1, max: 400 }), (edge, by) => {
        const round = { ...edge, closed: true };
        const turned = {
          ...round,
          crossings: edge.crossings.map((it) => ({ ...it, atMm: (it.atMm + by) % edge.lengthMm })),
        };
        const thick = (one: typeof round) =>
          profileOf(one, 1, 1).reduce((sum, it) => sum + (it.toMm - it.fromMm) * it.layers, 0);
        expect(thick(turned)).toBeCloseTo(thick(round), 4);
      }),
    );
  });
});

test('stretches are cut at the ends of an open edge and wrap round a closed one', () => {
  const open = { lengthMm: 100, closed: false };
  expect(alongEdge({ fromMm: -5, toMm: 10 }, open)).toEqual([{ fromMm: 0, toMm: 10 }]);
  expect(alongEdge({ fromMm: -5, toMm: 10 }, { ...open, closed: true })).toEqual([
    { fromMm: 0, toMm: 10 },
    { fromMm: 95, toMm: 100 },
  ]);
  expect(alongEdge({ fromMm: -80, toMm: 90 }, open)).toEqual([{ fromMm: 0, toMm: 100 }]);
});

describe('what the foot meets', () => {
  test('handwheel a sole before to a sole after; the shim as high as the lump', () => {
    const { zones, tiltDegrees } = along(leg, 3, 0.8, 9);
    const rise = 9 * 0.8 * 0.7;
    expect(zones).toEqual([
      { kind: 'handwheel', fromMm: 68, toMm: 132, shimMm: 0 },
      { kind: 'shim-behind', fromMm: 82, toMm: 100, shimMm: expect.closeTo(rise, 9) },
      { kind: 'shim-front', fromMm: 100, toMm: 120, shimMm: expect.closeTo(rise, 9) },
    ]);
    expect(tiltDegrees).toBeCloseTo((Math.atan(rise / 26) * 180) / Math.PI, 9);
  });

  test('it passes up to a millimetre below the presser lift', () => {
    const stack = 12 * 0.8 * 0.7;
    expect(along(leg, 3, 0.8, stack + 1.001).passes).toBe(true);
    expect(along(leg, 3, 0.8, stack + 0.999).passes).toBe(false);
  });

  test('a closed edge begins just before its thickest crossing, an open one at its end', () => {
    const two = {
      ...leg,
      crossings: [felled, { kind: 'french' as const, atMm: 2, widthMm: 10 }],
    };
    expect(along(two, 3, 0.8, 20).startAtMm).toBeCloseTo(420 + 2 - 5 - 3, 9);
    expect(along({ ...two, closed: false }, 3, 0.8, 20).startAtMm).toBe(0);
    expect(along({ ...leg, crossings: [] }, 3, 0.8, 20).startAtMm).toBe(0);
  });

  test('zones stay on the edge, and one kind never lies on itself', () => {
    fc.assert(
      fc.property(edges, (edge) => {
        const { zones, startAtMm } = along(edge, 2, 0.4, 6);
        for (const { fromMm, toMm } of zones) {
          expect(fromMm).toBeGreaterThanOrEqual(0);
          expect(toMm).toBeLessThanOrEqual(edge.lengthMm);
          expect(toMm).toBeGreaterThan(fromMm);
        }
        const wheel = zones.filter(({ kind }) => kind === 'handwheel');
        wheel.slice(1).forEach(({ fromMm }, i) => {
          expect(fromMm).toBeGreaterThan(wheel[i]?.toMm ?? 0);
        });
        expect(startAtMm).toBeGreaterThanOrEqual(0);
        expect(startAtMm).toBeLessThanOrEqual(edge.lengthMm);
      }),
    );
  });

  test('a crossing off the edge is refused by name, with where it may lie', () => {
    const off = { ...leg, crossings: [felled, { ...felled, atMm: 421 }] };
    expect(() => along(off, 3, 0.8, 6)).toThrow(
      expect.objectContaining({
        issues: [
          expect.objectContaining({
            path: 'crossings.1.atMm',
            message: 'A crossing at 421 mm is off the edge; it can be at 0 to 420 mm.',
          }),
        ],
      }),
    );
  });
});
