import fc from 'fast-check';
import { noisy, zigzag } from './drawn-field.fixture';
import { seamLayers } from './seam-layers';
import { patternOf } from './waves';

const pxPerMm = 4;
const field = noisy(50, 40, { noise: 1, pxPerMm });
const seen = zigzag(3, 4);
const patterns = { '1': patternOf(seen, 1, pxPerMm), '-1': patternOf(seen, -1, pxPerMm) };
const waveNumbers = [1, 2, 3];
const angles = fc.integer({ min: -12, max: 12 }).map((degrees) => (degrees * Math.PI) / 180);
const lyings = fc.constantFrom([1, 1], [-1, -1], [1, -1], [-1, 1]) as fc.Arbitrary<
  readonly [1 | -1, 1 | -1]
>;

test('the rows around a seam have what they have among all rows', () => {
  const layers = seamLayers(field, patterns, 2);
  fc.assert(
    fc.property(angles, fc.nat(field.height - 1), lyings, (angle, row, turned) => {
      const all = layers.along(angle);
      const near = layers.near(angle, row, all.power);
      const whole = all.laid(turned, waveNumbers, 4);
      for (const [i, { re, im, size, variance }] of near.laid(turned, waveNumbers, 4).entries()) {
        expect(variance).toBeCloseTo(whole[i]!.variance, 9);
        re.forEach((_, r) => {
          const at = near.firstRow + r;
          expect(re[r]).toBeCloseTo(whole[i]!.re[at]!, 4);
          expect(im[r]).toBeCloseTo(whole[i]!.im[at]!, 4);
          expect(size[r]).toBeCloseTo(whole[i]!.size[at]!, 4);
        });
      }
    }),
    { numRuns: 30, endOnFailure: true },
  );
});

test('a seam two millimetres to either side lies in them, as far as the field goes', () => {
  const layers = seamLayers(field, patterns, 2);
  const { firstRow, re } = patterns['1'];
  fc.assert(
    fc.property(fc.nat(field.height - 1), (row) => {
      const near = layers.near(0, row, layers.along(0).power);
      const end = near.firstRow + near.laid([1, 1], [1], 4)[0]!.re.length + re[0]!.length - 1;
      expect(near.firstRow).toBeLessThanOrEqual(Math.max(0, row - 2 * pxPerMm + firstRow));
      expect(end).toBeGreaterThanOrEqual(
        Math.min(field.height, row + 2 * pxPerMm + firstRow + re[0]!.length),
      );
    }),
    { numRuns: 60 },
  );
});

test('a direction is taken apart once, and rows beside each other are the same ones', () => {
  const layers = seamLayers(field, patterns, 2);
  const all = layers.along(0.1);
  expect(layers.along(0.1)).toBe(all);
  expect(layers.near(0.1, 81, all.power)).toBe(layers.near(0.1, 82, all.power));
  expect(all.laid([1, 1], [1], 4)[0]).toBe(all.laid([1, 1], [1], 4)[0]);
});
