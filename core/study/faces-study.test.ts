import { evenDraws } from '../swatch/draw';
import { eyeCases } from './eye-cases';
import { facesStudy } from './faces-study';

test('in photos of both faces of one scrap the bites are matched, and both together are nearer the truth', () => {
  const round = 'blind hem over a round fold, wrong side, coarse weave, sharp';
  const it = eyeCases().find(({ name }) => name === round)!;
  const seen = facesStudy({ ...it, pxPerMm: 10 }, 4, evenDraws(77));
  // One that could lie either way is said to.
  expect(seen.refused).toBe(0);
  expect(seen.unsure).toBeLessThanOrEqual(1);
  expect(seen.rightlyShare).toBeGreaterThan(0.97);
  expect(seen.depthErrorMm.both).toBeLessThan(0.8 * seen.depthErrorMm.alone);
  expect(seen.coverage).toBeGreaterThan(0.85);
});
