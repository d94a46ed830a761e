import type { Check } from '../../../core/margin/check';
import { judged, sureOf, type Find } from './finds';
import { joinedFinds, sureOfTaken, takenFrom } from './joined-finds';

const check: Check = {
  ...{ name: 'bite', source: 'guide', k: 1, loMm: 0.2, hiMm: 1.1, below: 'missed', above: 'shows' },
  v0: { constantMm: 0, width: 0, needlePosition: 0, guide: 1 },
};
const hiddenMm = 0.6;
/** Uneven, as a hand sews: which is which can be told. */
const alongMm = [0, 4.1, 8.5, 12.2, 16.6, 20.3, 24.8, 28.6];
const depths = [0.5, 0.1, 0.9, 0.45, 1.2, 0.5, 0.72, 0.4];

const wrong = depths.map((depthMm, id): Find => ({
  ...{ id, atMm: [10 + alongMm[id]!, 30] as const, sure: 0.97 },
  depth: { depthMm, depthSpreadMm: 0.06 },
  judged: depthMm < 0.2 ? 'short' : depthMm > 1.1 ? 'over' : 'sound',
}));
/** Turned over end for end; what stays hidden shows nothing. */
const right = depths
  .map((depthMm, i): Find => ({
    ...{ id: depths.length - 1 - i, atMm: [60 - alongMm[i]!, 25] as const, sure: 0.97 },
    depth: depthMm > 0.65 ? { depthMm, depthSpreadMm: 0.06 } : null,
    judged: depthMm > 1.1 ? 'over' : 'sound',
  }))
  .toReversed();

test('both faces come together bite by bite, and each depth is surer for it', () => {
  const joined = joinedFinds({ wrong, right }, check, hiddenMm)!;
  expect(joined.onBoth).toBe(depths.length);
  expect(joined.disagree).toEqual({ wrong: [], right: [] });
  expect(joined.finds.map((find) => find.judged)).toEqual(wrong.map((find) => find.judged));
  joined.finds.forEach((find, i) => {
    expect(find.depth!.depthSpreadMm).toBeLessThanOrEqual(0.06);
    expect(find.depth!.depthMm).toBeCloseTo(depths[i]!, 2);
  });
  const { n, short, over, depths: kept } = takenFrom({ wrong, right }, joined);
  expect([n, short, over, kept?.length]).toEqual([8, 1, 1, 8]);
});

test('what the person says of either face stands', () => {
  // The third of the wrong side is the sixth of the right one.
  const said = judged(right, right[5]!.id, 'over');
  const joined = joinedFinds({ wrong, right: said }, check, hiddenMm)!;
  expect(joined.finds[2]).toMatchObject({ judged: 'over', sure: 1, depth: null });
  const hidden = judged(right, right[3]!.id, 'sound');
  expect(joinedFinds({ wrong, right: hidden }, check, hiddenMm)!.finds[4]).toMatchObject({
    ...{ judged: 'sound', depth: null },
  });
  const missed = joinedFinds({ wrong: judged(wrong, 0, 'short'), right }, check, hiddenMm)!;
  expect(missed.finds[0]).toMatchObject({ judged: 'short', sure: 1 });
  const struck = joinedFinds({ wrong: judged(wrong, 0, 'struck'), right }, check, hiddenMm)!;
  expect(takenFrom({ wrong, right }, struck).n).toBe(7);
});

test('two faces that say quite different depths of one bite are asked about', () => {
  const deeper = right.map((find) =>
    find.id === right[5]!.id ? { ...find, depth: { depthMm: 1.5, depthSpreadMm: 0.06 } } : find,
  );
  const joined = joinedFinds({ wrong, right: deeper }, check, hiddenMm)!;
  expect(joined.disagree).toEqual({ wrong: [2], right: [right[5]!.id] });
  expect(joined.finds[2]!.sure).toBeLessThan(0.5);
});

test('one that only the right side shows is one more; without the other face each tells its own', () => {
  const without = wrong.filter(({ id }) => id !== 2);
  const joined = joinedFinds({ wrong: without, right }, check, hiddenMm)!;
  expect(joined.finds).toHaveLength(depths.length);
  expect(new Set(joined.finds.map(({ id }) => id)).size).toBe(depths.length);
  expect(takenFrom({ right }, null)).toEqual({ over: 1 });
  expect(takenFrom({ wrong }, null)).toMatchObject({ n: 8, short: 1, over: 1 });
});

test('faces that can’t be laid together give what each of them tells', () => {
  const alike = (finds: readonly Find[]) =>
    finds.map((find, i) => ({
      ...find,
      ...{ atMm: [10 + 4 * i, 30] as const, depth: { depthMm: 0.8, depthSpreadMm: 0.06 } },
    }));
  const faces = { wrong: alike(wrong), right: alike(right) };
  expect(joinedFinds(faces, check, hiddenMm)).toBeNull();
  expect(takenFrom(faces, null)).toMatchObject({ n: 8, short: 1, over: 1 });
});

test('a fold that the wrong side tells too far in is put right by what shows on the right one', () => {
  const deep = depths.map((mm) => mm + 0.35);
  const seen = (finds: readonly Find[], depthOf: (mm: number) => number) =>
    finds.map((find): Find => {
      const mm =
        deep[
          wrong.findIndex(
            ({ id }) => id === (finds === wrong ? find.id : depths.length - 1 - find.id),
          )
        ]!;
      const depth =
        mm > 0.65 || finds === wrong ? { depthMm: depthOf(mm), depthSpreadMm: 0.05 } : null;
      return { ...find, depth, judged: 'sound' };
    });
  const short = seen(wrong, (mm) => mm - 0.08);
  const joined = joinedFinds({ wrong: short, right: seen(right, (mm) => mm) }, check, hiddenMm)!;
  const off = joined.finds.map(({ depth }, i) => depth!.depthMm - deep[i]!);
  // Half of what they differ by is taken for the wrong side’s, and half for the right side’s.
  for (const mm of off) expect(Math.abs(mm)).toBeLessThan(0.06);
});

test('a right side that may be of another length makes the counts less sure, before the wrong side and after it', () => {
  const shown = sureOf(right, check);
  expect(sureOfTaken({ right }, null, check, 0.5)).toBeCloseTo(shown / 2, 9);
  expect(sureOfTaken({ wrong }, null, check, 0.5)).toBe(sureOf(wrong, check));
  const apart = sureOfTaken({ wrong, right }, null, check, 0.5);
  expect(apart).toBeCloseTo((sureOf(wrong, check) * shown) / 2, 9);
  // Where they came together bite by bite it is of the length that the wrong side was found with.
  const joined = joinedFinds({ wrong, right }, check, hiddenMm)!;
  expect(sureOfTaken({ wrong, right }, joined, check, 0.5)).toBe(sureOf(joined.finds, check));
});
