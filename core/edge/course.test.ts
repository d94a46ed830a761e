import fc from 'fast-check';
import { areaBetweenMm2, gapMm, lengthThroughMm, parallel, placesOf } from './course';
import { radiusOfConeMm, radiusOfFractionMm } from './flare';
import { courseOf } from './form-course';
import { edgeOf, mm, sides } from './forms.fixture';
import { mitreOf } from './mitre';

describe('a mitred corner', () => {
  test('2A at a right angle, trimmed 6 mm outside', () => {
    const { sewLineFromCornerMm, trimFromCornerMm } = mitreOf({
      allowanceMm: 28,
      angleDegrees: 90,
    });
    expect(sewLineFromCornerMm).toBeCloseTo(56, 9);
    expect(trimFromCornerMm).toBeCloseTo(56 - 6 * Math.SQRT2, 9);
  });

  test('turned in, the two ends of the sewing line come to lie on each other, at any angle', () => {
    fc.assert(
      fc.property(mm(5, 60), fc.integer({ min: 20, max: 160 }), (allowanceMm, angleDegrees) => {
        const { sewLineFromCornerMm, seamMm } = mitreOf({ allowanceMm, angleDegrees });
        const half = (angleDegrees * Math.PI) / 360;
        // The raw corner at 0, the bisector along x, one raw edge at half the angle above it.
        const along = [Math.cos(half), Math.sin(half)] as const;
        const inward = [Math.sin(half), -Math.cos(half)] as const;
        const point = along.map((part) => part * sewLineFromCornerMm);
        // Mirrored at the fold, which runs beside the raw edge so far inside.
        const folded = point.map((part, i) => part + 2 * allowanceMm * inward[i]!);
        expect(folded[1]).toBeCloseTo(0, 6);
        const finished = allowanceMm / Math.sin(half);
        expect(Math.hypot(point[0]! - finished, point[1]!)).toBeCloseTo(seamMm, 6);
      }),
    );
  });
});

describe('a flare', () => {
  test('a full circle, a half, and a cone', () => {
    expect(radiusOfFractionMm(4400, 1)).toBeCloseTo(700.28, 2);
    expect(radiusOfFractionMm(4400, 0.5)).toBeCloseTo(1400.56, 2);
    // A half circle from its waist to its hem is a cone.
    const [waist, length] = [Math.PI * 200, 500];
    expect(radiusOfConeMm(waist, Math.PI * (200 + length), length)).toBeCloseTo(700, 6);
  });
});

describe('how an edge runs', () => {
  const pieces = fc.array(
    fc.record({
      lengthMm: mm(20, 400),
      bendRadians: fc.integer({ min: -30, max: 30 }).map((it) => it / 20),
      cornerRadians: fc.constantFrom(0, 0, 0, 0.4, -0.4),
    }),
    { minLength: 1, maxLength: 6 },
  );

  test('as drawn it is as long as it was measured', () => {
    fc.assert(
      fc.property(pieces, (some) => {
        const places = placesOf({ pieces: some, closed: false });
        const length = some.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
        expect(places.at(-1)!.alongMm).toBeCloseTo(length, 6);
        const drawn = lengthThroughMm(parallel(places, 0));
        expect(drawn / length).toBeGreaterThan(0.999);
        expect(drawn).toBeLessThanOrEqual(length + 1e-6);
      }),
    );
  });

  test('the band’s area is length times depth, less or more what its curves and corners take', () => {
    fc.assert(
      fc.property(
        mm(300, 3000),
        mm(2, 40),
        fc.integer({ min: -60, max: 60 }),
        (lengthMm, depthMm, tenths) => {
          const bendRadians = tenths / 10;
          const places = placesOf({
            pieces: [{ lengthMm, bendRadians, cornerRadians: 0 }],
            closed: false,
          });
          // On an arc the band towards the cloth loses half of depth² times the turn.
          fc.pre(Math.abs(bendRadians) * depthMm < lengthMm / 2);
          const area = areaBetweenMm2(parallel(places, 0), parallel(places, depthMm));
          const expected = lengthMm * depthMm - (depthMm * depthMm * bendRadians) / 2;
          expect(area / expected).toBeCloseTo(1, 2);
        },
      ),
    );
  });

  test('a blanket closes, and so does a circle', () => {
    const blanket = sides([762, 90], [1016, 90], [762, 90], [1016, 90]);
    expect(gapMm(placesOf(courseOf(edgeOf(blanket))))).toBeLessThan(1e-6);
    const circle = courseOf({ ...edgeOf({ kind: 'flare', by: 'fraction', fraction: 1 }) });
    expect(circle.closed).toBe(true);
    expect(gapMm(placesOf(circle))).toBeLessThan(1e-6);
  });

  test('every regular figure closes, and its inner line is as much shorter as it turns', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 12 }), mm(50, 500), mm(1, 8), (corners, side, inMm) => {
        const angle = 180 - 360 / corners;
        const form = sides(...Array.from({ length: corners }, () => [side, angle] as const));
        const places = placesOf(courseOf(edgeOf(form)));
        expect(gapMm(places)).toBeLessThan(1e-6);
        const inner = lengthThroughMm(parallel(places, inMm));
        const lost = 2 * corners * inMm * Math.tan(Math.PI / corners);
        expect(inner).toBeCloseTo(corners * side - lost, 6);
      }),
    );
  });
});
