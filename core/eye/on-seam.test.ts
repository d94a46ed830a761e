import fc from 'fast-check';
import { noisy, pxOf, seamIn } from './drawn-field.fixture';
import { valueAt } from './flatten';
import { laidField, lookAlong, lookOn } from './on-seam';

const field = noisy(30, 20, { noise: 1 });
const place = fc.double({ min: -25, max: 25, noNaN: true });
const angles = fc.integer({ min: -180, max: 180 }).map((degrees) => (degrees * Math.PI) / 180);

test('by a seam’s coordinates a field has what it has at that place in px, and beyond it nothing', () => {
  fc.assert(
    fc.property(angles, place, place, (angle, along, across) => {
      const seam = seamIn(field, { angle });
      const [x, y] = pxOf(field, seam, [along, across]);
      const there = valueAt(field, x, y);
      expect(lookAlong(field, seam)(along, across)).toBeCloseTo(there, 6);
      expect(lookOn(laidField(field, seam, -1))(along, across)).toBeCloseTo(-there, 6);
    }),
  );
});
