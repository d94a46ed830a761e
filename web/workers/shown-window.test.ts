import fc from 'fast-check';
import { plainPixels } from './shown-window';

test('a dull picture is painted as plain as it can be, its greys in the same order', () => {
  const greys = fc.uint8Array({ minLength: 300, maxLength: 300, min: 90, max: 140 });
  fc.assert(
    fc.property(greys, (grey) => {
      const pixels = plainPixels({ grey });
      expect(pixels).toHaveLength(4 * grey.length);
      const toneOf = (i: number) => pixels[4 * i]!;
      const order = [...grey.keys()].sort((a, b) => grey[a]! - grey[b]!);
      order
        .slice(1)
        .forEach((at, i) => expect(toneOf(at)).toBeGreaterThanOrEqual(toneOf(order[i]!)));
      // Grey, and nothing shines through.
      expect([...pixels.subarray(0, 3)]).toEqual([toneOf(0), toneOf(0), toneOf(0)]);
      expect(pixels[3]).toBe(255);
    }),
  );
});

test('a speck does not make the rest dull; what is all alike stays so', () => {
  const grey = Uint8Array.from({ length: 1000 }, (_, i) => (i < 500 ? 100 : 120));
  grey[7] = 255;
  const pixels = plainPixels({ grey });
  expect([pixels[0], pixels[4 * 999], pixels[4 * 7]]).toEqual([0, 235, 255]);
  expect(new Set(plainPixels({ grey: new Uint8Array(50).fill(80) })).size).toBe(2);
});
