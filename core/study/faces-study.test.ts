import { evenDraws } from '../swatch/draw';
import { eyeCases } from './eye-cases';
import { facesStudy } from './faces-study';

test('in photos of both faces of one scrap the bites are matched, and both together are nearer the truth', () => {
  const it = eyeCases().find(({ name }) => name === 'blind hem, wrong side, coarse weave, soft')!;
  const seen = facesStudy({ ...it, pxPerMm: 10 }, 1, evenDraws(77));
  expect(seen).toMatchObject({ refused: 0, unsure: 0 });
  expect(seen.rightlyShare).toBeGreaterThan(0.97);
  expect(seen.depthErrorMm.both).toBeLessThan(seen.depthErrorMm.alone);
});
