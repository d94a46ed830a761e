import fc from 'fast-check';
import {
  drawThread,
  noisy,
  seamIn,
  softened,
  threadOf,
  zigzag,
  zigzagPlaces,
} from './drawn-field.fixture';
import { foldLight } from '../study/round-fold';
import type { Field } from './flatten';
import { fittedLine, type KnownLine } from './fitted-line';
import { referenceLine } from './reference-line';

const seen = zigzag(1.5, 4);
/** What is known of a fold beside a thread of 0.3 mm. */
const known = (blurMm = 0.1, more: Partial<KnownLine> = {}): KnownLine => ({
  ...{
    beyond: 1,
    kind: 'fold',
    black: -1,
    blursMm: [0.75 * blurMm, blurMm, 1.3 * blurMm],
  },
  besideThreadMm: 0.2 + 3 * blurMm,
  ...more,
});

/** A field as a camera sees it, out of focus by so much and noisy. */
function photographed(field: Field, blurMm: number, noise: number, seed: number): Field {
  const soft = softened(field, blurMm);
  const strays = noisy(60, 16, { pxPerMm: 12, noise, seed }).values;
  return { ...soft, values: soft.values.map((value, i) => value + strays[i]!) };
}

/** A fold whose shadow begins at a line and fades, beyond it another cloth; a zigzag beside it. */
function folded({ acrossMm = 1.6, slope = 0, blurMm = 0.1, other = 0 } = {}) {
  const field = noisy(60, 16, { pxPerMm: 12, noise: 0 });
  const { width, height, pxPerMm, values } = field;
  const seam = seamIn(field);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const along = x / pxPerMm - seam.middleMm[0];
      const off = y / pxPerMm - seam.middleMm[1] - acrossMm - slope * along;
      // Over a pixel, as a lens has it.
      const share = Math.min(1, Math.max(0, off * pxPerMm + 0.5));
      values[y * width + x]! -= share * (0.12 + 0.35 * Math.exp(-Math.max(0, off) / 0.5));
      // A stripe along it.
      if (off < -0.7 && off > -1.4) values[y * width + x]! += other;
    }
  }
  const places = zigzagPlaces(seen, seam, 48);
  drawThread(field, seam, places, { light: 0.6 });
  const even = photographed(field, blurMm, 0.04, 8);
  return { even, seam, thread: threadOf(seen, places) };
}

test('a fold is found to two hundredths, where its picture turns fastest elsewhere', () => {
  let [turned, fitted] = [0, 0];
  fc.assert(
    fc.property(
      fc.double({ min: 1.3, max: 2, noNaN: true }),
      fc.double({ min: -0.01, max: 0.01, noNaN: true }),
      fc.constantFrom(0.05, 0.1, 0.15),
      (acrossMm, slope, blurMm) => {
        const { even, seam, thread } = folded({ acrossMm, slope, blurMm });
        const found = referenceLine(even, seam, thread)!;
        const line = fittedLine(even, seam, found, thread, known(blurMm));
        for (const along of [-22, 0, 22]) {
          const truth = acrossMm + slope * along;
          const off = line.acrossMm + line.slope * along - truth;
          expect(Math.abs(off)).toBeLessThan(0.03);
          fitted += off ** 2;
          turned += (found.acrossMm + found.slope * along - truth) ** 2;
        }
        // A fold that is hardly free of thread, or blurred, is told, but not as surely; nor is it told that it is not round.
        expect(line.spreadMm).toBeLessThan(0.1);
      },
    ),
    { numRuns: 8 },
  );
  expect(fitted).toBeLessThan(turned / 2);
});

test('a stripe beside it draws it nowhere', () => {
  for (const other of [-0.3, 0.3]) {
    const { even, seam, thread } = folded({ other });
    const found = { ...referenceLine(folded().even, seam, thread)! };
    const line = fittedLine(even, seam, found, thread, known());
    expect(Math.abs(line.acrossMm - 1.6)).toBeLessThan(0.03);
  }
});

test('stripes that run across a fold and meet others there draw it nowhere', () => {
  for (const shift of [0.2, 0.5, 0.8]) {
    for (const blurMm of [0.06, 0.12]) {
      const field = noisy(60, 16, { pxPerMm: 12, noise: 0 });
      const { width, pxPerMm, values } = field;
      const seam = seamIn(field);
      values.forEach((_, i) => {
        const [x, y] = [(i % width) / pxPerMm, Math.floor(i / width) / pxPerMm];
        const off = y - seam.middleMm[1] - 1.6;
        const share = Math.min(1, Math.max(0, off * pxPerMm + 0.5));
        // Two in five millimetres are lighter; beyond the fold the print goes on somewhere else.
        const printed = (by: number) => ((x / 5 + by) % 1 < 0.4 ? 0.25 : 0);
        values[i] = (1 - share) * printed(0) + share * (printed(shift) - 0.2);
      });
      const places = zigzagPlaces(seen, seam, 48);
      drawThread(field, seam, places, { light: 0.6 });
      const even = photographed(field, blurMm, 0.02, 8);
      const thread = threadOf(seen, places);
      const found = referenceLine(even, seam, thread)!;
      const line = fittedLine(even, seam, found, thread, known(blurMm));
      expect(Math.abs(line.acrossMm - 1.6)).toBeLessThan(0.04);
    }
  }
});

test('where no fold is seen, a line is moved no farther than a shadow would move it', () => {
  const { seam, thread } = folded();
  const even = noisy(60, 16, { pxPerMm: 12, noise: 0.04 });
  const line = { acrossMm: 1.6, slope: 0, score: 12, total: 9, spreadMm: 0.04 };
  const { acrossMm } = fittedLine(even, seam, line, thread, known());
  expect(Math.abs(acrossMm - 1.6)).toBeLessThanOrEqual(0.061);
  // Nor where thread covers all there is.
  const none = { ...even, width: 40, values: even.values.slice(0, 40 * even.height) };
  expect(fittedLine(none, seamIn(none), line, thread.slice(0, 2), known())).toBe(line);
});

test('a raw edge is not where the shadow ends that its cloth throws on the paper', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.3, max: 0.6, noNaN: true }),
      fc.double({ min: 0.5, max: 0.65, noNaN: true }),
      (thrownMm, shade) => {
        const [cloth, edgeMm] = [0.35, 1.7];
        const field = noisy(60, 16, { pxPerMm: 12, noise: 0 });
        const { width, pxPerMm, values } = field;
        const seam = seamIn(field);
        values.forEach((_, i) => {
          const beyond = Math.floor(i / width) / pxPerMm - seam.middleMm[1] - edgeMm;
          const paper = beyond < thrownMm ? shade : 1;
          const share = Math.min(1, Math.max(0, beyond * pxPerMm + 0.5));
          values[i] = cloth + share * (paper - cloth);
        });
        const greys = photographed(field, 0.1, 0.02, 5);
        const thread = threadOf(seen, zigzagPlaces(seen, seam, 48));
        // The shadow’s end turns as fast as the cloth’s.
        const line = { acrossMm: edgeMm + thrownMm, slope: 0, score: 20, total: 9, spreadMm: 0.03 };
        const blursMm = [0.06, 0.1, 0.16];
        const paper = { kind: 'raw on paper', black: 0, blursMm } as const;
        const fitted = fittedLine(greys, seam, line, thread, known(0.1, paper));
        const off = Math.abs(fitted.acrossMm - edgeMm);
        expect(off).toBeLessThan(0.1);
        expect(off).toBeLessThan(2.5 * fitted.spreadMm);
      },
    ),
    { numRuns: 8 },
  );
});

test('a line that was found where a fold’s shadow ends is the fold all the same', () => {
  const edgeMm = 1.7;
  for (const [roundMm, fromBeyond] of [
    [0.3, -0.8],
    [0.26, -1],
    [0.22, -0.9],
  ] as const) {
    const lamp = { height: 0.9, fromBeyond };
    const field = noisy(60, 16, { pxPerMm: 12, noise: 0 });
    const { width, pxPerMm, values } = field;
    const seam = seamIn(field);
    values.forEach((_, i) => {
      const beyond = Math.floor(i / width) / pxPerMm - seam.middleMm[1] - edgeMm;
      // About the light around it, as a picture is looked at; beyond lies a lighter cloth.
      const cloth = beyond > 0 ? 1.15 : 1;
      values[i] = cloth * foldLight({ roundMm, lamp, ambient: 0.5 }, beyond) - 1;
    });
    const soft = softened(field, 0.06);
    const strays = noisy(60, 16, { pxPerMm: 12, noise: 0.02, seed: 5 }).values;
    const even = { ...soft, values: soft.values.map((value, i) => value + strays[i]!) };
    const thrownMm = (2 * roundMm * -fromBeyond) / Math.tan(lamp.height);
    const found = { slope: 0, score: 20, total: 9, spreadMm: 0.03 };
    const line = { ...found, acrossMm: edgeMm + thrownMm };
    const thread = threadOf(seen, zigzagPlaces(seen, seam, 48));
    const fitted = fittedLine(even, seam, line, thread, known(0.06));
    expect(thrownMm).toBeGreaterThan(0.3);
    // From its end alone it would be looked for no nearer than 0.2 mm.
    expect(Math.abs(fitted.acrossMm - edgeMm)).toBeLessThan(0.08);
    expect(Math.abs(fitted.acrossMm - edgeMm)).toBeLessThan(2 * fitted.spreadMm);
  }
});
