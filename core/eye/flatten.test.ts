import fc from 'fast-check';
import { coarser, flattened, meanAround, spreadOf, standingOut, toned, valueAt } from './flatten';

const field = (width: number, height: number, values: readonly number[], pxPerMm = 1) => ({
  ...{ width, height, pxPerMm },
  values: Float32Array.from(values),
});

test('the mean around a place is that of its square, the border going on', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 9 }),
      fc.integer({ min: 2, max: 9 }),
      fc.integer({ min: 1, max: 3 }),
      fc.array(fc.integer({ min: 0, max: 255 }), { minLength: 81, maxLength: 81 }),
      (width, height, reach, greys) => {
        const all = field(width, height, greys.slice(0, width * height));
        const means = meanAround(all, 2 * reach + 1);
        for (let y = 0; y < height; y++) {
          for (let x = 0; x < width; x++) {
            let sum = 0;
            for (let dy = -reach; dy <= reach; dy++) {
              for (let dx = -reach; dx <= reach; dx++) {
                const row = Math.min(height - 1, Math.max(0, y + dy));
                const column = Math.min(width - 1, Math.max(0, x + dx));
                sum += all.values[row * width + column]!;
              }
            }
            expect(means.values[y * width + x]).toBeCloseTo(sum / (2 * reach + 1) ** 2, 2);
          }
        }
      },
    ),
  );
});

test('uneven light goes, and what stands out in it stays as plain in the shade', () => {
  const [width, height, pxPerMm] = [400, 120, 10];
  const dark = new Set([80, 320]);
  const grey = Uint8Array.from({ length: width * height }, (_, at) => {
    const x = at % width;
    const light = 1 - 0.6 * (x / width);
    return light * ([...dark].some((line) => Math.abs(x - line) <= 1) ? 90 : 180);
  });
  const standing = standingOut(flattened({ width, height, grey, pxPerMm }));
  const at = (x: number) => standing.values[60 * width + x]!;
  // Away from the lines there is nothing left of the light.
  for (const x of [40, 150, 200, 280, 380]) expect(Math.abs(at(x))).toBeLessThan(0.02);
  expect(at(80)).toBeLessThan(-0.2);
  expect(at(320) / at(80)).toBeGreaterThan(0.85);
  expect(at(320) / at(80)).toBeLessThan(1.15);
});

test('an edge is as plain in the shade as in the light', () => {
  const [a, b] = [200, 120];
  const of = (grey: readonly number[]) =>
    toned({ width: 2, height: 1, pxPerMm: 1, grey: Uint8Array.from(grey) }).values;
  const [light, shade] = [of([a, b]), of([a / 2, b / 2])];
  const step = (values: Float32Array) => values[0]! - values[1]!;
  expect(step(shade) / step(light)).toBeGreaterThan(0.9);
  expect(step(shade) / step(light)).toBeLessThan(1.1);
});

test('between pixels, coarser, and how far values spread', () => {
  const all = field(3, 3, [0, 1, 2, 3, 4, 5, 6, 7, 8]);
  expect(valueAt(all, 0.5, 0.5)).toBe(2);
  expect(valueAt(all, 1, 1)).toBe(4);
  expect(valueAt(all, -0.1, 1)).toBe(0);
  expect(valueAt(all, 1, 2.5)).toBe(0);
  const half = coarser(field(4, 2, [1, 3, 10, 10, 5, 7, 10, 10], 8), 2);
  expect([...half.values]).toEqual([4, 10]);
  expect(half.pxPerMm).toBe(4);
  expect(spreadOf(Float32Array.from([-1, 1, -1, 1, 100]))).toBeCloseTo(1.4826, 4);
});
