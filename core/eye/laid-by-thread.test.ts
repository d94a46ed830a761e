import fc from 'fast-check';
import { noisy, seamIn, threadOf, zigzag } from './drawn-field.fixture';
import type { FoundSeam } from './find-seam';
import { laidByThread, liesElsewhere } from './laid-by-thread';
import { inWindow, placedHoles } from './on-seam';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const seen = zigzag(3, 4);
const field = noisy(100, 60, { noise: 0 });

/** A place of the window in the coordinates of a seam. */
function onSeam({ angle, middleMm }: FoundSeam, [x, y]: readonly [number, number]) {
  const half = 0.5 / field.pxPerMm;
  const [dx, dy] = [x - half - middleMm[0], y - half - middleMm[1]];
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return [dx * c + dy * s, dy * c - dx * s] as const;
}

test('a seam whose direction, place and length are a little off is laid where its thread lies, whichever way it lies', () => {
  fc.assert(
    fc.property(
      fc.record({
        angle: number(-0.04, 0.04),
        acrossMm: number(-8, 8),
        alongMm: number(-2, 2),
        repeatMm: number(3.8, 4.2),
      }),
      fc.constantFrom<FoundSeam['turned']>([1, 1], [1, -1], [-1, 1], [-1, -1]),
      fc.record({
        angle: number(-0.03, 0.03),
        repeat: number(0.98, 1.02),
        acrossMm: number(-1, 1),
      }),
      fc.integer({ min: 0, max: 12 }),
      (at, turned, off, from) => {
        const truth = seamIn(field, { ...at, turned });
        const found = seamIn(field, {
          ...{ ...at, turned },
          angle: at.angle + off.angle,
          acrossMm: at.acrossMm + off.acrossMm,
          repeatMm: at.repeatMm * off.repeat,
        });
        const all = placedHoles(seen, truth, 100);
        // No more than a part of it was followed.
        const thread = all.slice(from, from + 16).map((one) => {
          const place = inWindow(truth, field.pxPerMm, [one.alongMm, one.acrossMm]);
          const [alongMm, acrossMm] = onSeam(found, place);
          return { ...threadOf(seen, [[alongMm, acrossMm]])[0]!, ...one, alongMm, acrossMm };
        });
        const laid = laidByThread(seen, found, thread);
        expect(Math.abs(laid.angle - truth.angle)).toBeLessThan(2e-4);
        expect(Math.abs(laid.repeatMm - truth.repeatMm)).toBeLessThan(3e-3);
        for (const one of placedHoles(seen, laid, 98)) {
          const same = all.find(({ hole, repeat }) => hole === one.hole && repeat === one.repeat);
          if (!same) continue;
          const [x, y] = inWindow(laid, field.pxPerMm, [one.alongMm, one.acrossMm]);
          const [u, v] = inWindow(truth, field.pxPerMm, [same.alongMm, same.acrossMm]);
          expect(Math.hypot(x - u, y - v)).toBeLessThan(0.05);
        }
      },
    ),
  );
});

test('other thread is followed along a seam that is longer, turned or shifted by more than holes wander, and only then', () => {
  const seam = seamIn(field);
  const elsewhere = (more: Partial<FoundSeam>) =>
    liesElsewhere(seen, seam, { ...seam, ...more }, 50);
  expect(elsewhere({})).toBe(false);
  expect(elsewhere({ repeatMm: 4.01, angle: 0.004, acrossMm: 0.1 })).toBe(false);
  // Of 2 mm stitches holes wander by 0.24 mm along: so much is gained in 50 mm.
  expect(elsewhere({ repeatMm: 4 * (1 + 0.25 / 50) })).toBe(true);
  expect(elsewhere({ repeatMm: 4 * (1 - 0.25 / 50) })).toBe(true);
  expect(elsewhere({ repeatMm: 4 * (1 + 0.23 / 50) })).toBe(false);
  expect(elsewhere({ angle: -0.009 })).toBe(true);
  expect(elsewhere({ acrossMm: 0.5 })).toBe(true);
});
