import fc from 'fast-check';
import { gainsFor } from './along-edge';
import {
  drawThread,
  noisy,
  seamIn,
  softened,
  threadOf,
  zigzag,
  zigzagPlaces,
} from './drawn-field.fixture';
import { fittedOverEdge } from './fitted-over-edge';
import { laidEdge } from './laid-edge';
import type { RawEdge } from './raw-edge';
import type { Seen } from './seen';

const seen: Seen = { ...zigzag(4, 4), reference: 'raw edge', endsThere: true };
/** Cloth ends so far across, half-way between two pixels, on paper; both are so light. */
const edgeMm = 7 / 6;
const [cloth, paper] = [0.4, 0.9];
const edge: RawEdge = { angle: 0, acrossMm: edgeMm, paper: 1 };

/** Swings over a raw edge whose ends were all followed too short, or too far, by so much. */
function swings({ light = 0.65, blurMm = 0.08, atHole = 1, followedMm = 0, seed = 3 } = {}) {
  const field = noisy(60, 20, { pxPerMm: 12, noise: 0 });
  const seam = seamIn(field, { lighter: light > cloth });
  const { width, pxPerMm } = field;
  const across = (i: number) => Math.floor(i / width) / pxPerMm - seam.middleMm[1];
  field.values.forEach((_, i) => (field.values[i] = across(i) > edgeMm ? paper : cloth));
  const places = zigzagPlaces(
    seen,
    { acrossMm: 0, alongMm: 0 },
    50,
    (i) => 0.2 * Math.sin(2.4 * i),
  );
  drawThread(field, seam, places, { light, atHole });
  const soft = softened(field, blurMm);
  const strays = noisy(60, 20, { pxPerMm: 12, noise: 0.02, seed }).values;
  const tones = {
    ...soft,
    blurMm,
    values: soft.values.map((grey, i) => Math.log(grey + strays[i]!)),
  };
  const laid = laidEdge(tones, edge);
  const gains = gainsFor(laid.picture, edge, Math.log(light / cloth));
  const isOut = (mm: number) => mm > 0;
  const found = threadOf(
    seen,
    places.map(([along, mm]) => [along, isOut(mm) ? mm + followedMm : mm] as const),
  );
  const thread = found.map((one) => ({ ...one, hole: { ...one.hole, role: 'swing' as const } }));
  const line = { acrossMm: edgeMm + 0.05, slope: 0, score: 20, total: 20, spreadMm: 0.05 };
  const sight = fittedOverEdge(laid, gains, seen, { seam, thread, plain: 9, line });
  const ends = sight.thread.flatMap((one, i) =>
    isOut(places[i]![1]) ? [{ ...one, offMm: one.acrossMm - places[i]![1] }] : [],
  );
  // The first and the last have thread on one side alone.
  return { ends: ends.slice(1, -1), line: sight.line! };
}

const middle = (values: readonly number[]) => values.toSorted((a, b) => a - b)[values.length >> 1]!;

describe('swings over a raw edge', () => {
  test('end on the paper where they do, however they were followed: light thread, or darker than both', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(0.65, 0.2),
        fc.constantFrom(0.06, 0.1),
        fc.constantFrom(-0.12, 0, 0.12),
        fc.constantFrom(1, 0.6),
        fc.nat(1e6),
        (light, blurMm, followedMm, atHole, seed) => {
          const { ends, line } = swings({ light, blurMm, followedMm, atHole, seed });
          expect(ends.length).toBeGreaterThan(8);
          expect(Math.abs(middle(ends.map(({ offMm }) => offMm)))).toBeLessThan(0.03);
          for (const { offMm, acrossSpreadMm } of ends) {
            expect(Math.abs(offMm)).toBeLessThan(4 * acrossSpreadMm);
            expect(acrossSpreadMm).toBeLessThan(0.06);
          }
          expect(Math.abs(line.acrossMm - edgeMm)).toBeLessThan(0.02);
        },
      ),
      { numRuns: 8 },
    );
  });

  test('say that they may end elsewhere where thread and paper are as light', () => {
    const spreadOf = (light: number) =>
      middle(swings({ light }).ends.map((one) => one.acrossSpreadMm));
    expect(spreadOf(0.88)).toBeGreaterThan(1.1 * spreadOf(0.65));
  });
});
