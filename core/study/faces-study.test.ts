import { evenDraws } from '../swatch/draw';
import { eyeCases } from './eye-cases';
import { facesStudy } from './faces-study';

test('in photos of both faces of one scrap the bites are matched, and both together are nearer the truth', () => {
  const round = 'blind hem over a round fold, wrong side, plain, light thread, soft';
  const it = eyeCases().find(({ name }) => name === round)!;
  const seen = facesStudy({ ...it, pxPerMm: 10 }, 3, evenDraws(71));
  expect(seen).toMatchObject({ refused: 0, unsure: 0 });
  expect(seen.rightlyShare).toBeGreaterThan(0.97);
  expect(seen.depthErrorMm.both).toBeLessThan(0.8 * seen.depthErrorMm.alone);
  expect(seen.coverage).toBeGreaterThan(0.85);
});
