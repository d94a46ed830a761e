import fc from 'fast-check';
import type { AttemptRecord } from '../../../contract/records';
import type { Check } from '../../../core/margin/check';
import { keptFinds } from './kept-finds';

type Counted = AttemptRecord['counts'][number];

const check: Check = {
  ...{ name: 'bite', source: 'guide', k: 1, loMm: 0.3, hiMm: 0.9 },
  v0: { constantMm: 0, width: 0, needlePosition: 0, guide: 0 },
  ...{ below: 'misses', above: 'shows' },
};
const counted = (depths: Counted['depths'], more: Partial<Counted> = {}): Counted => ({
  ...{ check: 'bite', n: 30, short: 0, over: 0, depths },
  ...more,
});
const found = (depthMm: number, x: number, depthSpreadMm = 0.05) => ({
  ...{ depthMm, depthSpreadMm },
  atMm: [x, 30] as [number, number],
});

test('each is what its depth makes of it, along the seam, and doubtful beside a bound', () => {
  const finds = keptFinds(
    [counted([found(1.2, 40), found(0.6, 10), found(0.1, 20), found(0.88, 30)])],
    [check],
  );
  expect(finds.map(({ id, atMm, judged, doubtful }) => [id, atMm[0], judged, doubtful])).toEqual([
    [0, 10, 'sound', false],
    [1, 20, 'short', false],
    [2, 30, 'sound', true],
    [3, 40, 'over', false],
  ]);
});

test('what has no place, or a check that is not there any more, is left out', () => {
  const noPlace = { depthMm: 0.5, depthSpreadMm: 0.05 };
  expect(keptFinds([counted([noPlace, found(0.5, 10)])], [check])).toHaveLength(1);
  expect(keptFinds([counted([found(0.5, 10)], { check: 'front' })], [check])).toEqual([]);
  expect(keptFinds([counted(undefined)], [check])).toEqual([]);
});

test('as many are short and over as their depths say, whatever they are', () => {
  const mm = fc.integer({ min: -50, max: 200 }).map((hundredths) => hundredths / 100);
  fc.assert(
    fc.property(fc.array(fc.tuple(mm, fc.nat(100)), { maxLength: 30 }), (all) => {
      const finds = keptFinds([counted(all.map(([depth, x]) => found(depth, x)))], [check]);
      const of = (judged: string) => finds.filter((find) => find.judged === judged).length;
      expect(of('short')).toBe(all.filter(([depth]) => depth < 0.3).length);
      expect(of('over')).toBe(all.filter(([depth]) => depth > 0.9).length);
      const xs = finds.map(({ atMm }) => atMm[0]);
      expect(xs).toEqual(xs.toSorted((a, b) => a - b));
    }),
  );
});
