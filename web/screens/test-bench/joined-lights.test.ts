import type { Check } from '../../../core/margin/check';
import { judged, toldByAnswers, type Find } from './finds';
import { joinedLights } from './joined-lights';

const check: Check = {
  ...{ name: 'bite', source: 'guide', k: 1, loMm: 0.2, hiMm: 1.1, below: 'missed', above: 'shows' },
  v0: { constantMm: 0, width: 0, needlePosition: 0, guide: 1 },
};
const depths = [0.5, 0.1, 0.9, 0.45, 1.3, 0.5, 0.72, 0.4];

/** A photo in which all bites are told too deep by so much. */
const photo = (offMm: number, firstId = 0): Find[] =>
  depths.map((mm, i) => ({
    ...{ id: firstId + i, atMm: [10 + 4.2 * i, 30] as const, sure: 0.9 },
    depth: { depthMm: mm + offMm, depthSpreadMm: 0.07 },
    judged: mm + offMm < 0.2 ? 'short' : mm + offMm > 1.1 ? 'over' : 'sound',
  }));

test('light drawn in and light drawn out meet half way, and each depth is surer', () => {
  const joined = joinedLights(photo(-0.06), photo(0.06), check)!;
  expect(joined.onBoth).toBe(depths.length);
  joined.finds.forEach(({ depth }, i) => {
    expect(depth!.depthMm).toBeCloseTo(depths[i]!, 2);
    expect(depth!.depthSpreadMm).toBeLessThan(0.07);
  });
  expect(joined.finds.map((find) => find.judged)).toEqual(photo(0).map((find) => find.judged));
});

test('what the person said of the first photo stands', () => {
  const first = judged(judged(photo(-0.06), 2, 'struck'), 3, 'short');
  const { finds } = joinedLights(toldByAnswers(first, check), photo(0.06), check)!;
  expect(finds[2]).toMatchObject({ judged: 'struck', sure: 1, depth: null });
  expect(finds[3]).toMatchObject({ judged: 'short', sure: 1, depth: null });
});

test('what one photo shows alone, or both show too differently, is kept and asked about', () => {
  const second = photo(0.06, 20).filter((_, i) => i !== 5);
  const far = second.map((find, i) =>
    i === 0 ? { ...find, depth: { depthMm: 1.4, depthSpreadMm: 0.07 } } : find,
  );
  const { finds, onBoth, alone } = joinedLights(photo(-0.06).toSpliced(6, 1), far, check)!;
  expect([onBoth, alone]).toEqual([6, 2]);
  expect(finds).toHaveLength(depths.length);
  expect(new Set(finds.map(({ id }) => id)).size).toBe(depths.length);
  expect(finds.map(({ atMm }) => atMm[0])).toEqual(photo(0).map(({ atMm }) => atMm[0]));
  expect(finds.flatMap(({ sure }, i) => (sure < 0.5 ? [i] : []))).toEqual([0, 5, 6]);
  // Struck out, and not found again: it was none.
  const struck = judged(photo(-0.06), 5, 'struck');
  expect(joinedLights(struck, second, check)!.finds).toHaveLength(depths.length - 1);
});

test('a scrap that was moved is not laid on what was there', () => {
  const moved = photo(0).map((find) => ({ ...find, atMm: [find.atMm[0], 44] as const }));
  expect(joinedLights(photo(0), moved, check)).toBeNull();
});
