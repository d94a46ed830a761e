import fc from 'fast-check';
import { everyVariant } from '../finish/wishes.fixture';
import type { SewingPlan } from '../finish/sewing-plan';
import { foldFields, takesField } from '../finish/fold-request';
import { foldTroubles } from './fold-plan';
import { learnedFrom, lessonOf, type SewnSample } from './learn-plan';
import { marginOfPlan } from './margin-of-plan';
import { sameForLearning } from './same-set-up';
import { workedOut } from './worked.fixture';

const sewn = everyVariant.filter(([, finish, variant]) => finish.margin(variant));

/** A plan with one length of its folds changed, where the finish can fold it so. */
function refolded([, finish, variant]: (typeof sewn)[number], plan: SewingPlan, share: number) {
  return foldFields.flatMap((field): SewingPlan[] => {
    const rule = finish.fields[field];
    if (!rule || !takesField(rule, variant)) return [];
    const mm = Math.round(rule.leastMm + share * (Math.min(rule.mostMm, 60) - rule.leastMm));
    const fold = { ...plan.fold, [field]: mm };
    const troubles = foldTroubles(finish, { wish: fold, cloth: plan.cloth, strip: plan.strip });
    return troubles.length > 0 ? [] : [{ ...plan, fold }];
  });
}

describe.each(sewn)('%s', (...it) => {
  const [, finish, variant] = it;
  const { plan, work } = workedOut(finish, variant)!;
  const { settings } = work.sewn!;
  const { countedCheck } = marginOfPlan(finish, variant);
  const counts = fc.record({
    short: fc.integer({ min: 0, max: 10 }),
    over: fc.integer({ min: 0, max: 10 }),
  });

  test('a fold that is changed afterwards never changes what a scrap taught', () => {
    fc.assert(
      fc.property(counts, fc.double({ min: 0, max: 1, noNaN: true }), (counted, share) => {
        const sample: SewnSample = { settings, plan, check: countedCheck, n: 24, ...counted };
        const taught = learnedFrom(finish, plan, [sample]);
        for (const changed of refolded(it, plan, share)) {
          expect(sameForLearning(plan, changed)).toBe(true);
          const now = learnedFrom(finish, changed, [sample]);
          for (const [source, posterior] of Object.entries(taught)) {
            const same = now[source as keyof typeof now];
            expect(same?.shiftMm).toBeCloseTo(posterior.shiftMm, 12);
            expect(same?.sigmaMm).toBeCloseTo(posterior.sigmaMm, 12);
          }
        }
      }),
      { numRuns: 2 },
    );
  });
});

test('a binding of six that becomes one of twelve: judged by twelve it would have been all faults', () => {
  const entry = sewn.find(([name]) => name === 'bound, double-fold')!;
  const [, finish, variant] = entry;
  const { plan, work } = workedOut(finish, variant)!;
  const narrow = { ...plan, fold: { ...plan.fold, depthMm: 6 } };
  const wide = { ...plan, fold: { ...plan.fold, depthMm: 12 } };
  const sample = { settings: work.sewn!.settings, check: 'front', n: 24, short: 0, over: 3 };
  const own = learnedFrom(finish, wide, [{ ...sample, plan: narrow }]).guide!;
  const falsified = learnedFrom(finish, wide, [sample]).guide!;
  expect(own.shiftMm).toBeCloseTo(learnedFrom(finish, narrow, [sample]).guide!.shiftMm, 12);
  expect(Math.abs(falsified.shiftMm - own.shiftMm)).toBeGreaterThan(0.1);
});

test('the next move is made for the fold as it is now, from what the old one taught', () => {
  const [, finish, variant] = sewn.find(([name]) => name === 'blind-hem, flat')!;
  const { plan, work } = workedOut(finish, variant)!;
  const thick = { ...plan, pickMm: 2 };
  const sample = { settings: work.sewn!.settings, check: 'bite', n: 24, short: 12, over: 0, plan };
  const lesson = lessonOf(finish, thick, [sample]);
  expect(lesson.posterior.shiftMm).toBeCloseTo(
    lessonOf(finish, plan, [sample]).posterior.shiftMm,
    12,
  );
  expect(lesson.next.predicted.ok).toBeGreaterThan(lesson.now.predicted.ok);
});
