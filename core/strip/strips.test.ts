import fc from 'fast-check';
import { acrossPlan } from './across';
import { biasPlan } from './bias';
import { neededMm } from './needed';
import { packageFor } from './package';
import { fewestFor, type OnCloth, type StripPiece } from './piece';
import { joinsAlong, noJoinsAtMm } from './along';
import { cutStrip } from './cut';
import { leastLengthMm, takings } from './taking';
import { tubeDrawn, tubeMm } from './tube';

const lengths = (min: number, max: number) =>
  fc.integer({ min: min * 10, max: max * 10 }).map((it) => it / 10);
const cloths = fc.tuple(lengths(200, 1500), lengths(200, 1500));

/** The total of strips side by side from one place, by the formula of a single strip. */
function totalFrom(c: number, [wide, high]: OnCloth, stripMm: number, joinMm: number): number {
  const across = stripMm * Math.SQRT2;
  const pieces: number[] = [];
  for (let from = c - 4000; from < 4000; from += across) {
    const to = from + across;
    const reach = Math.min(wide, high - from, high - to) - Math.max(0, -from, -to);
    if (reach > 0) pieces.push(Math.SQRT2 * reach);
  }
  const [first = 0, ...rest] = pieces.sort((a, b) => b - a);
  return rest.reduce((sum, piece) => sum + Math.max(0, piece - joinMm), first);
}

describe('bias strips from a piece of cloth', () => {
  test('no other place gives more, tried everywhere', () => {
    fc.assert(
      fc.property(cloths, lengths(20, 90), (cloth, stripMm) => {
        const { totalMm } = biasPlan(cloth, stripMm, 6);
        const across = stripMm * Math.SQRT2;
        // From a multiple of the strips' distance, so that both count from the same place.
        const start = Math.ceil(4000 / across) * across - 4000;
        const best = Math.max(
          ...Array.from({ length: 300 }, (_, i) =>
            totalFrom(start + (i / 300) * across, cloth, stripMm, 6 * Math.SQRT2),
          ),
        );
        expect(totalMm).toBeGreaterThan(best - 1e-6);
        expect(totalMm).toBeLessThan(best * 1.03 + 30);
      }),
      { numRuns: 60 },
    );
  });

  test('every piece lies on the cloth, none on another, each as wide as the strip', () => {
    fc.assert(
      fc.property(cloths, lengths(20, 90), (cloth, stripMm) => {
        const { pieces, joins, totalMm } = biasPlan(cloth, stripMm, 6);
        expect(joins).toBe(Math.max(0, pieces.length - 1));
        const [wide, high] = cloth;
        for (const { corners } of pieces) {
          for (const [x, y] of corners) {
            expect(x).toBeGreaterThanOrEqual(-1e-9);
            expect(x).toBeLessThanOrEqual(wide + 1e-9);
            expect(y).toBeGreaterThanOrEqual(-1e-9);
            expect(y).toBeLessThanOrEqual(high + 1e-9);
          }
        }
        // Lines y − x = c apart by the strip's width, square to the bias.
        const at = ({ corners: [[x, y]] }: StripPiece) => (y - x) / Math.SQRT2;
        const places = pieces.map(at).sort((a, b) => a - b);
        places.slice(1).forEach((place, i) => {
          expect(place - places[i]!).toBeGreaterThanOrEqual(stripMm - 1e-6);
        });
        // No more than the cloth holds.
        expect(totalMm * stripMm).toBeLessThanOrEqual(wide * high + 1e-6);
      }),
    );
  });
});

test('across the grain: as many as fit, each the width of the cloth, 12 mm a join', () => {
  const plan = acrossPlan([1400, 300], 45, 6);
  expect(plan.pieces).toHaveLength(6);
  expect(plan).toMatchObject({ joins: 5, totalMm: 6 * 1400 - 5 * 12 });
  expect(acrossPlan([1400, 30], 45, 6)).toMatchObject({ pieces: [], joins: 0, totalMm: 0 });
  expect([1300, 1401, 2788, 2789, 9000].map((mm) => fewestFor(plan, mm))).toEqual([
    ...[1, 2, 2, 3],
    null,
  ]);
});

test('a tube: the cloth’s area in strips, less one width at each end', () => {
  expect(tubeMm([500, 500], 50)).toBe(5000 - 100);
  expect(tubeMm([20, 20], 50)).toBe(0);
});

describe('a package', () => {
  const satin = { ends: 'turned', stripMm: 50, joinMm: 12 } as const;
  const inch = 25.4;

  test('30 × 40 in from 141.5 in, to the last bit', () => {
    const sides = [30 * inch, 40 * inch] as const;
    const answer = packageFor({ ...satin, sides, packageMm: 141.5 * inch });
    expect(answer.perimeterMm).toBeCloseTo(140 * inch, 9);
    expect(answer.spareMm).toBeCloseTo(0, 9);
    expect(answer).toMatchObject({ packages: 1, joins: 0 });
    expect(answer.largest.sides[0]).toBeCloseTo(sides[0], 6);
    expect(neededMm({ edgeMm: 140 * inch, ends: 'turned', stripMm: 50 })).toBeCloseTo(
      answer.neededMm,
      9,
    );
  });

  test('so many packages are enough, and one fewer is not; the largest is bound without a join', () => {
    const side = lengths(200, 3000);
    fc.assert(
      fc.property(side, side, lengths(500, 5000), (a, b, packageMm) => {
        const answer = packageFor({ ...satin, sides: [a, b], packageMm });
        const held = (n: number) => n * packageMm - (n - 1) * satin.joinMm;
        expect(held(answer.packages)).toBeGreaterThanOrEqual(answer.neededMm - 1e-6);
        if (answer.packages > 1) expect(held(answer.packages - 1)).toBeLessThan(answer.neededMm);
        const [wide, high] = answer.largest.sides;
        const largest = packageFor({ ...satin, sides: [wide, high], packageMm });
        expect(largest.spareMm).toBeCloseTo(0, 6);
        expect(wide / high).toBeCloseTo(a / b, 9);
      }),
    );
  });
});

describe('what is taken of the cloth', () => {
  const bias = { way: 'bias', stripMm: 32, ends: 'overlap', seamMm: 6 } as const;

  test('is the least that is enough: five less is not', () => {
    fc.assert(
      fc.property(
        lengths(300, 1500),
        lengths(400, 3000),
        fc.constantFrom('bias', 'across', 'tube'),
        (wide, neededMm, way) => {
          const asked = { ...bias, way, neededMm, clothMm: [wide, 1200] as const };
          const least = leastLengthMm(asked);
          if (least === null) {
            expect(cutStrip(asked).enough).toBe(false);
            return;
          }
          expect(cutStrip({ ...asked, clothMm: [wide, least] }).enough).toBe(true);
          const less = least - 5.6;
          if (less < 46) return;
          expect(cutStrip({ ...asked, clothMm: [wide, less] }).enough).toBe(false);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('each more join saves cloth, and gives the strip from what it takes', () => {
    fc.assert(
      fc.property(lengths(300, 1500), lengths(400, 3000), (wide, neededMm) => {
        const asked = { ...bias, neededMm, clothMm: [wide, 1200] as const };
        const ways = takings(asked, 4);
        expect(ways.length === 0).toBe(!cutStrip(asked).enough);
        ways.forEach(({ pieces, lengthMm }, i) => {
          const cut = cutStrip({ ...asked, clothMm: [wide, lengthMm] });
          expect(cut.fewest).toBeLessThanOrEqual(pieces);
          const before = ways[i - 1];
          if (before) expect(lengthMm).toBeLessThan(before.lengthMm);
        });
      }),
      { numRuns: 30 },
    );
  });

  test('a tube keeps the cloth’s area, and its lines are a strip apart', () => {
    const { outline, lines } = tubeDrawn([900, 500], 40);
    const area = outline.reduce((sum, [x, y], i) => {
      const [nx, ny] = outline[(i + 1) % outline.length]!;
      return sum + (x * ny - nx * y) / 2;
    }, 0);
    expect(area).toBeCloseTo(900 * 500, 6);
    const [[first], [second]] = [lines[0]!, lines[1]!];
    // Square to 45°, a horizontal step is a √2 of it.
    expect((second[0] - first[0]) / Math.SQRT2).toBeCloseTo(40, 9);
  });

  test('joins keep off the corners of a blanket and the seams of a neck', () => {
    const sides = [762, 1016, 762, 1016].map((lengthMm) => ({
      ...{ lengthMm, angleDegrees: 90, mitred: true },
    }));
    const blanket = {
      ...{ edgeMm: 3556, closed: true, crossings: [] },
      form: { kind: 'cornered', sides } as const,
    };
    expect(noJoinsAtMm(blanket)).toEqual([0, 762, 1778, 2540]);
    const cut = cutStrip({ ...bias, way: 'across', clothMm: [1500, 400], neededMm: 3556 });
    const joins = joinsAlong(blanket, cut, 'overlap', 32)!;
    expect(joins.joins).toHaveLength(2);
    expect(joins.clearMm).toBeGreaterThan(100);
    const neck = {
      ...{ edgeMm: 508, closed: true },
      crossings: [{ kind: 'open' as const, atMm: 127, widthMm: 20 }],
    };
    expect(noJoinsAtMm(neck)).toEqual([127]);
  });
});
