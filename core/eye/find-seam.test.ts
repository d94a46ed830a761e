import fc from 'fast-check';
import { drawThread, noisy, seamIn, zigzag, zigzagPlaces } from './drawn-field.fixture';
import { seamFinder } from './find-seam';
import { coarser, standingOut } from './flatten';

/** A zigzag sewn through a field, as the finder is given it: what stands out, four px a mm. */
function sewn(more: { angle: number; acrossMm: number; repeatMm: number; light?: number }) {
  const field = noisy(70, 30, { noise: 0.05, seed: 11 });
  const seen = zigzag(4, more.repeatMm);
  const seam = seamIn(field, more);
  drawThread(field, seam, zigzagPlaces(seen, { ...seam, alongMm: 0.7 }, 56), {
    light: more.light ?? 0.3,
  });
  return { field: coarser(standingOut(field), 2), seen, seam };
}
const degrees = (radians: number) => (radians * 180) / Math.PI;

test('a zigzag is found wherever it lies and however it is turned, by its stitch alone', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -9, max: 9, noNaN: true }),
      fc.double({ min: -6, max: 6, noNaN: true }),
      (turnedDegrees, acrossMm) => {
        const angle = (turnedDegrees * Math.PI) / 180;
        const { field, seen } = sewn({ angle, acrossMm, repeatMm: 4 });
        const [best] = seamFinder(field, seen)()!;
        // A quarter of a millimetre at its ends: from there the thread is followed.
        expect(Math.abs(degrees(best!.angle - angle))).toBeLessThan(0.5);
        expect(Math.abs(best!.acrossMm - acrossMm)).toBeLessThan(0.3);
        expect(Math.abs(best!.repeatMm / 4 - 1)).toBeLessThan(0.015);
        expect(best!.lighter).toBe(true);
        expect(best!.score).toBeGreaterThan(15);
      },
    ),
    { numRuns: 4 },
  );
});

test('what the machine really feeds is found, up to a tenth off its dial', () => {
  const { field } = sewn({ angle: 0, acrossMm: 1, repeatMm: 4.3 });
  const [best] = seamFinder(field, zigzag(4, 4))({ along: 0 })!;
  expect(best!.repeatMm).toBeCloseTo(4.3, 1);
});

test('dark thread is told from light, half a repeat on', () => {
  const { field, seen } = sewn({ angle: 0.03, acrossMm: 0, repeatMm: 4, light: -0.3 });
  const [best] = seamFinder(field, seen)({ along: 0.03 })!;
  // What is dark here is light half a repeat on, or where only every other line lies: both are looked at, and followed by their thread.
  expect(best!.score).toBeGreaterThan(15);
  const both = seamFinder(field, seen)()!.filter(({ acrossMm }) => Math.abs(acrossMm) < 1.5);
  expect(new Set(both.map(({ lighter }) => lighter)).size).toBe(2);
  const dark = seamFinder(field, seen)({ along: 0.03, lighter: false })!;
  expect(dark.every(({ lighter }) => !lighter)).toBe(true);
});

test('on bare cloth nothing stands out as a stitch does', () => {
  const field = coarser(standingOut(noisy(70, 30, { noise: 0.2, seed: 5 })), 2);
  const [best] = seamFinder(field, zigzag(4, 4))({ along: 0 })!;
  expect(best!.score).toBeLessThan(7);
});

test('nothing is looked for beside what is known, and it stops when it is told to', () => {
  const { field, seen } = sewn({ angle: 0, acrossMm: 2, repeatMm: 4 });
  const find = seamFinder(field, seen);
  const [best] = find({ along: 0 })!;
  const others = find({ along: 0, except: [best!.acrossMm] })!;
  for (const { acrossMm } of others) {
    expect(Math.abs(acrossMm - best!.acrossMm)).toBeGreaterThan(0.6);
  }
  expect(find({ along: 0, onShare: () => false })).toBeNull();
});

test('asked for in one way only, it is found as it is among all of them, and no other is', () => {
  const { field, seen } = sewn({ angle: 0.02, acrossMm: 1, repeatMm: 4 });
  const find = seamFinder(field, seen);
  const all = find({ along: 0.02 })!;
  for (const one of all) {
    const { turned, lighter } = one;
    const only = find({ along: 0.02, only: [{ turned: [turned[0], turned[1]], lighter }] })!;
    expect(only.length).toBeLessThan(all.length);
    expect(only.every((it) => it.lighter === lighter && it.turned[1] === turned[1])).toBe(true);
  }
  const [best] = all;
  expect(find({ along: 0.02, only: [best!] })![0]).toEqual(best);
});
