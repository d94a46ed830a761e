import { evenDraws } from '../swatch/draw';
import { eyeCases } from './eye-cases';
import { facesStudy } from './faces-study';

// Where the fold is as sharp as it is drawn here, its place is told better than its spread says, and the right side adds nothing.
test('in photos of both faces of one scrap the bites are matched, and both together are as near the truth', () => {
  const it = eyeCases().find(({ name }) => name === 'blind hem, wrong side, coarse weave, soft')!;
  const seen = facesStudy({ ...it, pxPerMm: 10 }, 1, evenDraws(77));
  expect(seen).toMatchObject({ refused: 0, unsure: 0 });
  expect(seen.rightlyShare).toBeGreaterThan(0.97);
  expect(seen.depthErrorMm.both).toBeLessThan(0.025);
  expect(seen.depthErrorMm.both).toBeLessThan(1.25 * seen.depthErrorMm.alone);
});
