import fc from 'fast-check';
import type { FoundSeam } from './find-seam';
import { isClearOf, laidAlong, mirrored } from './straight-line';
import type { TracedHole } from './trace';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const seam: FoundSeam = {
  ...{ angle: 0.02, middleMm: [50, 30], acrossMm: 3, alongMm: 0, repeatMm: 2.5 },
  ...{ turned: [1, 1], lighter: true, score: 9 },
};

/** Holes of a straight stitch 2 mm right of its fold, at places across. */
const holesAt = (across: readonly number[], besideMm = 2): TracedHole[] =>
  across.map((acrossMm, i) => ({
    ...{
      hole: { alongMm: 0, acrossMm: besideMm, role: 'run', counted: true, needle: 0 },
      repeat: i,
    },
    ...{ alongMm: (i - across.length / 2) * 2.5, acrossMm },
    ...{ logOdds: 9, lineLogOdds: 9, linePlain: 1, acrossSpreadMm: 0.05 },
  }));

test('a seam is laid along its holes: what is left of them has no slope, and no offset', () => {
  fc.assert(
    fc.property(
      fc.array(number(-0.4, 0.4), { minLength: 8, maxLength: 40 }),
      number(-0.04, 0.04),
      number(-1, 1),
      (wander, slope, off) => {
        const thread = holesAt(
          wander.map((mm, i) => off + mm + slope * (i - wander.length / 2) * 2.5),
        );
        const laid = laidAlong(seam, thread);
        // The same holes as the turned seam has them, a small turn about its middle.
        const turn = laid.angle - seam.angle;
        const left = thread.map(
          ({ alongMm, acrossMm }) => acrossMm - Math.tan(turn) * alongMm - laid.acrossMm - 2,
        );
        const mean = left.reduce((sum, mm) => sum + mm, 0) / left.length;
        const tilt = left.reduce(
          (sum, mm, i) =>
            sum +
            mm * (thread[i]!.alongMm - thread.reduce((s, one) => s + one.alongMm, 0) / left.length),
          0,
        );
        expect(Math.abs(mean)).toBeLessThan(1e-9);
        expect(Math.abs(tilt)).toBeLessThan(1e-6);
      },
    ),
  );
});

test('with its fold on the other side the thread lies where it lay', () => {
  const other = mirrored(seam, 2);
  const threadOf = ({ acrossMm, turned }: FoundSeam) => acrossMm + turned[1] * 2;
  expect(threadOf(other)).toBe(threadOf(seam));
  expect(mirrored(other, 2)).toEqual(seam);
});

test('a thread is clear of a line on its own side, and no thread in the shadow of one', () => {
  const line = { acrossMm: 0, slope: 0, score: 9, total: 9, spreadMm: 0.03 };
  const many = (mm: number, n: number) => Array<number>(n).fill(mm);
  expect(isClearOf(line, seam, holesAt(many(2, 20)))).toBe(true);
  // One that misses its fold here and there is still its own thread.
  expect(isClearOf(line, seam, holesAt([...many(2, 19), 0.2]))).toBe(true);
  expect(isClearOf(line, seam, holesAt([...many(2, 15), ...many(0.2, 5)]))).toBe(false);
  expect(isClearOf(line, seam, holesAt(many(0.6, 20)))).toBe(false);
  expect(isClearOf(line, seam, holesAt(many(-2, 20)))).toBe(false);
  expect(isClearOf(line, mirrored(seam, 2), holesAt(many(-2, 20)))).toBe(true);
});
