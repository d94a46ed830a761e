import fc from 'fast-check';
import type { Check } from './check';
import { learn } from './learn';
import { posteriorGrid, type Sample } from './posterior-grid';
import { normalDraw } from './sewist';
import { evenDraws } from '../swatch/draw';

const bite: Check = {
  ...{ name: 'bite', source: 'guide', k: 1, loMm: 0.2, hiMm: 1, below: 'missed', above: 'shows' },
  v0: { constantMm: 0, width: 1, needlePosition: -1, guide: 1 },
};
const settings = { widthMm: 0.6, needlePositionMm: 0, guideMm: 0 };
const measured = (mm: readonly number[], depthSpreadMm = 0.05, check = bite): Sample => ({
  ...{ settings, check: check.name, n: mm.length, short: 0, over: 0 },
  depths: mm.map((depthMm) => ({ depthMm, depthSpreadMm })),
});

test('agrees with a plain double sum over the grid, each stitch by itself', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          depthMm: fc.double({ min: -0.5, max: 1.8, noNaN: true }),
          depthSpreadMm: fc.constantFrom(0, 0.05, 0.2),
        }),
        { minLength: 1, maxLength: 12 },
      ),
      (depths) => {
        const prior = 0.25;
        let [total, mean, spread] = [0, 0, 0];
        const logs: { log: number; m: number; sigma: number }[] = [];
        for (let i = 0; i < 161; i++) {
          const m = -2 + i * 0.025;
          for (let row = 0; row < 81; row++) {
            const l = -1.2 + row * 0.03;
            const sigma = prior * Math.exp(l);
            let log = -((m / 0.5) ** 2) / 2 - (l / 0.35) ** 2 / 2;
            for (const { depthMm, depthSpreadMm } of depths) {
              const all = sigma ** 2 + depthSpreadMm ** 2;
              log -= Math.log(all) / 2 + (depthMm - 0.6 - m) ** 2 / (2 * all);
            }
            logs.push({ log, m, sigma });
          }
        }
        const most = Math.max(...logs.map(({ log }) => log));
        for (const { log, m, sigma } of logs) {
          const weight = Math.exp(log - most);
          total += weight;
          mean += weight * m;
          spread += weight * sigma;
        }
        const sample = { settings, check: 'bite', n: depths.length, short: 0, over: 0, depths };
        const posterior = learn([bite], [sample], prior);
        expect(posterior.shiftMm).toBeCloseTo(mean / total, 4);
        expect(posterior.sigmaMm).toBeCloseTo(spread / total, 4);
      },
    ),
    { numRuns: 25 },
  );
});

test('a check that drift enters the other way learns the mirror image', () => {
  const [one, other] = [1, -1].map((k) => {
    const check = { ...bite, k: k as 1 | -1 };
    return learn([check], [measured([0.3, 0.5, 0.9], 0.05, check)], 0.25);
  });
  expect(other!.shiftMm).toBeCloseTo(-one!.shiftMm, 6);
  expect(other!.sigmaMm).toBeCloseTo(one!.sigmaMm, 6);
});

test('what was measured is not counted a second time', () => {
  const depths = [0.1, 0.5, 0.7, 1.2];
  const alone = learn([bite], [measured(depths)], 0.25);
  const counted = learn([bite], [{ ...measured(depths), short: 1, over: 1 }], 0.25);
  expect(counted.shiftMm).toBeCloseTo(alone.shiftMm, 9);
  expect(counted.sigmaMm).toBeCloseTo(alone.sigmaMm, 9);
  // Four more that were only counted, all sound, say that the hand is steadier.
  const more = learn([bite], [{ ...measured(depths), n: 8, short: 1, over: 1 }], 0.25);
  expect(more.sigmaMm).toBeLessThan(alone.sigmaMm);
});

test('a measured stitch tells more than a counted one, and less the worse it was measured', () => {
  const random = evenDraws(7);
  const width = (sample: Sample) => {
    const [from, to] = learn([bite], [sample], 0.25).shiftInterval;
    return to - from;
  };
  let [counted, sharp, vague] = [0, 0, 0];
  for (let i = 0; i < 20; i++) {
    const mm = Array.from({ length: 24 }, () => 0.6 + 0.25 * normalDraw(random));
    const short = mm.filter((value) => value < 0.2).length;
    const over = mm.filter((value) => value > 1).length;
    counted += width({ settings, check: 'bite', n: 24, short, over });
    // Half as many, measured, tell at least as much.
    sharp += width(measured(mm.slice(0, 12), 0.07));
    vague += width(measured(mm.slice(0, 12), 0.4));
  }
  expect(sharp).toBeLessThan(counted);
  expect(vague).toBeGreaterThan(sharp);
});

test('none measured is as it was', () => {
  const sample = { settings, check: 'bite', n: 24, short: 3, over: 1 };
  const [one, other] = [sample, { ...sample, depths: [] }].map(
    (it) => posteriorGrid([bite], [it], 0.25).weights,
  );
  expect(other).toEqual(one);
});
