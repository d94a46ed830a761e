import { evenDraws } from '../swatch/draw';
import { denimCurve } from './study-run';
import { placingReached } from './placing-study';

test('an attachment of unknown place is right within four scraps, sooner than by turns', () => {
  const { medianAdvised, medianTrial, sewists } = placingReached(denimCurve, 4, 1.8, evenDraws(7));
  expect(sewists).toBe(4);
  expect(medianAdvised).toBeLessThanOrEqual(4);
  expect(medianTrial).toBeGreaterThan(medianAdvised);
});
