import fc from 'fast-check';
import { clearanceOf, needleMayGo, withinSwing } from './clearance';
import { countedHoles } from './counted-holes';
import { holeXMm, needlePath } from './needle-path';
import { lengthDialMm, pitchMm, repeatLengthMm } from './pitch';
import { repeatOf } from './repeat';
import { anchors, patterns, type Stitch } from './stitch';

const blind: Stitch = { pattern: 'blind-woven', anchor: 'right', runStitches: 4 };
const dials = { widthMm: 2.5, lengthMm: 2.4, needlePositionMm: 0.5, guideMm: -1 };

const stitches: fc.Arbitrary<Stitch> = fc.record({
  pattern: fc.constantFrom(...patterns),
  anchor: fc.constantFrom(...anchors),
  runStitches: fc.integer({ min: 1, max: 9 }),
  mirror: fc.boolean(),
});
const swings = fc.record({
  widthMm: fc.double({ min: 0, max: 9, noNaN: true }),
  lengthMm: fc.constant(2),
  needlePositionMm: fc.double({ min: -4, max: 4, noNaN: true }),
  guideMm: fc.constant(0),
});

describe('needle paths', () => {
  test('the blind stitch runs at the needle position and bites a width to the left', () => {
    const path = needlePath(blind, dials, 2);
    expect(path).toHaveLength(10);
    expect(path.slice(0, 5).map(({ xMm }) => xMm)).toEqual([0.5, 0.5, 0.5, 0.5, -2]);
    expect(path[4]?.yMm).toBeCloseTo(9.6, 9);
    expect(path[5]?.yMm).toBeCloseTo(12, 9);
  });

  test('the stretch run zigzags between +1 and +0.6', () => {
    const us = repeatOf({ ...blind, pattern: 'blind-stretch' }).penetrations.map(({ u }) => u);
    expect(us).toEqual([1, 0.6, 1, 0.6, -1]);
  });

  test.each([
    ['three-step', [1, 1 / 3, -1 / 3, -1, -1 / 3, 1 / 3], 6],
    ['overcast-woven', [-1, 1, -1], 1],
    ['overcast-stretch', [-1, -1, 1], 2],
    ['shell', [-1, -1, -1, -1, 1], 5],
    ['tacking', [1, 1, 1, 1, -1], 5],
    ['fringe', [1, -1], 2],
    ['overedge-four', [-1, 1], 1],
    ['cover-three', [-1, 0, 1], 1],
  ] as const)('a repeat of %s', (pattern, us, stitches) => {
    const repeat = repeatOf({ ...blind, pattern });
    expect(repeat.penetrations.map(({ u }) => u)).toEqual(us);
    expect(repeat.stitches).toBe(stitches);
  });

  test('a slanted rung goes out a stitch further on than it set off, a square one at once', () => {
    const rung = (pattern: Stitch['pattern']) => {
      const holes = repeatOf({ ...blind, pattern }).penetrations;
      const out = holes.findIndex(({ role }) => role === 'swing');
      return (holes[out]?.v ?? 0) - (holes[out - 1]?.v ?? 0);
    };
    expect(rung('overcast-woven')).toBe(0);
    expect(rung('overcast-stretch')).toBe(1);
  });

  test('what is counted: bites, outermost swings, else every stitch of one needle', () => {
    const countOf = (pattern: Stitch['pattern']) => countedHoles({ ...blind, pattern }).length;
    expect(
      (['blind-woven', 'shell', 'zigzag', 'three-step', 'straight', 'cover-three'] as const).map(
        countOf,
      ),
    ).toEqual([1, 1, 1, 1, 1, 1]);
    expect(countedHoles({ ...blind, pattern: 'overcast-woven', mirror: true })[0]?.u).toBe(-1);
  });

  test('a dial that means the repeat moves the stitches as much as one that means a stitch', () => {
    const repeat = { lengthMeans: 'repeat' } as const;
    const dial = lengthDialMm(blind, 2.4, repeat);
    expect(dial).toBeCloseTo(12, 9);
    expect(
      needlePath(blind, { ...dials, lengthMm: dial }, 2, repeat).map(({ yMm }) => yMm),
    ).toEqual(needlePath(blind, dials, 2).map(({ yMm }) => expect.closeTo(yMm, 9) as number));
    expect(pitchMm(blind, dial, repeat)).toBeCloseTo(2.4, 9);
    expect(repeatLengthMm(blind, 2.4, {})).toBeCloseTo(12, 9);
  });

  test.each([
    ['centre', [0.5 - 1.25, 0.5 + 1.25]],
    ['right', [0.5 - 2.5, 0.5]],
    ['left', [0.5, 0.5 + 2.5]],
  ] as const)('a zigzag anchored %s', (anchor, [left, right]) => {
    const stitch: Stitch = { pattern: 'zigzag', anchor, runStitches: 1 };
    expect(holeXMm(-1, stitch, dials)).toBeCloseTo(left, 12);
    expect(holeXMm(1, stitch, dials)).toBeCloseTo(right, 12);
  });

  test('a mirrored stitch is the mirror image about the needle position', () => {
    fc.assert(
      fc.property(stitches, swings, (stitch, at) => {
        const plain = needlePath({ ...stitch, mirror: false }, at, 1);
        const mirrored = needlePath({ ...stitch, mirror: true }, at, 1);
        plain.forEach(({ xMm, yMm }, i) => {
          const other = mirrored[i];
          expect((other?.xMm ?? NaN) - at.needlePositionMm).toBeCloseTo(
            at.needlePositionMm - xMm,
            9,
          );
          expect(other?.yMm).toBe(yMm);
        });
      }),
    );
  });

  test('the anchored side stays still when the width changes', () => {
    for (const [anchor, u] of [
      ['left', -1],
      ['centre', 0],
      ['right', 1],
    ] as const) {
      const stitch: Stitch = { pattern: 'zigzag', anchor, runStitches: 1 };
      expect(holeXMm(u, stitch, { ...dials, widthMm: 1 })).toBe(holeXMm(u, stitch, dials));
    }
  });
});

describe('clearance', () => {
  const machine = { maxWidthMm: 7, plateHoleMm: null };

  test('the needle keeps its radius and 0.3 mm inside the slot', () => {
    const clearance = clearanceOf(blind, dials, { slotMm: [-4.5, 4.5] }, machine, 80);
    expect(clearance).toEqual({
      clearanceMm: expect.closeTo(-2 + 4.5 - 0.4 - 0.3, 9),
      nearest: 'foot',
      side: 'left',
    });
  });

  test('a plate with a smaller hole is what it would meet', () => {
    const plated = { ...machine, plateHoleMm: [-1.2, 1.2] as const };
    const clearance = clearanceOf(blind, dials, { slotMm: [-4.5, 4.5] }, plated, 100);
    expect(clearance.nearest).toBe('plate');
    expect(clearance.clearanceMm).toBeCloseTo(-2 + 1.2 - 0.5 - 0.3, 9);
  });

  test('a straight-stitch plate takes no swing at all, and lets a straight line pass', () => {
    const plated = { ...machine, plateHoleMm: [-1.1, 1.1] as const };
    const foot = { slotMm: [-4.5, 4.5] as const };
    const narrow = { ...dials, widthMm: 0.2, needlePositionMm: 0 };
    const zigzag: Stitch = { pattern: 'zigzag', anchor: 'centre', runStitches: 1 };
    expect(clearanceOf(zigzag, narrow, foot, plated, 80)).toMatchObject({
      clearanceMm: expect.closeTo(-0.2, 9),
      nearest: 'plate',
    });
    expect(needleMayGo(zigzag, foot, plated, 80)(0.2, 0)).toBe(false);
    const straight: Stitch = { ...zigzag, pattern: 'straight' };
    expect(clearanceOf(straight, narrow, foot, plated, 80).clearanceMm).toBeCloseTo(0.4, 9);
    expect(needleMayGo(straight, foot, plated, 80)(0.2, 0)).toBe(true);
  });

  test('the quick answer for a whole machine agrees with the explained one', () => {
    fc.assert(
      fc.property(
        stitches,
        swings,
        fc.double({ min: -6, max: -0.5, noNaN: true }),
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        fc.option(fc.double({ min: 0.5, max: 5, noNaN: true })),
        (stitch, at, left, right, plate) => {
          const kit = {
            maxWidthMm: 7,
            plateHoleMm: plate === null ? null : ([-plate, plate] as const),
          };
          const foot = { slotMm: [left, right] as const };
          const { clearanceMm } = clearanceOf(stitch, at, foot, kit, 90);
          fc.pre(Math.abs(clearanceMm) > 1e-6);
          const allowed = clearanceMm > 0 && withinSwing(stitch, at, kit);
          expect(needleMayGo(stitch, foot, kit, 90)(at.widthMm, at.needlePositionMm)).toBe(allowed);
        },
      ),
    );
  });
});
