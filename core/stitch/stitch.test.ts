import fc from 'fast-check';
import { clearanceOf, needleMayGo, withinSwing } from './clearance';
import { holeXMm, needlePath } from './needle-path';
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
