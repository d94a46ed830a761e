import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import { noisy } from './drawn-field.fixture';
import type { Field } from './flatten';
import { prickRow } from './prick-row';
import type { Seen } from './seen';

const bites: Seen = {
  ...{ kind: 'pricks', repeatMm: 4, stitches: 3, reference: null, endsThere: false },
  holes: [{ alongMm: 0, acrossMm: 0, counted: true, needle: 0, role: 'bite' }],
};

/** Adds a piece of thread that lies across, or a line from border to border. */
function draw(
  { width, height, pxPerMm, values }: Field,
  [x0, y0, x1, y1]: readonly [number, number, number, number],
  light: number,
) {
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const [mmX, mmY] = [(x + 0.5) / pxPerMm, (y + 0.5) / pxPerMm];
      if (mmX >= x0 && mmX < x1 && mmY >= y0 && mmY < y1) values[y * width + x]! += light;
    }
  }
}

test('few bites are a row, and the line the card is printed with is none', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1000 }),
      fc.constantFrom('top', 'bottom'),
      fc.double({ min: 12, max: 28, noNaN: true }),
      (seed, border, rowMm) => {
        const field = noisy(100, 40, { noise: 0.03, seed });
        const next = evenDraws(seed);
        // As uneven as a printed line is when it was laid flat.
        for (let x = 0; x < 100; x++) {
          const y = border === 'top' ? 0 : 39.6;
          draw(field, [x, y, x + 1, y + 0.25 + 0.15 * next()], -0.3 - 0.5 * next());
        }
        for (const k of [2, 6, 13, 14, 19]) {
          draw(field, [5 + 4 * k, rowMm - 0.5, 5.3 + 4 * k, rowMm + 0.5], -0.25);
        }
        const row = prickRow(field, bites)!;
        const onRow = row.acrossMm + row.middleMm[1];
        // As exact as it is looked for: a bite lies anywhere along its own thread.
        expect(Math.abs(onRow - rowMm)).toBeLessThan(1);
        expect(row.repeatMm).toBeCloseTo(4, 1);
        expect(row.lighter).toBe(false);
      },
    ),
    { numRuns: 12 },
  );
});
