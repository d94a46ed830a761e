import fc from 'fast-check';
import { drawThread, noisy, seamIn, zigzag, zigzagPlaces } from './drawn-field.fixture';
import { coarser, standingOut } from './flatten';
import { angleStepDegrees, likelyAngles, mostTurnedDegrees } from './seam-angles';

const radians = (degrees: number) => (degrees / 180) * Math.PI;

/** A fold’s shadow through the middle of a field, or a zigzag without one. */
function sewn(angle: number, kind: 'fold' | 'zigzag') {
  const field = noisy(70, 30, { noise: 0.1, seed: 4 });
  const seam = seamIn(field, { angle, acrossMm: 1.5, repeatMm: 4 });
  if (kind === 'fold')
    drawThread(
      field,
      seam,
      [
        [-34, 0],
        [34, 0],
      ],
      { light: -0.3 },
    );
  else drawThread(field, seam, zigzagPlaces(zigzag(3, 4), seam, 56), { light: 0.3 });
  return coarser(standingOut(field), 2);
}

test('a straight line is the likeliest direction of all, however it is turned', () => {
  fc.assert(
    fc.property(fc.double({ min: -11, max: 11, noNaN: true }), (degrees) => {
      const [likeliest] = likelyAngles(sewn(radians(degrees), 'fold'));
      expect(Math.abs(likeliest! - radians(degrees))).toBeLessThan(radians(angleStepDegrees));
    }),
    { numRuns: 8 },
  );
});

test('a zigzag without a line beside it is among those that are looked at', () => {
  fc.assert(
    fc.property(fc.double({ min: -11, max: 11, noNaN: true }), (degrees) => {
      const off = likelyAngles(sewn(radians(degrees), 'zigzag')).map((angle) =>
        Math.abs(angle - radians(degrees)),
      );
      // As near as one goes uphill from.
      expect(Math.min(...off)).toBeLessThan(radians(4 * angleStepDegrees));
    }),
    { numRuns: 8 },
  );
});

test('none is steeper than people lay a seam, and none is told twice', () => {
  const angles = likelyAngles(sewn(0.1, 'zigzag'));
  for (const angle of angles)
    expect(Math.abs(angle)).toBeLessThanOrEqual(radians(mostTurnedDegrees));
  expect(new Set(angles).size).toBe(angles.length);
});

test('a row is the plain sum of the pixels it goes through', () => {
  // One bright pixel row after row, a step down every fifth: all of them lie on one slanting row only at that angle.
  const [width, height] = [101, 80];
  const values = new Float32Array(width * height);
  for (let x = 0; x < width; x++) values[(40 + Math.round((x - 50) / 8)) * width + x] = 1;
  const [likeliest] = likelyAngles({ width, height, values, pxPerMm: 4 });
  expect(Math.abs(Math.tan(likeliest!) - 1 / 8)).toBeLessThan(radians(angleStepDegrees));
});
