import fc from 'fast-check';
import { drawThread, noisy, seamIn, softened } from './drawn-field.fixture';
import type { Pair } from './least';
import { lookAlong } from './on-seam';
import type { OnSeam } from './seen';
import { stitchLine } from './stitch-line';

const { cos, hypot, sin } = Math;
const bare = () => 0;

/** A stitch of a length and a slant that lies round over its holes, blurred, and stitches that meet it there. */
function sewn(lengthMm: number, slant: number, { light = 0.8, noise = 0.02 } = {}) {
  const field = noisy(12, 12, { pxPerMm: 12, noise: 0 });
  const seam = seamIn(field);
  const [ds, dt] = [(lengthMm / 2) * cos(slant), (lengthMm / 2) * sin(slant)];
  const places: OnSeam[] = [
    [-ds - 2, dt],
    [-ds, -dt],
    [ds, dt],
    [ds + 2, dt],
  ];
  drawThread(field, seam, places, { light, atHole: 1 });
  const strays = noisy(12, 12, { pxPerMm: 12, noise }).values;
  const soft = softened(field, 0.08);
  const values = soft.values.map((value, i) => value + strays[i]!);
  const holes: readonly [Pair, Pair] = [
    [-dt, -ds],
    [dt, ds],
  ];
  return { look: lookAlong({ ...field, values }, seam), holes };
}

/** How far a place lies beside a line. */
function besideOf([t, s]: Pair, [[t0, s0], [t1, s1]]: readonly [Pair, Pair]): number {
  const [dt, ds] = [t1 - t0, s1 - s0];
  return ((t - t0) * ds - (s - s0) * dt) / hypot(dt, ds);
}

describe('the line a stitch lies on', () => {
  test('is told to four hundredths by its own piece, though its corners were found a tenth off', () => {
    const off = fc.double({ min: -0.1, max: 0.1, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 3, noNaN: true }),
        fc.double({ min: 0.8, max: 1.3, noNaN: true }),
        fc.constantFrom(0.8, -0.6),
        fc.tuple(off, off, off, off),
        (lengthMm, slant, light, [a, b, c, d]) => {
          const { look, holes } = sewn(lengthMm, slant, { light });
          const [from, to] = holes;
          const found = stitchLine(look, bare, [
            [from[0] + a, from[1] + b],
            [to[0] + c, to[1] + d],
          ]);
          for (const place of found) expect(Math.abs(besideOf(place, holes))).toBeLessThan(0.04);
        },
      ),
      { numRuns: 30 },
    );
  });

  test('moves its ends beside it alone: how long it is its middle does not tell', () => {
    const { look, holes } = sewn(2.4, 1);
    const longer: readonly [Pair, Pair] = [
      [holes[0][0] * 1.1, holes[0][1] * 1.1],
      [holes[1][0] * 1.1, holes[1][1] * 1.1],
    ];
    const [from, to] = stitchLine(look, bare, longer);
    expect(hypot(to[0] - from[0], to[1] - from[1])).toBeCloseTo(2.4 * 1.1, 2);
  });

  test('stays as it was followed where a stitch is short; where no thread lies it is moved a quarter of a millimetre at the most', () => {
    const { look } = sewn(2.4, 1);
    const short: readonly [Pair, Pair] = [
      [0.05, -0.5],
      [0.05, 0.5],
    ];
    expect(stitchLine(look, bare, short)).toEqual(short);
    const aside: readonly [Pair, Pair] = [
      [2.6, -3],
      [2.6, -0.8],
    ];
    const [from] = stitchLine(look, bare, aside);
    expect(hypot(from[0] - 2.6, from[1] + 3)).toBeLessThan(0.26);
  });
});
