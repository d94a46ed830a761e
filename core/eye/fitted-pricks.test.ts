import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import { noisy, seamIn, softened } from './drawn-field.fixture';
import { fittedPricks, type Piece } from './fitted-pricks';
import type { Field } from './flatten';

const halfMm = 0.14;

/** Pieces of thread with round ends across a seam, on cloth with stripes along it; each as light as it is. */
function drawn(
  pieces: readonly (Piece & { light: number })[],
  { blurMm = 0.08, noise = 0.02, stripes = 0, seed = 3 } = {},
) {
  const field = noisy(70, 12, { pxPerMm: 12, noise: 0 });
  const seam = seamIn(field);
  const { width, height, pxPerMm, values } = field;
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const [s, t] = [x / pxPerMm - seam.middleMm[0], y / pxPerMm - seam.middleMm[1]];
      values[y * width + x] = stripes * Math.sign(Math.sin(2 * t + 0.5));
      for (const { alongMm, fromMm, toMm, light } of pieces) {
        const beyond = t - Math.min(toMm, Math.max(fromMm, t));
        if (Math.hypot(s - alongMm, beyond) <= halfMm) values[y * width + x] = light;
      }
    }
  }
  const soft = softened(field, blurMm);
  const next = evenDraws(seed);
  const even: Field = { ...soft, values: soft.values.map((v) => v + noise * (2 * next() - 1)) };
  return { even, seam };
}

/** Twelve pieces, from what hardly shows to two millimetres. */
function pieces(seed: number, light = 0.5) {
  const next = evenDraws(seed);
  return Array.from({ length: 12 }, (_, i) => {
    const [middle, half] = [0.4 * (2 * next() - 1), 0.1 + 0.9 * next()];
    return { alongMm: 5 * i - 28, fromMm: middle - half, toMm: middle + half, light };
  });
}
const lengthOf = ({ fromMm, toMm }: Piece) => toMm - fromMm;
const foundOff = (all: readonly Piece[], byMm: number): Piece[] =>
  all.map((one, i) => ({
    alongMm: one.alongMm + 0.1 * Math.sin(i),
    fromMm: one.fromMm - byMm * Math.sin(3 * i),
    toMm: one.toMm + byMm,
  }));

describe('pieces of thread fitted to a picture', () => {
  test('are as long as they show, though they were found too long or too short', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.constantFrom(0.05, 0.1, 0.15),
        fc.constantFrom(0.5, -0.4),
        fc.constantFrom(0, 0.08),
        (seed, blurMm, light, stripes) => {
          const all = pieces(seed, light);
          const { even, seam } = drawn(all, { blurMm, stripes, seed });
          const fitted = fittedPricks(even, seam, foundOff(all, 0.15));
          const errors = fitted.map((one, i) => lengthOf(one) - lengthOf(all[i]!));
          expect(Math.max(...errors.map(Math.abs))).toBeLessThan(0.2);
          const mean = errors.reduce((sum, one) => sum + one, 0) / errors.length;
          expect(Math.abs(mean)).toBeLessThan(0.09);
          expect(fitted.every(({ isThread }) => isThread)).toBe(true);
        },
      ),
      { numRuns: 8 },
    );
  });

  test('what stands out too little among them is no thread', () => {
    const all = pieces(8).map((one, i) => (i % 3 === 0 ? { ...one, light: 0.12 } : one));
    const { even, seam } = drawn(all);
    const fitted = fittedPricks(even, seam, foundOff(all, 0.1));
    expect(fitted.map(({ isThread }) => isThread)).toEqual(all.map((_, i) => i % 3 !== 0));
  });

  test('say themselves how far their length may be off: more where there is more noise', () => {
    const all = pieces(5);
    const spreads = [0.02, 0.1, 0.3].map((noise) => {
      const { even, seam } = drawn(all, { noise });
      const [first] = fittedPricks(even, seam, all);
      return first!.lengthSpreadMm;
    });
    expect([...spreads].sort((a, b) => a - b)).toEqual(spreads);
  });

  test('none are none', () => {
    const { even, seam } = drawn([]);
    expect(fittedPricks(even, seam, [])).toEqual([]);
  });
});
