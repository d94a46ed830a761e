import { colourDifference } from '../colour/difference';
import { proposedPickMm, weightsOf } from './wish-for-stitches';

test('colours differ as they are seen', () => {
  expect(colourDifference('#5d6b78', '#5d6b78')).toBe(0);
  expect(colourDifference('#000000', '#ffffff')).toBeCloseTo(100, 3);
  expect(colourDifference('#5d6b78', '#63717e')).toBeLessThan(5);
});

test.each([
  ['matching', null, null, 1],
  ['contrasting', null, null, 0.5],
  ['clear', '#000000', '#ffffff', 1],
  ['matching', '#5d6b78', '#5d6b78', 1],
  // What is said to match and does not is seen.
  ['matching', '#1d2733', '#f4efe4', 0.5],
  ['contrasting', '#1d2733', '#f4efe4', 0.5],
] as const)('%s thread, %s on %s: %d mm', (thread, cloth, colour, pick) => {
  expect(proposedPickMm(thread, cloth, colour)).toBeCloseTo(pick, 9);
});

test('in between it goes by how far they differ', () => {
  const pick = proposedPickMm('matching', '#5d6b78', '#6f7d8a');
  expect(pick).toBeGreaterThan(0.5);
  expect(pick).toBeLessThan(1);
});

test('holding weighs a miss, hiding what shows', () => {
  expect(weightsOf.hold.below).toBeGreaterThan(weightsOf.hold.above);
  expect(weightsOf.hide.above).toBeGreaterThan(weightsOf.hide.below);
});
