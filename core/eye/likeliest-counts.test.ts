import fc from 'fast-check';
import seedrandom from 'seedrandom';
import { normalDrift } from '../margin/normal';
import { countChances, countsAt, likeliestCounts } from './likeliest-counts';

const bounds = { loMm: 0.2, hiMm: 0.5 };

const depthsAt = (mms: readonly number[], ownMm: number, commonMm: number) =>
  mms.map((depthMm) => ({ depthMm, depthSpreadMm: Math.hypot(ownMm, commonMm) }));

const scraps = fc.record({
  mms: fc.array(fc.double({ min: 0.05, max: 0.7, noNaN: true }), { minLength: 1, maxLength: 6 }),
  ownMm: fc.double({ min: 0.016, max: 0.05, noNaN: true }),
  commonMm: fc.double({ min: 0, max: 0.1, noNaN: true }),
});

test('the chance that counts are right to within one: as all cases summed up say', () => {
  fc.assert(
    fc.property(scraps, ({ mms, ownMm, commonMm }) => {
      const depths = depthsAt(mms, ownMm, commonMm);
      const counts = countsAt(depths, bounds);
      let [sum, all] = [0, 0];
      for (let off = -4; off <= 4; off += 0.1) {
        const weight = Math.exp((-off * off) / 2);
        all += weight;
        // Every stitch is short, sound or over.
        for (let way = 0; way < 3 ** mms.length; way++) {
          const is = mms.map((_, i) => Math.floor(way / 3 ** i) % 3);
          const of = (kind: number) => is.filter((one) => one === kind).length;
          if (Math.abs(of(0) - counts.short) > 1 || Math.abs(of(2) - counts.over) > 1) continue;
          sum += mms.reduce((chance, mm, i) => {
            const { loMm, hiMm } = bounds;
            const belief = normalDrift(mm - off * commonMm, ownMm);
            const each = [belief.leftOf(loMm), belief.within(loMm, hiMm), belief.rightOf(hiMm)];
            return chance * each[is[i]!]!;
          }, weight);
        }
      }
      expect(countChances(depths, commonMm, bounds)(counts)).toBeCloseTo(sum / all, 2);
    }),
    { numRuns: 12 },
  );
});

test('it is moved by half of how far it may be off at the most, and the counts become no less likely', () => {
  fc.assert(
    fc.property(scraps, ({ mms, ownMm, commonMm }) => {
      const depths = depthsAt(mms, ownMm, commonMm);
      const { shiftMm, sure } = likeliestCounts(depths, commonMm, bounds);
      expect(Math.abs(shiftMm)).toBeLessThanOrEqual(commonMm / 2 + 1e-12);
      const chance = countChances(depths, commonMm, bounds);
      expect(sure).toBeGreaterThanOrEqual(chance(countsAt(depths, bounds)) - 1e-12);
      expect(sure).toBeCloseTo(chance(countsAt(depths, bounds, shiftMm)), 9);
    }),
  );
});

test('bites that crowd beside a bound, and none beyond it', () => {
  const crowd = depthsAt([0.209, 0.215, 0.22, 0.225, 0.23, 0.24, 0.35, 0.4], 0.016, 0.04);
  // None is short as they lie; were all less by 0.04 mm, six would be.
  const { shiftMm } = likeliestCounts(crowd, 0.04, bounds);
  expect(shiftMm).toBeGreaterThan(0);
  expect(countsAt(crowd, bounds, shiftMm).short).toBeGreaterThanOrEqual(1);
  // Far from every bound nothing moves, and all is sure.
  const clear = depthsAt([0.3, 0.32, 0.36, 0.4], 0.016, 0.02);
  expect(likeliestCounts(clear, 0.02, bounds)).toEqual({ shiftMm: 0, sure: expect.closeTo(1, 4) });
});

test('scraps drawn at random: right as often as is told, and more often than as they were measured', () => {
  const random = seedrandom('counts');
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const [ownMm, commonMm, n] = [0.02, 0.06, 2000];
  let [told, right, before] = [0, 0, 0];
  for (let i = 0; i < n; i++) {
    const truth = Array.from({ length: 24 }, () => ({ depthMm: 0.3 + 0.12 * normal() }));
    const off = commonMm * normal();
    const seen = truth.map(({ depthMm }) => depthMm + off + ownMm * normal());
    const depths = depthsAt(seen, ownMm, commonMm);
    const isRight = (shiftMm: number) => {
      const [is, are] = [countsAt(depths, bounds, shiftMm), countsAt(truth, bounds)];
      return Math.abs(is.short - are.short) <= 1 && Math.abs(is.over - are.over) <= 1 ? 1 : 0;
    };
    const { shiftMm, sure } = likeliestCounts(depths, commonMm, bounds);
    told += sure / n;
    right += isRight(shiftMm) / n;
    before += isRight(0) / n;
  }
  expect(right).toBeGreaterThan(before + 0.03);
  expect(Math.abs(told - right)).toBeLessThan(0.05);
});
