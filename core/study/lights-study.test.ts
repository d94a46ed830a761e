import { evenDraws } from '../swatch/draw';
import { eyeCases } from './eye-cases';
import { lightsStudy } from './lights-study';

test('a second photo with the lamp on the other side tells how deep bites go over a round fold nearer the truth', () => {
  const round = 'blind hem over a round fold, wrong side, plain, light thread, soft';
  const it = eyeCases().find(({ name }) => name === round)!;
  const seen = lightsStudy({ ...it, pxPerMm: 10 }, 16, evenDraws(71));
  expect(seen.refused).toBe(0);
  expect(seen.depthErrorMm.both).toBeLessThan(0.8 * seen.depthErrorMm.alone);
  expect(seen.withinOne.both).toBeGreaterThanOrEqual(seen.withinOne.alone);
  expect(seen.coverage).toBeGreaterThan(0.85);
});
