import fc from 'fast-check';
import { drawThread, noisy, seamIn, threadOf, zigzag, zigzagPlaces } from './drawn-field.fixture';
import { referenceLine } from './reference-line';

const seen = zigzag(4, 4);

/** Cloth that turns lighter at a line through a field, or is darker along it, with a zigzag over it. */
function beside(
  at: { acrossMm: number; slope: number },
  { step = 0.3, line = 0, noise = 0.03, light = 0.9 } = {},
) {
  const field = noisy(60, 20, { noise });
  const { width, height, pxPerMm, values } = field;
  const seam = seamIn(field);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const along = x / pxPerMm - seam.middleMm[0];
      const off = y / pxPerMm - seam.middleMm[1] - at.acrossMm - at.slope * along;
      // Over a pixel, as a lens has it.
      const share = Math.min(1, Math.max(0, off * pxPerMm + 0.5));
      const drawn = Math.max(0, 1 - Math.abs(off) / 0.25);
      values[y * width + x]! += step * share + line * drawn;
    }
  }
  const places = zigzagPlaces(seen, seam, 48);
  drawThread(field, seam, places, { light });
  return { field, seam, thread: threadOf(seen, places) };
}

test('a step from one cloth to another is found to a few hundredths, whatever is sewn over it', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -0.9, max: 0.9, noNaN: true }),
      fc.double({ min: -0.02, max: 0.02, noNaN: true }),
      fc.constantFrom(0.3, -0.2, 0.12),
      (acrossMm, slope, step) => {
        const { field, seam, thread } = beside({ acrossMm, slope }, { step });
        const found = referenceLine(field, seam, thread)!;
        for (const along of [-22, 0, 22]) {
          const at = found.acrossMm + found.slope * along;
          expect(Math.abs(at - acrossMm - slope * along)).toBeLessThan(0.08);
        }
        expect(found.score).toBeGreaterThan(4);
      },
    ),
    { numRuns: 12 },
  );
});

test('the line a thread was led along turns as it does, were another a little plainer', () => {
  for (const [turned, other] of [
    [0, 0.03],
    [0, -0.03],
    [0.02, -0.01],
    [-0.02, 0.01],
  ] as const) {
    const field = noisy(100, 20, { noise: 0.03 });
    const seam = seamIn(field);
    const { width, pxPerMm, values } = field;
    values.forEach((_, i) => {
      const along = (i % width) / pxPerMm - seam.middleMm[0];
      const across = Math.floor(i / width) / pxPerMm - seam.middleMm[1];
      const step = (at: number) => Math.min(1, Math.max(0, (across - at) * pxPerMm + 0.5));
      // The other lies nearer as well.
      values[i]! += 0.3 * step(0.4 + turned * along) + 0.4 * step(-0.2 + other * along);
    });
    const places = zigzagPlaces(seen, seam, 92).map(
      ([along, across]) => [along, across + turned * along] as const,
    );
    drawThread(field, seam, places, { light: 0.9 });
    const found = referenceLine(field, seam, threadOf(seen, places))!;
    expect(Math.abs(found.slope - turned)).toBeLessThan(0.005);
    expect(Math.abs(found.acrossMm - 0.4)).toBeLessThan(0.1);
  }
});

test('of a drawn line it is the middle, where one may be drawn', () => {
  const { field, seam, thread } = beside({ acrossMm: 0.4, slope: 0 }, { step: 0, line: -0.4 });
  const line = referenceLine(field, seam, thread, { mayBeDrawn: true, besideThreadMm: 0.35 })!;
  expect(line.acrossMm).toBeCloseTo(0.4, 1);
  // Else it is where the cloth turns the fastest, on one of its sides.
  const side = referenceLine(field, seam, thread)!;
  expect(Math.abs(side.acrossMm - 0.4)).toBeGreaterThan(0.08);
});

test.each([0.9, 0.3, -0.3])(
  'thread is no line of the cloth: where there is none, none is told (%d)',
  (light) => {
    for (const noise of [0.02, 0.1]) {
      const { field, seam, thread } = beside({ acrossMm: 0, slope: 0 }, { step: 0, noise, light });
      expect(referenceLine(field, seam, thread)).toBeNull();
    }
  },
);

test('nothing is told from no thread at all', () => {
  const { field, seam } = beside({ acrossMm: 0, slope: 0 });
  expect(() => referenceLine(field, seam, [])).not.toThrow();
});

test('where the picture ends nothing ends, however light the cloth is and however near the seam lies', () => {
  const { field, seam, thread } = beside({ acrossMm: 0, slope: 0 }, { step: 0 });
  const light = { ...field, values: field.values.map((value) => value + 5) };
  expect(referenceLine(light, seam, thread)).toBeNull();
  // Two millimetres from the window’s border, of which the search would reach beyond.
  const { width, pxPerMm } = light;
  const cut = Math.round((10 + 2) * pxPerMm);
  const low = { ...light, height: cut, values: light.values.slice(0, cut * width) };
  expect(referenceLine(low, seam, thread)).toBeNull();
});
