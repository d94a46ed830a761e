import fc from 'fast-check';
import { alongEdge, beyondMm, evenAlong, gainsFor, mostGain, rowsTimes } from './along-edge';
import { middleOf } from './middle';
import type { RawEdge } from './raw-edge';

const pxPerMm = 8;
const [width, height] = [40 * pxPerMm, 12 * pxPerMm];
const edge: RawEdge = { angle: 0, acrossMm: 0, paper: 1 };

/** Cloth above an edge and paper below it, with threads across both, each 0.3 mm wide. */
function picture(cloth: number, paper: number, thread: number, everyMm = 3) {
  const values = Float32Array.from({ length: width * height }, (_, at) => {
    if ((at % width) % (everyMm * pxPerMm) < 0.3 * pxPerMm) return thread;
    return Math.floor(at / width) < height / 2 ? cloth : paper;
  });
  return { width, height, pxPerMm, values };
}
const at = (values: Float32Array, xMm: number, yMm: number) =>
  values[Math.round(yMm * pxPerMm) * width + Math.round(xMm * pxPerMm)]!;

test('what is the same along an edge is taken away on both its sides, and thread is left', () => {
  const { even, usual } = alongEdge(picture(-0.4, 0.5, 0.1));
  for (const [yMm, cloth] of [
    [2, -0.4],
    [9, 0.5],
  ] as const) {
    // A thread begins at every third millimetre; half way to the next there is none.
    expect(at(even.values, 19.5, yMm)).toBeCloseTo(0, 1);
    expect(at(even.values, 18, yMm)).toBeCloseTo(0.1 - cloth, 1);
    expect(at(usual.values, 19.5, yMm)).toBeCloseTo(cloth, 1);
  }
});

test('how far a row lies beyond the edge is told on the paper’s side', () => {
  const field = picture(0, 0, 0);
  const down = beyondMm(field, edge);
  expect(down[0]).toBeCloseTo(-(height - 1) / 2 / pxPerMm, 9);
  expect(down.at(-1)).toBeCloseTo((height - 1) / 2 / pxPerMm, 9);
  expect(beyondMm(field, { ...edge, paper: -1 })).toEqual(down.map((mm) => -mm));
});

test('a row is taken times what makes the same thread as plain there as on the cloth', () => {
  // On the cloth it is lighter by 0.5, on the paper darker by 0.4: −1.25 times, to a seventh, since a
  // tenth of every row is thread and some of it stays in the mean.
  const gains = gainsFor(alongEdge(picture(-0.4, 0.5, 0.1)), edge, 0.5);
  expect(gains.slice(0, height / 2 - 1).every((gain) => gain === 1)).toBe(true);
  expect(Math.abs(middleOf(gains.slice(height / 2 + 4)) + 1.25)).toBeLessThan(1.25 / 7);
  const twice = rowsTimes(picture(1, 1, 1), gains);
  expect(at(twice.values, 5, 2)).toBe(1);
  expect(at(twice.values, 5, 9)).toBeCloseTo(gains[9 * pxPerMm]!, 5);
});

test('whatever the tones, thread is as plain on the paper, or made up for by the most there is', () => {
  const tone = fc.double({ min: -1, max: 1, noNaN: true });
  fc.assert(
    fc.property(tone, tone, tone, (cloth, paper, thread) => {
      fc.pre(Math.abs(thread - cloth) > 0.05);
      const gains = gainsFor(alongEdge(picture(cloth, paper, thread)), edge, thread - cloth);
      for (const gain of gains.slice(height / 2 + 8, -8)) {
        expect(Math.abs(gain)).toBeLessThanOrEqual(mostGain);
        if (Math.abs(gain) === mostGain) continue;
        // An eighth of every row is thread, and as much of it stays in the mean of cloth and of paper at the most.
        const over = (thread - cloth) / gain - (thread - paper);
        expect(Math.abs(over)).toBeLessThan(Math.abs(paper - cloth) / 8 + 0.01);
      }
    }),
    { numRuns: 30 },
  );
});

test('light that falls off along an edge is taken away: the greys are as they would be without it', () => {
  const share = fc.double({ min: -0.4, max: 0.4, noNaN: true });
  const one = picture(-0.4, 0.5, 0.1);
  const evenly = evenAlong(alongEdge(one)).values;
  fc.assert(
    fc.property(share, (falls) => {
      const lit = one.values.map((tone, i) => tone + falls * ((i % width) / (width - 1) - 0.5));
      const told = evenAlong(alongEdge({ ...one, values: lit })).values;
      // Away from its ends, where what lies beyond the picture is not known.
      for (let xMm = 12; xMm < 28; xMm += 0.5) {
        for (const yMm of [2, 9]) {
          expect(Math.abs(at(told, xMm, yMm) / at(evenly, xMm, yMm) - 1)).toBeLessThan(0.01);
        }
      }
      // In the middle, between threads, it is cloth here and paper there.
      expect(at(told, 19.5, 2)).toBeCloseTo(Math.exp(-0.4), 1);
      expect(at(told, 19.5, 9)).toBeCloseTo(Math.exp(0.5), 1);
    }),
    { numRuns: 20 },
  );
});
