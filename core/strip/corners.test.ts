import fc from 'fast-check';
import { leastCornerRadiusMm, shorterByRoundingMm } from './round-corner';
import { cornerStages, mitreOf } from './mitre';
import type { OnCloth } from './piece';

const angles = fc.integer({ min: 40, max: 140 });
const depths = fc.integer({ min: 40, max: 600 }).map((it) => it / 10);

/** By the shoelace formula, mm². */
function areaOf(points: readonly OnCloth[]): number {
  const twice = points.reduce((sum, [x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length]!;
    return sum + x * ny - nx * y;
  }, 0);
  return Math.abs(twice) / 2;
}

const apart = ([ax, ay]: OnCloth, [bx, by]: OnCloth) => Math.hypot(ax - bx, ay - by);

describe('a mitre', () => {
  test('of a square corner is √2 of the width, and its inner fold lies F from both sides', () => {
    expect(mitreOf({ depthMm: 50, angleDegrees: 90 }).lengthMm).toBeCloseTo(70.711, 3);
    fc.assert(
      fc.property(angles, depths, (angleDegrees, depthMm) => {
        const { inner, lengthMm } = mitreOf({ depthMm, angleDegrees });
        const turn = Math.PI - (angleDegrees * Math.PI) / 180;
        // The distance of the inner point from the line of the second side.
        const fromNext = Math.abs(inner[0] * Math.sin(turn) - inner[1] * Math.cos(turn));
        expect(fromNext).toBeCloseTo(depthMm, 6);
        expect(inner[1]).toBeCloseTo(depthMm, 6);
        expect(Math.hypot(...inner)).toBeCloseTo(lengthMm, 6);
      }),
    );
  });

  test('every step keeps the cloth; the mitred sides never lie on each other', () => {
    fc.assert(
      fc.property(angles, depths, (angleDegrees, depthMm) => {
        const shownMm = depthMm * 4;
        const stages = cornerStages({ depthMm, angleDegrees, fromFoldMm: 2, shownMm });
        const clothOf = (i: number) => stages[i]!.shapes.find(({ part }) => part === 'cloth')!;
        for (const i of stages.keys()) {
          expect(areaOf(clothOf(i).points)).toBeCloseTo(areaOf(clothOf(0).points), 6);
        }
        const snug = stages.find(({ id }) => id === 'snug')!;
        const [first, second] = snug.shapes.filter(({ part }) => part === 'binding');
        // Both end at the mitre: each has the side's length less a triangle.
        const triangle = (depthMm * depthMm) / Math.tan((angleDegrees * Math.PI) / 360) / 2;
        const whole = shownMm * depthMm;
        expect(areaOf(first!.points)).toBeCloseTo(whole - triangle, 4);
        expect(areaOf(second!.points)).toBeCloseTo(whole - triangle, 4);
      }),
    );
  });

  test('what is folded under is as large as what lay square beyond it', () => {
    for (const angleDegrees of [60, 90, 120]) {
      const depthMm = 40;
      const stages = cornerStages({ depthMm, angleDegrees, fromFoldMm: 2, shownMm: 200 });
      const front = stages.find(({ id }) => id === 'mitre-front')!;
      const under = front.shapes.find(({ part }) => part === 'fold-under')!;
      const { inner } = mitreOf({ depthMm, angleDegrees });
      expect(areaOf(under.points)).toBeCloseTo(areaOf([[0, 0], [0, depthMm], inner]), 6);
    }
  });

  test('back and front are mirror images at the end', () => {
    const stages = cornerStages({ depthMm: 30, angleDegrees: 90, fromFoldMm: 2, shownMm: 150 });
    const [front, back] = [stages.at(-2)!, stages.at(-1)!];
    expect([front.face, back.face]).toEqual(['front', 'back']);
    front.shapes.forEach(({ points }, i) =>
      points.forEach(([x, y], k) =>
        expect(apart(back.shapes[i]!.points[k]!, [-x, y])).toBeLessThan(1e-9),
      ),
    );
  });
});

describe('a rounded corner', () => {
  test('its inner fold draws in by just what the strip gives', () => {
    expect(leastCornerRadiusMm(8, 20)).toBeCloseTo(48, 9);
    fc.assert(
      fc.property(depths, fc.integer({ min: 1, max: 60 }), (depthMm, givesPercent) => {
        const radius = leastCornerRadiusMm(depthMm, givesPercent);
        const outer = radius;
        const inner = radius - depthMm;
        // Cut as long as the outer fold, it eases to the inner one.
        expect(outer / inner - 1).toBeCloseTo(givesPercent / 100, 9);
      }),
    );
    expect(leastCornerRadiusMm(8, 0)).toBe(Infinity);
  });

  test('is shorter than a square one by 2R − πR/2', () => {
    expect(shorterByRoundingMm(100, Math.PI / 2)).toBeCloseTo(200 - (Math.PI * 100) / 2, 9);
  });
});
