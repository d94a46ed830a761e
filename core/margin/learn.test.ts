import fc from 'fast-check';
import type { Check } from './check';
import { learn, learnedBelief } from './learn';
import type { Sample } from './posterior-grid';
import { normalDrift } from './normal';

const bite: Check = {
  name: 'bite',
  source: 'guide',
  k: 1,
  loMm: 0.2,
  hiMm: 1,
  below: 'missed',
  above: 'shows',
  v0: { constantMm: 0, width: 1, needlePosition: -1, guide: 1 },
};
const run: Check = { ...bite, name: 'run', k: -1, loMm: 0.8, hiMm: 6.5 };
const aimedAt = (mm: number) => ({ widthMm: mm, needlePositionMm: 0, guideMm: 0 });
const sample = (n: number, short: number, over: number, aim = 0.6): Sample => ({
  settings: aimedAt(aim),
  check: 'bite',
  n,
  short,
  over,
});

describe('learning from a sewn sample', () => {
  test('the worked example: 24 bites aimed at 0.60, 7 missed', () => {
    const posterior = learn([bite], [sample(24, 7, 0)], 0.25);
    expect(posterior.shiftMm).toBeCloseTo(-0.27, 2);
    expect(posterior.sigmaMm).toBeCloseTo(0.25, 2);
    const belief = learnedBelief(posterior);
    expect(belief.within(0.2 - 0.6, 1 - 0.6)).toBeCloseTo(0.69, 2);
    expect(belief.within(0.2 - 0.8, 1 - 0.8)).toBeCloseTo(0.86, 2);
  });

  test('agrees with a plain double sum over the grid', () => {
    const [n, short, over, prior] = [30, 3, 2, 0.22];
    const [lo, hi] = [-0.4, 0.4];
    let [total, mean, predicted] = [0, 0, 0];
    for (let m = -2; m <= 2.0001; m += 0.025) {
      for (let l = -1.2; l <= 1.2001; l += 0.03) {
        const sigma = prior * Math.exp(l);
        const hand = normalDrift(m, sigma);
        const [left, right] = [hand.leftOf(lo), hand.rightOf(hi)];
        const middle = Math.max(1e-300, 1 - left - right);
        const log =
          -((m / 0.5) ** 2) / 2 -
          (l / 0.35) ** 2 / 2 +
          short * Math.log(Math.max(1e-300, left)) +
          over * Math.log(Math.max(1e-300, right)) +
          (n - short - over) * Math.log(middle);
        const weight = Math.exp(log);
        total += weight;
        mean += weight * m;
        predicted += weight * hand.within(-0.3, 0.55);
      }
    }
    const posterior = learn([bite], [sample(n, short, over)], prior);
    expect(posterior.shiftMm).toBeCloseTo(mean / total, 4);
    expect(learnedBelief(posterior).within(-0.3, 0.55)).toBeCloseTo(predicted / total, 4);
  });

  test('no counts leave the prior: no offset, the rule’s spread', () => {
    const { shiftMm, shiftInterval, sigmaMm } = learn([bite], [], 0.25);
    expect(shiftMm).toBeCloseTo(0, 6);
    expect(shiftInterval[0]).toBeCloseTo(-1.645 * 0.5, 1);
    // The mean of a log-normal lies above its median by exp(s²/2).
    expect(sigmaMm).toBeCloseTo(0.25 * Math.exp(0.35 ** 2 / 2), 2);
  });

  test('more samples with the same share of faults narrow the interval', () => {
    const width = (times: number) => {
      const [from, to] = learn([bite], [sample(24 * times, 7 * times, 0)], 0.25).shiftInterval;
      return to - from;
    };
    expect(width(8)).toBeLessThan(width(2));
    expect(width(2)).toBeLessThan(width(1));
  });

  test('missed bites pull the offset left and shown ones right', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), (faults) => {
        const missed = learn([bite], [sample(24, faults, 0)], 0.25).shiftMm;
        const shown = learn([bite], [sample(24, 0, faults)], 0.25).shiftMm;
        expect(missed).toBeLessThan(0);
        expect(missed).toBeCloseTo(-shown, 6);
      }),
      { numRuns: 12 },
    );
  });

  test('a run that piles on the fold says the same as drift to the right', () => {
    const onFold: Sample = {
      settings: { widthMm: 0, needlePositionMm: 1.2, guideMm: 0 },
      check: 'run',
      n: 40,
      short: 9,
      over: 0,
    };
    const runCheck = { ...run, v0: { constantMm: 0, width: 0, needlePosition: 1, guide: -1 } };
    expect(learn([runCheck], [onFold], 0.25).shiftMm).toBeGreaterThan(0.1);
  });

  test('samples may be split or pooled, in any order', () => {
    const together = learn([bite], [sample(48, 8, 1), sample(24, 0, 2, 0.8)], 0.25);
    const apart = learn([bite], [sample(24, 0, 2, 0.8), sample(20, 8, 0), sample(28, 0, 1)], 0.25);
    expect(apart.shiftMm).toBeCloseTo(together.shiftMm, 9);
    expect(apart.sigmaMm).toBeCloseTo(together.sigmaMm, 9);
  });

  test('a sample of an unknown check is refused by its name', () => {
    expect(() => learn([bite], [{ ...sample(5, 0, 0), check: 'wrap' }], 0.25)).toThrow('“wrap”');
  });
});
