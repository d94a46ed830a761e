import fc from 'fast-check';
import { greyOf, shrunk } from './grey';
import { greysOf, rectified } from './rectify';

const pictures = fc
  .tuple(fc.integer({ min: 6, max: 23 }), fc.integer({ min: 6, max: 23 }))
  .chain(([width, height]) =>
    fc
      .uint8Array({ minLength: width * height, maxLength: width * height })
      .map((grey) => ({ width, height, grey })),
  );

test('a smaller picture is the mean of every square, halved or made smaller yet', () => {
  fc.assert(
    fc.property(pictures, fc.integer({ min: 2, max: 5 }), (picture, times) => {
      const small = shrunk(picture, times);
      expect(small.width).toBe(Math.floor(picture.width / times));
      small.grey.forEach((value, at) => {
        const [x, y] = [at % small.width, Math.floor(at / small.width)];
        let sum = 0;
        for (let i = 0; i < times * times; i++) {
          const row = y * times + Math.floor(i / times);
          sum += picture.grey[row * picture.width + x * times + (i % times)]!;
        }
        expect(value).toBe(Math.floor(sum / times ** 2 + 0.5));
      });
    }),
  );
});

test('a picture is laid flat the same row by row as place by place, beyond its border too', () => {
  fc.assert(
    fc.property(pictures, fc.double({ min: -0.2, max: 0.2, noNaN: true }), (picture, turn) => {
      const toPicture = [1.3, turn, -2, -turn, 1.2, -1, 0.001, 0.002, 1] as const;
      const rect = { xMm: 0, yMm: 0, widthMm: 20, heightMm: 18 };
      const whole = rectified(picture, toPicture, rect, 1)!;
      const placed = rectified(greysOf(picture), toPicture, rect, 1)!;
      // Halves may round either way.
      whole.grey.forEach((value, at) => {
        expect(Math.abs(value - placed.grey[at]!)).toBeLessThanOrEqual(1);
      });
    }),
  );
});

test('a picture’s greys are the same of three bytes as of four, wherever those lie; what shines through lies on white', () => {
  fc.assert(
    fc.property(fc.uint8Array({ minLength: 48, maxLength: 48 }), (bytes) => {
      const size = { width: 4, height: 3 };
      const { grey } = greyOf({ ...size, bytes, perPixel: 4 });
      const moved = new Uint8Array(49);
      moved.set(bytes, 1);
      expect(greyOf({ ...size, bytes: moved.subarray(1), perPixel: 4 }).grey).toEqual(grey);
      const solid = bytes.map((value, i) => (i % 4 === 3 ? 255 : value));
      const colours = solid.filter((_, i) => i % 4 !== 3);
      const three = greyOf({ ...size, bytes: colours, perPixel: 3 }).grey;
      expect(greyOf({ ...size, bytes: solid, perPixel: 4 }).grey).toEqual(three);
      grey.forEach((value, i) => {
        const [red, green, blue, opaque] = bytes.subarray(4 * i, 4 * i + 4) as unknown as number[];
        const light = 0.2126 * red! + 0.7152 * green! + 0.0722 * blue!;
        const on = (light * opaque!) / 255 + 255 - opaque!;
        expect(Math.abs(value - on)).toBeLessThanOrEqual(0.51);
      });
    }),
  );
});
