import fc from 'fast-check';
import { normalDrift } from '../../core/margin/normal';
import { lengthUnits } from '../../core/measure/unit';
import { tickStepMm, ticksWithin } from './axis';
import { hill } from './hill';

describe('axes', () => {
  test('ticks are far enough apart and round in the unit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...lengthUnits),
        fc.double({ min: 0.5, max: 200, noNaN: true }),
        (unit, pxPerMm) => {
          const step = tickStepMm(unit, pxPerMm, 60);
          expect(step * pxPerMm).toBeGreaterThanOrEqual(60);
          const inUnit = unit === 'in' ? step / 25.4 : step;
          expect((inUnit * 1000) % 5).toBeCloseTo(0, 6);
        },
      ),
    );
  });

  test('ticks lie within the ends, evenly, and hold the nought', () => {
    const ticks = ticksWithin(-1.1, 1.5, 0.5);
    expect(ticks).toEqual([-1, -0.5, 0, 0.5, 1, 1.5]);
    expect(ticksWithin(0.2, 0.3, 1)).toEqual([]);
  });
});

describe('the hill of the hand', () => {
  /** The points of the path between its two feet. */
  const points = (path: string) =>
    path
      .replace(/[MLZ]/g, ' ')
      .trim()
      .split(/\s+/)
      .map((pair) => pair.split(',').map(Number))
      .slice(1, -1);

  test('stands highest where drift is likeliest, and reaches the top', () => {
    const path = hill(normalDrift(-0.5, 0.2), 2, (mm) => mm * 100, 60, 5);
    const highest = points(path).reduce((best, point) =>
      (point[1] ?? 0) < (best[1] ?? 0) ? point : best,
    );
    expect(highest[0]).toBeCloseTo(-50, -1);
    expect(highest[1]).toBeCloseTo(5, 1);
  });

  test('is as wide as the hand is unsteady', () => {
    const width = (sigma: number) =>
      points(hill(normalDrift(0, sigma), 2, (mm) => mm * 100, 60, 0)).filter(
        ([, y]) => (y ?? 60) < 30,
      ).length;
    expect(width(0.5)).toBeGreaterThan(2 * width(0.2));
  });
});
