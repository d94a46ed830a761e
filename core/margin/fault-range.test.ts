import fc from 'fast-check';
import type { Check } from './check';
import { faultRange } from './fault-range';
import { normalDrift } from './normal';
import { posteriorGrid } from './posterior-grid';

const bite: Check = {
  name: 'bite',
  source: 'guide',
  k: 1,
  loMm: 0.2,
  hiMm: 1,
  below: 'missed',
  above: 'shows',
  v0: { constantMm: 0.6, width: 0, needlePosition: 0, guide: 1 },
};
const wrap: Check = { ...bite, name: 'back', source: 'wrap', hiMm: Infinity };
const at = (guideMm: number) => ({ widthMm: 0, needlePositionMm: 0, guideMm });
const sampleAt = (guideMm: number, n: number, short: number, over = 0) => ({
  settings: at(guideMm),
  ...{ check: 'bite', n, short, over },
});

/** A grid that holds one hand alone. */
function certain(shiftMm: number, sigmaMm: number) {
  const shifts = { fromMm: -2, stepMm: 0.025, count: 161 };
  const weights = new Float64Array(161);
  weights[Math.round((shiftMm + 2) / 0.025)] = 1;
  return { weights, sigmasMm: [sigmaMm], shifts };
}

test('a hand that is known leaves only the luck of the stitches: the binomial’s own quantiles', () => {
  // Each tail Φ(−1) = 0.1587, so 100 stitches lose 31.7 ± 4.65; 5 and 95 % at 24 and 39.
  const range = faultRange([bite], { guide: certain(0, 0.4) }, {}, at(0), 100);
  expect(range).toEqual({ fromFaults: 24, toFaults: 39 });
});

test('a hand that never fails never fails; one that always does always does', () => {
  expect(faultRange([bite], { guide: certain(0, 0.01) }, {}, at(0), 200)).toEqual({
    fromFaults: 0,
    toFaults: 0,
  });
  expect(faultRange([bite], { guide: certain(2, 0.01) }, {}, at(0), 200)).toEqual({
    fromFaults: 200,
    toFaults: 200,
  });
});

test('more samples narrow it', () => {
  const width = (n: number) => {
    const grid = posteriorGrid([bite], [sampleAt(0, n, n / 8)], 0.3);
    const { fromFaults, toFaults } = faultRange([bite], { guide: grid }, {}, at(0), 400);
    return toFaults - fromFaults;
  };
  expect(width(240)).toBeLessThan(width(24));
  expect(width(24)).toBeLessThan(width(8));
});

test('a second source that is not learned adds its own faults', () => {
  const grids = { guide: certain(0, 0.2) };
  const beliefs = { wrap: normalDrift(0, 0.4) };
  const alone = faultRange([bite], grids, beliefs, at(0), 200);
  const both = faultRange([bite, wrap], grids, beliefs, at(0), 200);
  expect(both.fromFaults).toBeGreaterThan(alone.fromFaults);
});

test('whatever was counted, it lies within the edge and the right way round', () => {
  fc.assert(
    fc.property(
      fc.nat(30),
      fc.nat(30),
      fc.nat(30),
      fc.double({ min: -1.5, max: 1.5, noNaN: true }),
      fc.integer({ min: 1, max: 900 }),
      (short, over, good, guideMm, stitches) => {
        const n = short + over + good + 1;
        const grid = posteriorGrid([bite], [sampleAt(guideMm, n, short, over)], 0.3);
        const range = faultRange([bite], { guide: grid }, {}, at(guideMm), stitches);
        expect(range.fromFaults).toBeGreaterThanOrEqual(0);
        expect(range.toFaults).toBeLessThanOrEqual(stitches);
        expect(range.fromFaults).toBeLessThanOrEqual(range.toFaults);
      },
    ),
    { numRuns: 25 },
  );
});
