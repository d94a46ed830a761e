import { evenDraws } from '../swatch/draw';
import { differentialCoverage, differentialReached } from './differential-study';

test('the interval holds the flat place for about nine sewists of ten', () => {
  for (const { held } of differentialCoverage(200, 400, 3, {}, evenDraws(7))) {
    // Four hundred sewists: three standard deviations are a twentieth.
    expect(held).toBeGreaterThan(0.85);
    expect(held).toBeLessThan(0.95);
  }
});

test('following the advice takes fewer scraps than one step at a time, and enough is flat', () => {
  const it = differentialReached(200, 200, {}, evenDraws(9));
  expect(it.medianAdvised).toBeLessThanOrEqual(2);
  expect(it.medianTrial).toBeGreaterThan(it.medianAdvised);
  expect(it.trulyFlat).toBeGreaterThan(0.85);
});
