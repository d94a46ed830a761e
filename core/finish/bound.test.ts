import { turnOfClothMm } from '../fold/turn-of-cloth';
import { foldPlanOf } from '../plan/fold-plan';
import { stepsOf } from '../plan/work';
import { bound } from './bound';
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
  expect(ids('satin', { cornered: true })).toContain('mitre');
  expect(ids('satin', {})).not.toContain('mitre');
});
