import fc from 'fast-check';
import { noisy, pxOf, seamIn, zigzag } from './drawn-field.fixture';
import { valueAt } from './flatten';
import { isSeenAlong, laidField, lookAlong, lookOn, placedHoles } from './on-seam';

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

test('a seam has all its holes in the window, whichever of its repeats it is known by', () => {
  const seen = zigzag(4, 4);
  fc.assert(
    fc.property(
      fc.double({ min: -60, max: 60, noNaN: true }),
      fc.double({ min: 3.5, max: 4.5, noNaN: true }),
      fc.constantFrom<1 | -1>(1, -1),
      (alongMm, repeatMm, turned) => {
        const seam = seamIn(field, { alongMm, repeatMm, turned: [turned, 1] });
        const there = placedHoles(seen, seam, 30).map((one) => one.alongMm);
        // Brute force: far more repeats than there is room for.
        const all = Array.from({ length: 201 }, (_, i) => i - 100).flatMap((repeat) =>
          seen.holes.map((hole) => alongMm + turned * repeatMm * (hole.alongMm / 4 + repeat)),
        );
        const within = all.filter((mm) => Math.abs(mm) <= 15);
        const sorted = (list: readonly number[]) => list.map((mm) => mm.toFixed(6)).sort();
        expect(sorted(there)).toEqual(sorted(within));
      },
    ),
  );
});

test('clear of a window’s border it is seen; along it runs what the card is printed with', () => {
  fc.assert(
    fc.property(angles, place, place, (angle, along, across) => {
      const seam = seamIn(field, { angle });
      const [x, y] = pxOf(field, seam, [along, across]).map((px) => px / field.pxPerMm) as [
        number,
        number,
      ];
      const { width, height, pxPerMm } = field;
      const [right, low] = [(width - 1) / pxPerMm - x, (height - 1) / pxPerMm - y];
      const fromBorder = Math.min(x, y, right, low);
      fc.pre(Math.abs(fromBorder - 0.6) > 1e-6);
      expect(isSeenAlong(field, seam)(along, across)).toBe(fromBorder > 0.6);
    }),
  );
});
