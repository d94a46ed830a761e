import fc from 'fast-check';
import { kitchenScale, pullTester, thicknessGauge } from './instrument';
import { afterPullMm, pieceOf, pulledToMm, squareGrams, stackHeightMm } from './piece';

const bench = [kitchenScale, thicknessGauge, pullTester];
const flannel = {
  weightGsm: 300,
  thicknessMm: 1,
  stretchPercent: 5,
  recoveryPercent: 96,
  ...({ fray: 1, curl: 0, slip: 0, estimated: [] } as const),
};

describe.each(bench)('$name', (instrument) => {
  const load = fc.double({ min: 0, max: 200, noNaN: true });
  const seed = fc.nat(1000);
  test('shows whole steps of its last place, never less than nothing', () => {
    fc.assert(
      fc.property(load, fc.double({ min: 0, max: 30, noNaN: true }), seed, (mm, s, n) => {
        const { value } = instrument.reading(mm, s, n);
        expect(value).toBeGreaterThanOrEqual(0);
        const steps = value / instrument.resolution;
        expect(Math.abs(steps - Math.round(steps))).toBeLessThan(1e-6);
      }),
    );
  });
  test('once at rest it stays near what lies on it', () => {
    fc.assert(
      fc.property(load, seed, (mm, n) => {
        for (const seconds of [20, 25, 40]) {
          const { value, steady } = instrument.reading(mm, seconds, n);
          expect(steady).toBe(true);
          expect(Math.abs(value - mm)).toBeLessThanOrEqual(2 * instrument.resolution);
        }
      }),
    );
  });
  test('a heavy load is not at rest at once, and the same seed wobbles the same', () => {
    expect(instrument.reading(50, 0.2, 1).steady).toBe(false);
    expect(instrument.reading(50, 0.2, 1)).toEqual(instrument.reading(50, 0.2, 1));
    expect(instrument.reading(0, 0, 1).steady).toBe(true);
  });
});

describe('a piece of cloth', () => {
  test('is near what is believed, and the same for the same seed', () => {
    fc.assert(
      fc.property(fc.nat(), (seed) => {
        const piece = pieceOf(flannel, seed);
        expect(piece).toEqual(pieceOf(flannel, seed));
        expect(Math.abs(piece.weightGsm / 300 - 1)).toBeLessThanOrEqual(0.08);
        expect(piece.recoveryPercent).toBeLessThanOrEqual(100);
      }),
    );
  });
  test('what it does on the bench, worked by hand', () => {
    const piece = { weightGsm: 300, thicknessMm: 1.1, stretchPercent: 20, recoveryPercent: 75 };
    expect(squareGrams(piece, 100)).toBeCloseTo(3, 9);
    expect(squareGrams(piece, 50)).toBeCloseTo(0.75, 9);
    expect(stackHeightMm(piece, 8)).toBeCloseTo(8.8, 9);
    expect(pulledToMm(piece, 100)).toBeCloseTo(120, 9);
    expect(afterPullMm(piece, 100)).toBeCloseTo(105, 9);
  });
});
