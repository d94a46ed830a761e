import { needlePointFor } from './needle';

const cloth = (
  construction: 'woven' | 'knit' | 'sheer' | 'pile',
  weightGsm: number,
  thicknessMm: number,
) => ({ construction, weightGsm, thicknessMm });

test.each([
  // A lofty flannel of 310 g/m² and 1 mm is no denim: 310 kg/m³.
  [[cloth('woven', 310, 1)], 'universal'],
  [[cloth('woven', 400, 0.8)], 'denim'],
  [[cloth('woven', 250, 0.4)], 'universal'],
  [[cloth('woven', 251, 0.4)], 'denim'],
  [[cloth('woven', 90, 0.18)], 'sharp'],
  [[cloth('woven', 90, 0.4)], 'universal'],
  [[cloth('sheer', 40, 0.15)], 'sharp'],
  [[cloth('knit', 200, 0.6)], 'ball'],
  [[cloth('pile', 300, 2.5)], 'universal'],
  // A knit anywhere under the needle wants a ball; a fine strip on plush a sharp one.
  [[cloth('woven', 300, 0.5), cloth('knit', 180, 0.6)], 'ball'],
  [[cloth('pile', 300, 2.5), cloth('woven', 100, 0.2)], 'sharp'],
] as const)('%j wants a %s point', (pieces, point) => {
  expect(needlePointFor(pieces)).toBe(point);
});
