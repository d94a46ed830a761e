import { stepsOf } from '../plan/work';
import { plainSeam } from './plain-seam';
import { serged } from './serged';
import { foldsOf, workOn } from './wishes.fixture';

test('one line, the allowance from both raw edges', () => {
  const plan = foldsOf(plainSeam, { variant: 'open', seamAllowanceMm: 15 });
  expect(plan).toMatchObject({ allowanceMm: 15, layersAtStitch: 2, stitchFromHemlineMm: 15 });
});

test('pressed open each edge is finished alone, before; together both at once, after', () => {
  const ids = (variant: string) =>
    stepsOf(plainSeam, workOn(plainSeam, variant)).map(({ id }) => id);
  const open = ids('open');
  expect(open.indexOf('raw-edge-other')).toBeLessThan(open.indexOf('sew'));
  const together = ids('together');
  expect(together.indexOf('raw-edge')).toBeGreaterThan(together.indexOf('sew'));
  expect(together).not.toContain('raw-edge-other');
});

test('four threads join two edges of a seam, and wrap one of an allowance', () => {
  const wish = { variant: 'four-thread', seamAllowanceMm: 10, depthMm: 6 };
  const cloth = { thicknessMm: 0.5 };
  expect(serged.folds({ wish, cloth, edge: { purpose: 'seam' } }).layersAtStitch).toBe(2);
  expect(serged.folds({ wish, cloth, edge: { purpose: 'allowance' } }).layersAtStitch).toBe(1);
  const three = { ...wish, variant: 'three-wide' };
  expect(serged.folds({ wish: three, cloth, edge: { purpose: 'seam' } }).layersAtStitch).toBe(1);
});
