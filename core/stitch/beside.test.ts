import { clearanceOf, needleMayGo } from './clearance';
describe('a foot without a slot', () => {
  const straight = { pattern: 'straight', anchor: 'centre', runStitches: 1 } as const;
  const at = (needlePositionMm: number) => ({
    widthMm: 0,
    lengthMm: 2,
    needlePositionMm,
    guideMm: 0,
  });
  const beside = { slotMm: null, besideMm: [-6, -1] } as const;

  test.each([
    // The needle’s radius and its air keep 0.7 mm from the metal on whichever side it passes.
    [0, 0.3],
    [-0.3, 0],
    [-0.5, -0.2],
    [2, 2.3],
    [-7, 0.3],
    [-3.5, -3.2],
  ])('needle at %d: %d mm of room', (needlePositionMm, room) => {
    const { clearanceMm } = clearanceOf(straight, at(needlePositionMm), beside, {}, 80);
    expect(clearanceMm).toBeCloseTo(room, 9);
    const mayGo = needleMayGo(straight, beside, { maxWidthMm: 20 }, 80);
    expect(mayGo(0, needlePositionMm)).toBe(room >= -1e-9);
  });

  test('a swing may not straddle it', () => {
    const zigzag = { ...straight, pattern: 'zigzag' } as const;
    const mayGo = needleMayGo(zigzag, beside, { maxWidthMm: 20 }, 80);
    expect(mayGo(3, 1.5)).toBe(true);
    expect(mayGo(14, -3.5)).toBe(false);
  });
});
