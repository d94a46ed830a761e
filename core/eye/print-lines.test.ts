import fc from 'fast-check';
import { noisy, seamIn, threadOf, zigzag, zigzagPlaces } from './drawn-field.fixture';
import { isOneOfMany } from './print-lines';

const seen = zigzag(1.5, 4);

/** A cloth whose tone turns at places across its middle, mm, by so much each. */
function turning(at: readonly (readonly [acrossMm: number, by: number])[]) {
  const field = noisy(70, 40, { pxPerMm: 10, noise: 0.02 });
  const seam = seamIn(field);
  const thread = threadOf(seen, zigzagPlaces(seen, { acrossMm: -2, alongMm: 0 }, 50));
  field.values.forEach((value, i) => {
    const across = Math.floor(i / field.width) / field.pxPerMm - seam.middleMm[1];
    field.values[i] = at.reduce((sum, [mm, by]) => sum + (across > mm ? by : 0), value);
  });
  return (acrossMm: number) => isOneOfMany(field, seam, { acrossMm, slope: 0 }, thread);
}

/** Borders of stripes: dark begins at each, and ends a third of the way to the next. */
const striped = (firstMm: number, everyMm: number, by: number) =>
  Array.from({ length: 11 }, (_, i) => firstMm + (i - 5) * everyMm).flatMap((mm) => [
    [mm, -by] as const,
    [mm + everyMm / 3, by] as const,
  ]);

test('the border of a stripe is one of many, whichever it is', () => {
  fc.assert(
    fc.property(fc.double({ min: 3, max: 5, noNaN: true }), (everyMm) => {
      const isPrint = turning(striped(0.5, everyMm, 0.3));
      expect(isPrint(0.5)).toBe(true);
      expect(isPrint(0.5 + everyMm / 3)).toBe(true);
    }),
    { numRuns: 20, examples: [[4.752660671795318]] },
  );
});

test('so it is where stripes are wide, and lie otherwise beyond the fold, which is hardly seen among them', () => {
  // Three borders of its own cloth lie evenly, the third 16.8 mm away; those of the other lie as they happen to.
  const upper = [0.5, -7.9, -16.3].flatMap(
    (mm) =>
      [
        [mm, -0.23],
        [mm - 3.4, 0.23],
      ] as const,
  );
  const lower = [6.7, 15.1].flatMap(
    (mm) =>
      [
        [mm, -0.27],
        [mm + 3.4, 0.27],
      ] as const,
  );
  expect(turning([...upper, [2.9, -0.04], ...lower])(0.5)).toBe(true);
});

test('a fold among stripes is not: it turns more than they do, or lies among them as it happens', () => {
  expect(turning([...striped(1.7, 4, 0.3), [0.5, -0.6]])(0.5)).toBe(false);
  expect(turning([...striped(2.2, 4, 0.3), [0.7, -0.3]])(0.7)).toBe(false);
});

test('nor is a line by itself, or one with the scrap’s own edge beside it', () => {
  expect(turning([[0.5, -0.3]])(0.5)).toBe(false);
  expect(
    turning([
      [0.5, -0.3],
      [9, -0.3],
    ])(0.5),
  ).toBe(false);
});
