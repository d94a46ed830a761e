import { coverstitchHem } from './coverstitch-hem';
import { foldsOf } from './wishes.fixture';

test.each([
  ['narrow', 1.25],
  ['wide', 2.5],
])('%s: one needle in the hem, the other beyond its raw edge', (variant, inHemMm) => {
  const plan = foldsOf(coverstitchHem, { variant, depthMm: 25 });
  expect(plan.allowanceMm).toBe(25);
  expect(plan.layersAtStitch).toBe(2);
  expect(plan.stitchFromHemlineMm).toBe(25 - inHemMm);
  const sewn = plan.stages.at(-1)!;
  const [one = 0, other = 0] = sewn.stitchesXMm;
  expect(Math.abs(one - other)).toBeCloseTo(2 * inHemMm, 9);
});

test('it takes a coverstitch machine, and which needles is the variant’s', () => {
  expect(coverstitchHem.needs('narrow')).toMatchObject({ machineKinds: ['coverstitch'], feet: [] });
  expect(coverstitchHem.needs('wide').patterns).toEqual(['cover-wide']);
});
