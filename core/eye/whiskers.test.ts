import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import { alongEdge } from './along-edge';
import type { Field } from './flatten';
import { whiskersBeyond } from './whiskers';

const [widthMm, heightMm, pxPerMm] = [60, 40, 8];
const edge = { angle: 0, acrossMm: 2, paper: 1 } as const;
const stitchedMm = 1;

type Place = readonly [xMm: number, beyondMm: number];

/** Cloth, its edge and paper, with dark lines on them from place to place. */
function picture(
  lines: readonly (readonly [Place, Place])[],
  noise = 0.03,
  widthOfMm = 0.28,
): Field {
  const draw = evenDraws(8);
  const [width, height] = [widthMm * pxPerMm, heightMm * pxPerMm];
  const values = Float32Array.from({ length: width * height }, (_, at) => {
    const [x, y] = [((at % width) + 0.5) / pxPerMm, (Math.floor(at / width) + 0.5) / pxPerMm];
    const beyond = y - heightMm / 2 - edge.acrossMm;
    const isLine = lines.some(([[x1, b1], [x2, b2]]) => {
      const [dx, db] = [x2 - x1, b2 - b1];
      const share = ((x - x1) * dx + (beyond - b1) * db) / (dx * dx + db * db);
      const along = Math.min(1, Math.max(0, share));
      return Math.hypot(x - x1 - along * dx, beyond - b1 - along * db) < widthOfMm / 2;
    });
    // Light falls off from one side to the other.
    const light = -0.3 * (x / widthMm);
    return (beyond > 0 && !isLine ? 0.5 : 0) + light + noise * (2 * draw() - 1);
  });
  return { width, height, pxPerMm, values };
}
const foundIn = (lines: Parameters<typeof picture>[0], ...more: [number?, number?]) =>
  whiskersBeyond(alongEdge(picture(lines, ...more)), edge, stitchedMm);

test('threads that stick out beyond the stitches are found, each to its end', () => {
  const lean = fc.double({ min: -1, max: 1, noNaN: true });
  const out = fc.double({ min: 2.6, max: 8, noNaN: true });
  fc.assert(
    fc.property(fc.tuple(out, out, out), fc.tuple(lean, lean, lean), (outs, leans) => {
      const lines = outs.map((mm, i): readonly [Place, Place] => [
        [10 + 18 * i, -0.5],
        [10 + 18 * i + leans[i]!, mm],
      ]);
      const found = foundIn(lines).toSorted((a, b) => a.tipMm[0] - b.tipMm[0]);
      expect(found).toHaveLength(3);
      found.forEach(({ tipMm, beyondMm }, i) => {
        expect(Math.abs(beyondMm - outs[i]!)).toBeLessThan(0.3);
        expect(Math.abs(tipMm[0] - (10 + 18 * i + leans[i]!))).toBeLessThan(0.4);
        expect(tipMm[1] - heightMm / 2 - edge.acrossMm).toBeCloseTo(beyondMm, 0);
      });
    }),
    { numRuns: 12 },
  );
});

test('what is no whisker is none: dust, a stain, what the stitches hold, the grain of the paper', () => {
  expect(foundIn([], 0.08)).toEqual([]);
  const dust: Place[] = [
    [20, 4],
    [20.5, 6],
  ];
  expect(foundIn([[dust[0]!, dust[1]!]])).toEqual([]);
  const held: Place[] = [
    [20, -0.5],
    [20, 1.5],
  ];
  expect(foundIn([[held[0]!, held[1]!]])).toEqual([]);
  const stain: Place[] = [
    [20, 0.5],
    [21, 5],
  ];
  expect(foundIn([[stain[0]!, stain[1]!]], 0.03, 4)).toEqual([]);
  // Nearly half of the paper in the dark: more places in one piece than a call has room for.
  const wide = 700;
  const half = picture([], 0.01);
  const [width, height] = [wide * pxPerMm, half.height];
  const values = Float32Array.from({ length: width * height }, (_, at) => {
    const [x, y] = [at % width, Math.floor(at / width)];
    const beyond = y / pxPerMm - heightMm / 2 - edge.acrossMm;
    return beyond > 0 && x > 0.55 * width ? -1 : 0;
  });
  const field: Field = { ...half, width, height, values };
  expect(whiskersBeyond({ usual: field, even: field }, edge, stitchedMm)).toEqual([]);
});
