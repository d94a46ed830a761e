import fc from 'fast-check';
import { turnOfClothMm } from '../fold/turn-of-cloth';
import { binderIssues, binderSpreadMm, usualStandOffMm } from '../kit/binder';
import type { FootKind } from '../kit/foot-kind';
import { bestPresser, presserTroubles } from '../kit/presser-beside';
import { foldPlanOf } from '../plan/fold-plan';
import { stepsOf } from '../plan/work';
import { bound } from './bound';
import { shorterShareOf } from '../strip/shorter';
import { foldsOf, medium, workOn } from './wishes.fixture';

const t = medium.thicknessMm;

test.each([
  ['double-fold', 4 * 8 + turnOfClothMm(t, 3 * t), 5, 'bias'],
  ['single-fold', 3 * 8 + turnOfClothMm(t, 2 * t), 4, 'bias'],
  ['knit-strip', 2 * 8 + 2 * 6 + turnOfClothMm(t, 3 * t), 5, 'cross'],
  ['fold-over-elastic', 2 * 8 + turnOfClothMm(t, t), 3, 'none'],
  ['satin', 2 * 8 + 2 * 6 + turnOfClothMm(t, 3 * t), 5, 'none'],
  ['seam-allowances', 4 * 8 + turnOfClothMm(t, 3 * t), 5, 'bias'],
])('a strip of %s for 8 mm', (variant, widthMm, layers, cutting) => {
  const plan = foldsOf(bound, { variant, depthMm: 8, seamAllowanceMm: 15 });
  expect(plan.strip?.widthMm).toBeCloseTo(widthMm, 9);
  expect(plan.strip?.cutting).toBe(cutting);
  expect(plan.layersAtStitch).toBe(layers);
  expect(plan.allowanceMm).toBe(-15);
  expect(plan.marks).toEqual([]);
  expect(plan.trim).toEqual({ needed: true, leaveMm: 0, cutAwayMm: 15 });
});

test('plush takes millimetres to go round; an attachment’s strip wins, cut scant', () => {
  const { strip } = foldsOf(bound, { variant: 'double-fold', depthMm: 10, coreMm: 12 });
  expect(strip?.turnOfClothMm).toBeCloseTo(turnOfClothMm(t, 12 + 2 * t), 9);
  const stated = foldsOf(bound, { variant: 'double-fold', depthMm: 10, statedStripMm: 28 });
  expect(stated.strip?.widthMm).toBe(27.5);
});

test('the stack is that of the binding and of what it wraps', () => {
  const { stackMm } = foldsOf(bound, { variant: 'double-fold', depthMm: 10, coreMm: 5 });
  expect(stackMm).toBeCloseTo((4 * t + 5) * 0.7, 9);
});

test('no allowance is a zero, not a negative one', () => {
  expect(Object.is(foldsOf(bound, { variant: 'satin', depthMm: 40 }).allowanceMm, 0)).toBe(true);
});

test.each([
  [
    'double-fold',
    1.5,
    'A binding of 1.5 mm leaves 0.75 mm for the stitch, and the needle needs 1.1 mm to hold it; 2.2 mm or wider would fit.',
  ],
  [
    'satin',
    5,
    'A satin binding of 5 mm is narrower than its own turn of 6 mm; 6 mm or wider would fit.',
  ],
])('too narrow a %s names both numbers', (variant, depthMm, words) => {
  expect(() => foldPlanOf(bound, { wish: { variant, depthMm }, cloth: medium })).toThrow(words);
});

test('by hand two passes, by a binder one; corners of a blanket are mitred', () => {
  const ids = (variant: string, more: Parameters<typeof workOn>[2]) =>
    stepsOf(bound, workOn(bound, variant, more)).map(({ id }) => id);
  expect(ids('double-fold', { way: 0 })).toContain('first');
  expect(ids('double-fold', { way: 2, radiusMm: 60 })).toContain('binding-curve');
  expect(ids('satin', { cornered: true })).toEqual(
    expect.arrayContaining(['corner-end', 'mitre-back', 'mitre-front', 'mitre-close']),
  );
  expect(ids('satin', {})).not.toContain('mitre-back');
});

describe('ways of attaching', () => {
  const work = (variant: string, schools: Record<string, string>, more = {}) => {
    const request = workOn(bound, variant, { cornered: true, radiusMm: 60, ...more });
    return stepsOf(bound, { ...request, schools: { ...request.schools, ...schools } });
  };
  const idsOf = (...asked: Parameters<typeof work>) => work(...asked).map(({ id }) => id);

  test('a binder is set, loaded, tried alone and then meets the cloth', () => {
    const ids = idsOf('double-fold', { attach: 'binder-attachment' });
    const order = ['lay-attachment', 'point-strip', 'coax-strip', 'strip-alone', 'hold-start'];
    const places = order.map((id) => ids.indexOf(id));
    expect(places[0]).toBeGreaterThan(0);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    expect(ids.indexOf('hold-start')).toBeLessThan(ids.indexOf('sew'));
    expect(idsOf('double-fold', { attach: 'by-hand' })).not.toContain('coax-strip');
    expect(idsOf('double-fold', { attach: 'binder-foot' })).toContain('set-flange');
    expect(idsOf('satin', { attach: 'binder-attachment' })).not.toContain('lay-attachment');
  });

  test('stands off more on an inside curve, and not at all with elastic', () => {
    expect(usualStandOffMm(false, null)).toBe(12);
    expect(usualStandOffMm(false, 80)).toBe(18);
    expect(usualStandOffMm(false, 20)).toBe(24);
    expect(usualStandOffMm(true, 20)).toBe(0);
    const lay = work('fold-over-elastic', { 'attach-elastic': 'binder' }).find(
      ({ id }) => id === 'lay-attachment',
    );
    expect(lay?.values['standOffMm']).toBe(0);
  });

  test('a rounded corner has its least radius and no mitre', () => {
    const steps = work('double-fold', { 'binding-corner': 'rounded' });
    const round = steps.find(({ id }) => id === 'round-corners');
    // A binding of 8 on a strip that gives 20 %.
    expect(round?.values['radiusMm']).toBeCloseTo(48, 9);
    expect(steps.some(({ id }) => id === 'mitre-back')).toBe(false);
  });

  test('what rolls is starched, on a scrap first', () => {
    expect(idsOf('knit-strip', {}, { cloth: { ...medium, curl: 3 } })).toContain('starch');
    expect(idsOf('knit-strip', {})).not.toContain('starch');
  });

  test.each([
    ['knit-strip', { 'strip-shorter': 'taut' }, true, 0.1],
    ['knit-strip', { 'strip-shorter': 'taut' }, false, 0],
    ['knit-strip', {}, true, 0.05],
    ['knit-strip', { 'strip-shorter': 'as-long' }, true, 0],
    ['fold-over-elastic', {}, false, 0.1],
    ['fold-over-elastic', { 'elastic-pull': 'legs-waist' }, true, 0.2],
    ['double-fold', {}, true, 0],
  ])('%s %j is cut shorter by a share', (variant, ways, inside, share) => {
    expect(shorterShareOf(variant, ways as Record<string, string>, inside)).toBe(share);
  });
});

describe('a binder and its strip', () => {
  const flange = { mouthMm: 42, flangeMm: [10, 40], placing: {} } as const;
  test.each([
    [{ ...flange }, 32, null],
    [{ ...flange, placing: { flangeMm: 33 } }, 32, null],
    [{ mouthMm: 30, placing: {} }, 32, 'mouth-narrower-than-strip'],
    [{ ...flange, placing: { flangeMm: 41 } }, 32, 'flange-out-of-range'],
    [{ ...flange, placing: { flangeMm: 30 } }, 32, 'flange-narrower-than-strip'],
    [{ ...flange, mouthMm: 60 }, 44, 'strip-outside-flange'],
    [{ mouthMm: 42, placing: { flangeMm: 30 } }, 28, 'no-flange'],
  ])('%j with a strip of %d', (binder, stripMm, code) => {
    expect(binderIssues(binder, stripMm)[0]?.code ?? null).toBe(code);
  });

  test('play in the flange lets the back wander further, and never less', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 12, noNaN: true }),
        (own, play) => {
          const spread = binderSpreadMm(own, play);
          expect(spread).toBeGreaterThanOrEqual(own);
          // A strip anywhere in the play has its variance beside the binder's own.
          expect(spread ** 2).toBeCloseTo(own ** 2 + play ** 2 / 12, 9);
        },
      ),
    );
  });

  test('the foot behind an attachment holds the whole strip, and is short on a tight curve', () => {
    const foot = (kind: FootKind, widthMm: number, toeMm: number) => ({
      kind,
      soleMm: { widthMm, toeMm },
    });
    expect(presserTroubles(foot('straight', 12, 12), 5, null)).toEqual([]);
    expect(presserTroubles(foot('straight', 12, 12), 7, null)).toEqual(['too-narrow']);
    expect(presserTroubles(foot('zigzag', 18, 14), 5, 60)).toEqual(['too-long']);
    expect(presserTroubles(foot('blind', 20, 12), 5, 60)).toEqual(['no-presser']);
    const drawer = [foot('blind', 30, 8), foot('zigzag', 18, 14), foot('straight', 12, 12)];
    expect(bestPresser(drawer, 5, 60)).toBe(drawer[2]);
    expect(bestPresser([], 5, 60)).toBeNull();
  });
});
