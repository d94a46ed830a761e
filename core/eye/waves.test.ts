import fc from 'fast-check';
import { noisy, zigzag } from './drawn-field.fixture';
import { valueAt } from './flatten';
import { laidWave, patternOf, turnedBy, wavesOf } from './waves';

const { cos, PI, sin } = Math;

describe('a field turned', () => {
  test('has at every place what lies there, and nothing beyond its border', () => {
    const field = noisy(9, 6, { noise: 1 });
    const { width, height } = field;
    fc.assert(
      fc.property(
        fc.double({ min: -0.4, max: 0.4, noNaN: true }),
        fc.nat(width - 1),
        fc.nat(height - 1),
        (angle, column, row) => {
          const [xc, yc] = [(width - 1) / 2, (height - 1) / 2];
          const [u, v] = [column - xc, row - yc];
          const x = xc + u * cos(angle) - v * sin(angle);
          const y = yc + u * sin(angle) + v * cos(angle);
          const turned = turnedBy(field, angle).values[row * width + column];
          // So near to the border it may be either.
          fc.pre([x, y, width - 1 - x, height - 1 - y].every((off) => Math.abs(off) > 1e-4));
          expect(turned).toBeCloseTo(valueAt(field, x, y), 5);
        },
      ),
    );
  });

  test('by nothing is as it was, but for the last row and column, beyond which there is nothing', () => {
    const field = noisy(5, 4, { noise: 1 });
    const { width, height } = field;
    const { values } = turnedBy(field, 0);
    for (let row = 0; row < height; row++)
      for (let column = 0; column < width; column++) {
        const last = row === height - 1 || column === width - 1;
        const at = row * width + column;
        expect(values[at]).toBeCloseTo(last ? 0 : field.values[at]!, 6);
      }
  });

  test('there and back is nearly as it was, inside', () => {
    const field = noisy(10, 8, { noise: 0 });
    const { width, height, pxPerMm } = field;
    field.values.forEach((_, at) => {
      field.values[at] = sin((at % width) / pxPerMm) + cos(Math.floor(at / width) / pxPerMm);
    });
    const back = turnedBy(turnedBy(field, 0.1), -0.1);
    for (let row = 20; row < height - 20; row++)
      for (let column = 20; column < width - 20; column++) {
        const at = row * width + column;
        expect(Math.abs(back.values[at]! - field.values[at]!)).toBeLessThan(0.02);
      }
  });
});

describe('the waves of rows', () => {
  const field = noisy(12, 2, { noise: 1, pxPerMm: 5 });

  test('are the plain sums, counted from the row’s middle', () => {
    const { re, im, perMm } = wavesOf(field, 2);
    const { width, height, pxPerMm, values } = field;
    for (const [k, row] of [
      [0, 0],
      [3, 1],
      [17, height - 1],
    ] as const) {
      let [real, imaginary] = [0, 0];
      for (let x = 0; x < width; x++) {
        const turn = 2 * PI * k * perMm * ((x - (width - 1) / 2) / pxPerMm);
        real += values[row * width + x]! * cos(turn);
        imaginary -= values[row * width + x]! * sin(turn);
      }
      expect(re[k]![row]).toBeCloseTo(real, 3);
      expect(im[k]![row]).toBeCloseTo(imaginary, 3);
    }
  });

  test('are the same where every other pixel is enough, but for what is too fine to be told', () => {
    // Waves of more than a millimetre, and as strong a weave of half of one: a thirtieth of that is left.
    const { width, height, pxPerMm } = field;
    const values = Float32Array.from({ length: width * height }, (_, at) => {
      const mm = (at % width) / pxPerMm;
      const bell = Math.exp(-(((mm - 6) / 2) ** 2));
      return (
        bell * (cos(2 * PI * 0.4 * mm + 1) + 0.5 * cos(2 * PI * 0.7 * mm) + cos(2 * PI * 2 * mm))
      );
    });
    const smooth = { ...field, values };
    const [coarse, fine] = [wavesOf(smooth, 0.7), wavesOf(smooth, 2)];
    expect(coarse.perMm).toBeCloseTo(fine.perMm, 12);
    expect(coarse.re.length).toBeLessThan(fine.re.length);
    const most = Math.max(...fine.re.map((row, k) => Math.hypot(row[0]!, fine.im[k]![0]!)));
    for (let k = 0; k * coarse.perMm <= 0.7; k++) {
      const off = Math.hypot(
        coarse.re[k]![0]! - fine.re[k]![0]!,
        coarse.im[k]![0]! - fine.im[k]![0]!,
      );
      expect(off).toBeLessThan(0.05 * most);
    }
  });

  test('of noise are as strong as there are numbers in a row', () => {
    const { width } = field;
    const { power } = wavesOf(noisy(12, 60, { noise: 1, pxPerMm: 5, seed: 8 }), 2);
    // Even noise between −1 and 1 has a variance of a third.
    const mean = [5, 9, 13, 17].reduce((sum, k) => sum + power(k), 0) / 4;
    expect(mean / (width / 3)).toBeGreaterThan(0.75);
    expect(mean / (width / 3)).toBeLessThan(1.25);
  });
});

describe('a pattern laid on rows', () => {
  const seen = zigzag(3, 4);

  test('is the plain sum over its rows, real and imaginary', () => {
    const field = noisy(40, 12, { noise: 1, pxPerMm: 4 });
    const waves = wavesOf(field, 2);
    const pattern = patternOf(seen, 1, 4);
    const index = Math.round(1 / seen.repeatMm / waves.perMm);
    for (const along of [1, -1] as const) {
      const laid = laidWave(waves, pattern, 1, index, along);
      const row = 7;
      let [real, imaginary] = [0, 0];
      pattern.re[1]!.forEach((a, r) => {
        const b = -along * pattern.im[1]![r]!;
        const [c, d] = [waves.re[index]![row + r]!, waves.im[index]![row + r]!];
        // (c + id) times the conjugate of what the pattern has: a + ib turned.
        real += c * a - d * b;
        imaginary += d * a + c * b;
      });
      expect(laid.re[row]).toBeCloseTo(real / waves.power(index), 3);
      expect(laid.im[row]).toBeCloseTo(imaginary / waves.power(index), 3);
      expect(laid.size[row]).toBeCloseTo(Math.hypot(real, imaginary) / waves.power(index), 3);
    }
  });

  test('turned across, it lies as far to the other side', () => {
    const [one, other] = [patternOf(seen, 1, 8), patternOf(seen, -1, 8)];
    expect(one.firstRow).toBe(other.firstRow);
    // A zigzag is the same turned over half a repeat on: its first wave changes its sign.
    one.re[1]!.forEach((value, row) => {
      const mirror = other.re[1]![other.re[1]!.length - 1 - row]!;
      expect(value).toBeCloseTo(mirror, 4);
    });
  });
});
