import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import { depthByBoth, matchFaces, offsOf, type PhotoBite, type OutsideBite } from './both-faces';

const hiddenMm = 0.6;

/** A row of bites as a hand sews it, seen on both faces, the right one turned over somehow. */
function scrap(
  seed: number,
  more: { n?: number; endForEnd?: boolean; lost?: number; spreadMm?: number } = {},
) {
  const { n = 20, endForEnd = false, lost = 0, spreadMm = 0.07 } = more;
  const draw = evenDraws(seed);
  const bell = () => draw() + draw() + draw() + draw() - 2;
  let along = 0;
  const bites = Array.from({ length: n }, () => ({
    alongMm: (along += 3.4 + 0.35 * bell()),
    depthMm: hiddenMm + 0.35 * bell(),
  }));
  const wrong = bites.map(({ alongMm, depthMm }): PhotoBite => {
    const depth = { depthMm: depthMm + spreadMm * bell(), depthSpreadMm: spreadMm };
    return { atMm: [alongMm + 5, 30 + 0.05 * alongMm], depth };
  });
  const right = bites.slice(lost).map(({ alongMm, depthMm }): OutsideBite => {
    const shows = depthMm > hiddenMm + 0.06;
    const depth = { depthMm: depthMm + spreadMm * bell(), depthSpreadMm: spreadMm };
    const x = (endForEnd ? 95 - alongMm : alongMm + 3) + 0.1 * bell();
    return { atMm: [x, 20 - 0.1 * x], depth: shows ? depth : null, shows };
  });
  // In whatever order they were found.
  return { wrong, right: endForEnd ? right.toReversed() : right, n, lost, endForEnd };
}

const trueRight = ({ n, lost, endForEnd }: ReturnType<typeof scrap>) =>
  Array.from({ length: n }, (_, i) => (i < lost ? null : endForEnd ? n - 1 - i : i - lost));

test('bites of both faces are matched however the scrap was turned over, ends lost or not', () => {
  fc.assert(
    fc.property(
      fc.record({
        seed: fc.integer({ min: 1, max: 5000 }),
        n: fc.integer({ min: 14, max: 26 }),
        endForEnd: fc.boolean(),
        lost: fc.integer({ min: 0, max: 4 }),
      }),
      ({ seed, ...more }) => {
        const sewn = scrap(seed, more);
        const match = matchFaces(sewn.wrong, sewn.right, hiddenMm)!;
        // Where it says it is sure, it is right; which it nearly always says.
        if (match.sure > 0.9) {
          expect(match.onRight).toEqual(trueRight(sewn));
          expect(match.alone).toEqual([]);
        }
      },
    ),
    { numRuns: 60 },
  );
  const sure = Array.from({ length: 40 }, (_, seed) => {
    const { wrong, right } = scrap(seed + 1, { endForEnd: seed % 2 === 0, lost: seed % 3 });
    return matchFaces(wrong, right, hiddenMm)!.sure;
  });
  expect(sure.filter((one) => one > 0.9).length).toBeGreaterThanOrEqual(37);
});

test('bites that are all alike could lie either way, and that is said', () => {
  const row = Array.from({ length: 12 }, (_, i): OutsideBite => ({
    atMm: [10 + 4 * i, 30],
    depth: { depthMm: 0.8, depthSpreadMm: 0.07 },
    shows: true,
  }));
  expect(matchFaces(row, row, hiddenMm)!.sure).toBeLessThan(0.9);
  expect(matchFaces(row.slice(0, 2), row, hiddenMm)).toBeNull();
  // All in one place, as a careless finger may add them.
  const heaped = row.map((bite) => ({ ...bite, atMm: [30, 30] as const }));
  expect(matchFaces(heaped, row, hiddenMm)!.sure).toBeLessThan(0.9);
});

test('one that shows where the wrong side has none stands alone', () => {
  const { wrong, right } = scrap(11);
  const lacking = wrong.filter((_, i) => i !== right.findLastIndex(({ shows }) => shows));
  const match = matchFaces(lacking, right, hiddenMm)!;
  expect(match.alone).toEqual([right.findLastIndex(({ shows }) => shows)]);
});

/** What a normal says of a depth once it is known to stay hidden, by adding up. */
function addedUp(depthMm: number, spreadMm: number, mostMm: number) {
  const step = spreadMm / 400;
  let [weight, sum, square] = [0, 0, 0];
  for (let x = depthMm - 9 * spreadMm; x < mostMm; x += step) {
    const w = Math.exp(-(((x - depthMm) / spreadMm) ** 2) / 2);
    weight += w;
    sum += w * x;
    square += w * x * x;
  }
  const mean = sum / weight;
  return { mean, sd: Math.sqrt(square / weight - mean * mean) };
}

test('a bite that shows nothing outside is as deep as the wrong side says, as far as it stays hidden', () => {
  const nothing: OutsideBite = { atMm: [0, 0], depth: null, shows: false };
  fc.assert(
    fc.property(
      fc.double({ min: 0.2, max: 0.8, noNaN: true }),
      fc.double({ min: 0.04, max: 0.2, noNaN: true }),
      (depthMm, depthSpreadMm) => {
        const both = depthByBoth({ depthMm, depthSpreadMm }, nothing, hiddenMm);
        if (!both.agree) {
          // More than three spreads deeper than what would be seen: one of them is wrong.
          expect(depthMm - 3 * depthSpreadMm).toBeGreaterThan(hiddenMm);
          expect(both).toMatchObject({ depthMm, depthSpreadMm });
          return;
        }
        const { mean, sd } = addedUp(depthMm, depthSpreadMm, hiddenMm + 0.05);
        expect(Math.abs(both.depthMm - mean)).toBeLessThan(0.002);
        expect(Math.abs(both.depthSpreadMm - sd)).toBeLessThan(0.002);
      },
    ),
  );
});

test('two measurements lie between, nearer to the surer, surer than either; far apart they disagree', () => {
  const outside = (depthMm: number): OutsideBite => ({
    ...{ atMm: [0, 0], shows: true, depth: { depthMm, depthSpreadMm: 0.06 } },
  });
  const both = depthByBoth({ depthMm: 0.7, depthSpreadMm: 0.03 }, outside(0.8), hiddenMm);
  // (0.7 / 0.03² + 0.8 / 0.06²) / (1 / 0.03² + 1 / 0.06²) = 0.72
  expect(both.depthMm).toBeCloseTo(0.72, 9);
  expect(both.depthSpreadMm).toBeCloseTo(1 / Math.sqrt(1 / 0.0009 + 1 / 0.0036), 9);
  expect(both.agree).toBe(true);
  // Then the wrong side is believed, which shows the whole bite.
  expect(depthByBoth({ depthMm: 0.7, depthSpreadMm: 0.03 }, outside(1), hiddenMm)).toEqual({
    ...{ depthMm: 0.7, depthSpreadMm: 0.03, agree: false },
  });
});

test('what all bites of a face are off by is taken away, and what is left of it stays open', () => {
  const at = (i: number) => [10 + 4 * i, 30] as const;
  const depth = (depthMm: number) => ({ depthMm, depthSpreadMm: 0.05 });
  const trueMm = [0.7, 0.8, 0.9, 1, 1.1, 0.85];
  const wrong = trueMm.map((mm, i): PhotoBite => ({ atMm: at(i), depth: depth(mm - 0.06) }));
  const right = trueMm.map((mm, i): OutsideBite => ({
    ...{ atMm: at(i), depth: depth(mm + 0.02), shows: true },
  }));
  const offs = offsOf(wrong, right, { onRight: [0, 1, 2, 3, 4, 5] });
  // 0.08 mm apart, half of which is each face’s; nothing was strayed by any bite.
  expect(offs[0].offMm).toBeCloseTo(-0.04, 2);
  expect(offs[1].offMm).toBeCloseTo(0.04, 2);
  const both = depthByBoth(depth(0.74), right[1]!, hiddenMm, offs);
  expect(both.depthMm).toBeCloseTo(0.78, 2);
  // Of two spreads of 0.05 mm in common the mean’s is left, and no number of bites makes it less.
  expect(both.depthSpreadMm).toBeGreaterThan(0.05 / Math.SQRT2);
  expect(both.depthSpreadMm).toBeLessThan(0.05);
});
