import fc from 'fast-check';
import { atMostOneWrong } from '../../../core/eye/how-sure';
import { measureScrap } from '../../../core/eye/measure';
import type { MeasuredScrap } from '../../../core/eye/measured-scrap';
import type { Check } from '../../../core/margin/check';
import { eyeCases } from '../../../core/study/eye-cases';
import { drawnPhoto } from '../../../core/study/drawn-photo';
import { evenDraws } from '../../../core/swatch/draw';
import {
  added,
  countsOf,
  depthsOf,
  findsOf,
  isDoubtful,
  judged,
  judgements,
  placeAfter,
  settledByAnswers,
  sureOf,
  takenBack,
  toldByAnswers,
} from './finds';

const stitch = (x: number, fault: string | null, sure = 0.99, counted = true) => ({
  ...{ kind: 'bite' as const, atMm: [x, 30] as const, depthMm: 0.5, depthSpreadMm: 0.05 },
  ...{ fault, sure, counted },
});
const measured: MeasuredScrap = {
  stitches: [
    stitch(40, 'shows'),
    stitch(10, null),
    stitch(20, 'missed', 0.6),
    stitch(15, null, 0.9, false),
  ],
  counts: { check: 'bite', n: 3, short: 1, over: 1 },
  lengthMm: { mean: 2, sd: 0.1 },
  ...{ widthMm: 2, reference: null, edge: null, plain: 3, otherLength: null, sure: 0.9 },
};

const check: Check = {
  ...{ name: 'bite', source: 'guide', k: 1, loMm: 0.2, hiMm: 1, below: 'missed', above: 'shows' },
  v0: { constantMm: 0, width: 0, needlePosition: 0, guide: 1 },
};

test('finds lie along the seam, what is not counted left out, the doubtful told', () => {
  const finds = findsOf(measured, 'missed');
  expect(finds.map(({ atMm, judged: as }) => [atMm[0], as])).toEqual([
    [10, 'sound'],
    [20, 'short'],
    [40, 'over'],
  ]);
  expect(finds.map(isDoubtful)).toEqual([false, true, false]);
  expect(countsOf(finds)).toEqual({ n: 3, short: 1, over: 1 });
});

test('what the person says stands, and is sure', () => {
  const finds = judged(findsOf(measured, 'missed'), 1, 'struck');
  expect(countsOf(finds)).toEqual({ n: 2, short: 0, over: 1 });
  expect(finds.some(isDoubtful)).toBe(false);
  expect(countsOf(judged(finds, 1, 'sound'))).toEqual({ n: 3, short: 0, over: 1 });
});

test('what was said is taken back, however often it was said otherwise; of one that was added nothing is', () => {
  const finds = findsOf(measured, 'missed');
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...judgements), { minLength: 1 }), (all) => {
      const said = all.reduce((now, as) => judged(now, 1, as), finds);
      expect(said[1]).toMatchObject({ judged: all.at(-1), sure: 1 });
      expect(takenBack(said, 1)).toEqual(finds);
    }),
  );
  const more = judged(added(finds, [50, 30]), 3, 'over');
  expect(takenBack(more, 3)).toEqual(more);
});

test('measured depths go with the finds that stand as they were measured', () => {
  const finds = findsOf(measured, 'missed');
  const at = { depthMm: 0.5, depthSpreadMm: 0.05 };
  expect(depthsOf(finds)).toEqual([10, 20, 40].map((x) => ({ ...at, atMm: [x, 30] })));
  // Struck out, said to be another, or added: nothing was measured of it.
  const changed = added(judged(judged(finds, 0, 'struck'), 1, 'over'), [50, 30]);
  expect(depthsOf(toldByAnswers(changed, check)).map(({ atMm }) => atMm[0])).toEqual([40]);
  // Said to be what it was taken for: it is sure, and stays measured; so it is once that is said again.
  const again = judged(judged(finds, 1, 'over'), 1, 'sound');
  expect(depthsOf(toldByAnswers(again, check))).toHaveLength(3);
});

test('one that was missed goes between its neighbours, or on after the last', () => {
  const finds = findsOf(measured, 'missed');
  expect(placeAfter(finds, finds[0]!.id)).toEqual([15, 30]);
  expect(placeAfter(finds, finds[2]!.id)).toEqual([60, 30]);
  const more = added(finds, placeAfter(finds, finds[0]!.id));
  expect(more.map(({ atMm }) => atMm[0])).toEqual([10, 15, 20, 40]);
  expect(new Set(more.map(({ id }) => id)).size).toBe(4);
  expect(countsOf(more).n).toBe(4);
});

test('whatever is said of finds, no count is below 0 and faults are no more than were counted', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.nat(5), fc.constantFrom(...judgements), fc.boolean())),
      (moves) => {
        let finds = findsOf(measured, 'missed');
        for (const [id, as, isAdded] of moves) {
          finds = isAdded ? added(finds, placeAfter(finds, id)) : judged(finds, id, as);
        }
        const { n, short, over } = countsOf(finds);
        expect(short + over).toBeLessThanOrEqual(n);
        expect(n).toBeGreaterThanOrEqual(0);
        expect(sureOf(finds, check)).toBeGreaterThanOrEqual(0);
        expect(sureOf(finds, check)).toBeLessThanOrEqual(1 + 1e-9);
      },
    ),
  );
});

/** Bites side by side near a bound, off by what they have in common. */
const near = [10, 14, 18, 22, 26, 30].map((x, i) => ({
  ...stitch(x, null, 0.7),
  ...{ depthMm: 0.215 + 0.002 * i, depthSpreadMm: 0.05 },
}));

test('bites that lie near a bound together are as sure as what they are off by in common, and surer once one says what they are', () => {
  const finds = findsOf({ ...measured, stitches: near }, 'missed');
  const sure = sureOf(finds, check);
  // All are short or none is, about: that at most one is wrong is as likely as that the fold lies where it was told, or farther in.
  expect(sure).toBeGreaterThan(0.5);
  expect(sure).toBeLessThan(0.75);
  const said = finds.slice(1).reduce((all, { id }) => judged(all, id, 'sound'), finds);
  expect(sureOf(said, check)).toBeGreaterThan(0.95);
  expect(sureOf(judged(said, finds[0]!.id, 'sound'), check)).toBe(1);
});

test('what is said of one tells of those beside it, and is taken back with it', () => {
  const finds = findsOf({ ...measured, stitches: near }, 'missed');
  expect(toldByAnswers(finds, check)).toEqual(finds);
  expect(finds.every(isDoubtful)).toBe(true);
  const said = judged(finds, 3, 'short');
  const told = toldByAnswers(said, check);
  expect(countsOf(told).short).toBeGreaterThanOrEqual(5);
  told.forEach(({ depth }, i) => {
    expect(depth!.depthMm).toBeLessThan(finds[i]!.depth!.depthMm - 0.02);
  });
  // It is sound after all: so are the others, and some of them are doubtful no more.
  const back = toldByAnswers(judged(said, 3, 'sound'), check);
  expect(countsOf(back)).toMatchObject({ n: 6, short: 0 });
  const twice = judged(judged(said, 3, 'sound'), 0, 'sound');
  expect(settledByAnswers(twice, toldByAnswers(twice, check))).toBeGreaterThanOrEqual(2);
  // That one is none tells nothing of how deep the others go.
  const struck = toldByAnswers(judged(finds, 3, 'struck'), check);
  struck.forEach(({ depth }, i) => {
    if (i !== 3) expect(depth!.depthMm).toBeCloseTo(finds[i]!.depth!.depthMm, 6);
  });
});

test('untouched finds of the right side are as sure as the eye says they are', () => {
  const it = eyeCases().find(({ name }) => name === 'blind hem, right side, coarse weave, soft')!;
  const { window, expected } = drawnPhoto({ ...it, pxPerMm: 10 }, evenDraws(4));
  const measured = measureScrap(window, expected)!;
  const finds = findsOf(measured, expected.judged.below);
  const { asSet } = measured.otherLength!;
  expect(sureOf(finds, expected.judged) * asSet).toBeCloseTo(measured.sure, 9);
  // As if each were off by itself, which they are not.
  const alone = atMostOneWrong(finds.map(({ sure }) => sure));
  expect(Math.abs(measured.sure - alone)).toBeGreaterThan(0.001);
});
