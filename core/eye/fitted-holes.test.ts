import fc from 'fast-check';
import { bareCloth } from './bare-cloth';
import {
  drawThread,
  noisy,
  pxOf,
  seamIn,
  softened,
  threadOf,
  zigzag,
  zigzagPlaces,
} from './drawn-field.fixture';
import { fittedHoles } from './fitted-holes';
import type { Field } from './flatten';
import { holePatch, misfit } from './hole-patch';
import { lookAlong } from './on-seam';
import { meanAndSpread } from './mean-and-spread';
import type { OnSeam, Seen, SeenHole } from './seen';
import { threadCover } from './thread-look';
import type { TracedHole } from './trace';

const seen = zigzag(4, 4);
const size = { pxPerMm: 12, noise: 0 };

/** Stripes along a seam, and a zigzag over them whose swings wander; blurred, then noisy. */
function drawn({ blurMm = 0.1, stripes = 0.2, noise = 0.02, light = 0.9, seed = 5 } = {}) {
  const field = noisy(30, 14, size);
  const seam = seamIn(field);
  const across = (y: number) => y / field.pxPerMm - seam.middleMm[1];
  for (let at = 0; at < field.values.length; at++) {
    const mm = across(Math.floor(at / field.width));
    field.values[at]! += mm > 1.7 ? -stripes * Math.exp(-(mm - 1.7) / 0.5) : 0;
  }
  const wander = (i: number) => 0.5 * Math.sin(7.3 * i + seed);
  const places = zigzagPlaces(seen, seam, 24, wander);
  drawThread(field, seam, places, { light, widthMm: 0.28 });
  const soft = softened(field, blurMm);
  const strays = noisy(30, 14, { ...size, noise, seed }).values;
  const even: Field = { ...soft, values: soft.values.map((value, i) => value + strays[i]!) };
  return { even, seam, places };
}

const offBy = (by: number, places: readonly OnSeam[], seed: number): OnSeam[] =>
  places.map(([s, t], i) => [
    s + by * Math.sin(3.1 * i + seed),
    t + by * Math.cos(5.7 * i + 2 * seed),
  ]);

/** Both sides of a zigzag turn back; here none of them is a run between. */
const swingsOf = (thread: readonly TracedHole[]) =>
  thread.map((one) => ({ ...one, hole: { ...one.hole, role: 'swing' as const } }));

describe('holes fitted to a picture', () => {
  test('lie where they are to three hundredths, whatever they were taken for', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.constantFrom(0.05, 0.1, 0.15),
        fc.constantFrom(0.9, -0.7),
        (seed, blurMm, light) => {
          const { even, seam, places } = drawn({ blurMm, light, seed });
          const found = threadOf(seen, offBy(0.08, places, seed));
          const asSwings = swingsOf(found);
          const { thread, look } = fittedHoles(even, seam, 0, asSwings);
          const errors = thread
            .slice(1, -1)
            .map(({ alongMm, acrossMm }, i) =>
              Math.hypot(alongMm - places[i + 1]![0], acrossMm - places[i + 1]![1]),
            );
          expect(Math.max(...errors)).toBeLessThan(0.05);
          expect(errors.reduce((sum, one) => sum + one, 0) / errors.length).toBeLessThan(0.03);
          expect(Math.abs(look!.blurMm - blurMm)).toBeLessThan(0.05);
        },
      ),
      { numRuns: 6 },
    );
  });

  test('say themselves how far they may be off: more where there is more noise', () => {
    const spreads = [0.01, 0.05, 0.15].map((noise) => {
      const { even, seam, places } = drawn({ noise });
      const { thread } = fittedHoles(even, seam, 0, threadOf(seen, places));
      return thread.find(({ hole }) => hole.role === 'swing')!.acrossSpreadMm;
    });
    expect([...spreads].sort((a, b) => a - b)).toEqual(spreads);
  });

  test('the end of a thread is found along it, though it was followed too short by a third of a millimetre', () => {
    const { even, seam, places } = drawn({ seed: 9 });
    const [last, before] = [places.at(-1)!, places.at(-2)!];
    const length = Math.hypot(last[0] - before[0], last[1] - before[1]);
    const short: OnSeam = [
      last[0] + ((before[0] - last[0]) * 0.35) / length,
      last[1] + ((before[1] - last[1]) * 0.35) / length,
    ];
    const found = swingsOf(threadOf(seen, [...places.slice(0, -1), short]));
    const end = fittedHoles(even, seam, 0, found).thread.at(-1)!;
    expect(Math.hypot(end.alongMm - last[0], end.acrossMm - last[1])).toBeLessThan(0.12);
  });

  test('of a thread that lies round over its holes bites are told in their middle, though its corners were cut', () => {
    const field = noisy(40, 14, size);
    const seam = seamIn(field, { repeatMm: 5.2 });
    const bite: Seen = { ...zigzag(2.3, 5.2), stitches: 4 };
    const [line, tip] = bite.holes.map((hole, i) => ({
      ...hole,
      role: i === 0 ? ('run' as const) : ('bite' as const),
    })) as [SeenHole, SeenHole];
    const holes = Array.from({ length: 28 }, (_, i) => ({ hole: i % 4 === 2 ? tip : line, i }));
    const places = holes.map(({ hole, i }): OnSeam => {
      const wander = hole === tip ? 0.3 * Math.sin(7.3 * i) : 0;
      return [(i - 14) * 1.3, hole.acrossMm + wander];
    });
    drawThread(field, seam, places, { light: 0.9, atHole: 1 });
    const soft = softened(field, 0.08);
    const strays = noisy(40, 14, { ...size, noise: 0.02 }).values;
    const even: Field = { ...soft, values: soft.values.map((value, i) => value + strays[i]!) };
    // Where the thread turns from the line into a bite it was followed inside its corner.
    const followed = places.map(([s, t], i): OnSeam => {
      const towards = holes[i + 1]?.hole === tip ? 1 : holes[i - 1]?.hole === tip ? -1 : 0;
      return [s + 0.06 * towards, t - 0.06 * Math.abs(towards)];
    });
    const found = threadOf(bite, followed).map((one, i) => ({ ...one, hole: holes[i]!.hole }));
    const deeper = fittedHoles(even, seam, 0, found).thread.flatMap(({ acrossMm }, i) =>
      holes[i]!.hole === tip ? [acrossMm - places[i]![1]] : [],
    );
    expect(Math.abs(meanAndSpread(deeper).mean)).toBeLessThan(0.015);
    expect(meanAndSpread(deeper).sd).toBeLessThan(0.015);
  });

  test('the shadow beside a thread is not taken for blur where that is known', () => {
    const { even, seam, places } = drawn({ blurMm: 0.06, light: -0.5, stripes: 0 });
    const shadow = softened(even, 0.15);
    const shaded: Field = {
      ...even,
      values: even.values.map((value, i) => value + 0.4 * shadow.values[i]!),
    };
    const blurOf = (field: Field) =>
      fittedHoles(field, seam, 0, swingsOf(threadOf(seen, places))).look!.blurMm;
    const [plain, told, known] = [even, shaded, { ...shaded, blurMm: 0.06 }].map(blurOf);
    expect(told).toBeGreaterThan(plain!);
    expect(Math.abs(known! - plain!)).toBeLessThan(0.6 * Math.abs(told! - plain!));
  });

  test('a thread that turns nowhere stays as it was', () => {
    const { even, seam, places } = drawn();
    const straight = threadOf(
      seen,
      places.map(([s]) => [s, 0]),
    );
    expect(fittedHoles(even, seam, 0, straight)).toEqual({ thread: straight, look: null });
  });
});

describe('cloth without its thread', () => {
  test('is what lies along the seam, to a hundredth, turned as it may be', () => {
    const field = noisy(30, 14, size);
    const seam = seamIn(field);
    const slope = 0.01;
    const stripe = (along: number, across: number) => 0.4 * Math.sin(2 * (across - slope * along));
    for (let y = 0; y < field.height; y++) {
      for (let x = 0; x < field.width; x++) {
        const [s, t] = [x / 12 - seam.middleMm[0], y / 12 - seam.middleMm[1]];
        field.values[y * field.width + x] = stripe(s, t);
      }
    }
    const places = zigzagPlaces(seen, seam, 24);
    drawThread(field, seam, places, { light: 3 });
    const bare = bareCloth(field, seam, slope, threadOf(seen, places));
    for (const [s, t] of [
      [0, 0],
      [-9, 1.2],
      [10, -1.9],
      [3, 2.4],
    ] as const) {
      expect(Math.abs(bare(s, t) - stripe(s, t))).toBeLessThan(0.02);
    }
  });
});

describe('how far what is seen is from a thread', () => {
  const look = { halfMm: 0.14, blurMm: 0.1, atHole: 0.25 };
  const cover = threadCover(look);
  const patchIn = (even: Field, places: readonly OnSeam[]) =>
    holePatch(lookAlong(even, seamIn(even)), () => 0, threadOf(seen, places), 3)!;

  test('is the same in any light and for cloth of any height; grows with the contrast squared', () => {
    const { even, places } = drawn({ stripes: 0 });
    const at = [places[3]![1] + 0.05, places[3]![0]] as const;
    const off = misfit(patchIn(even, places), at, cover);
    const brighter = { ...even, values: even.values.map((value) => value + 0.4) };
    const twice = { ...even, values: even.values.map((value) => 2 * value) };
    expect(misfit(patchIn(brighter, places), at, cover)).toBeCloseTo(off, 3);
    expect(misfit(patchIn(twice, places), at, cover)).toBeCloseTo(4 * off, 3);
  });

  test('no light and grey of the thread come nearer than it says', () => {
    const { even, places } = drawn({ stripes: 0, noise: 0.1 });
    const patch = patchIn(even, places);
    const at = [places[3]![1], places[3]![0]] as const;
    const least = misfit(patch, at, cover);
    /** Brute force: what is covered is told from two pictures of a thread, one as light as the cloth. */
    const covers = Array.from(patch.seen, (_, i) => {
      let sum = 0;
      for (const end of patch.ends) {
        const [t, s] = [patch.across[i]! - at[0], patch.along[i]! - at[1]];
        const [dt, ds] = [end[0] - at[0], end[1] - at[1]];
        const length = Math.hypot(dt, ds);
        sum += cover.across((s * dt - t * ds) / length) * cover.along((s * ds + t * dt) / length);
      }
      return Math.min(1, sum);
    });
    let nearest = Infinity;
    for (let light = -0.2; light <= 0.2; light += 0.01) {
      for (let grey = 0.3; grey <= 1.5; grey += 0.02) {
        const off = covers.reduce(
          (sum, share, i) => sum + (patch.seen[i]! - light - grey * share) ** 2,
          0,
        );
        nearest = Math.min(nearest, off);
      }
    }
    expect(nearest).toBeGreaterThanOrEqual(least - 1e-6);
    expect(nearest).toBeLessThan(least * 1.02);
  });

  test('what a thread covers is what a picture of one shows that was drawn and blurred by adding up', () => {
    // A round end is taken for a square one of the same area, which it is not quite.
    for (const [atHole, atMost] of [
      [0.25, 0.05],
      [1, 0.1],
    ] as const) {
      const field = noisy(6, 6, { pxPerMm: 40, noise: 0 });
      const seam = seamIn(field);
      const { width, height, pxPerMm } = field;
      for (let y = 0; y < height; y++) {
        for (let x = 0; x < width; x++) {
          const [s, t] = [x / pxPerMm - seam.middleMm[0], y / pxPerMm - seam.middleMm[1]];
          const along = Math.max(0, s);
          const isIn = Math.hypot(s - along, t) <= look.halfMm;
          field.values[y * width + x] = isIn ? Math.min(1, atHole + along / 0.35) : 0;
        }
      }
      const soft = softened(field, look.blurMm);
      const thread = threadCover({ ...look, atHole });
      for (const [s, t] of [
        [0, 0],
        [0.1, 0.05],
        [0.3, 0.1],
        [1, 0],
        [1, 0.2],
        [-0.15, 0],
        [-0.3, 0.1],
      ] as const) {
        const [x, y] = pxOf(soft, seam, [s, t]);
        const drawnThere = soft.values[Math.round(y) * width + Math.round(x)]!;
        expect(Math.abs(thread.across(t) * thread.along(s) - drawnThere)).toBeLessThan(atMost);
      }
    }
  });
});
