import fc from 'fast-check';
import { edgeShapes, type EdgeKind } from './edge-shapes';

const places = Array.from({ length: 101 }, (_, i) => -1 + i * 0.02);
const blurs = fc.double({ min: 0.04, max: 0.2, noNaN: true });

test('a sharp edge goes from all of one cloth to all of another, and its shadow falls beyond only', () => {
  fc.assert(
    fc.property(blurs, (blurMm) => {
      for (const { upper, lower, shadow } of edgeShapes(blurMm, 'raw on paper', 1)) {
        expect(upper(0)).toBeCloseTo(0.5, 2);
        for (const mm of places) {
          expect(upper(mm) + lower(mm)).toBeCloseTo(1, 2);
          expect(lower(mm) + lower(-mm)).toBeCloseTo(1, 2);
          expect(shadow?.(mm) ?? 0).toBeGreaterThanOrEqual(-1e-9);
          expect(shadow?.(mm) ?? 0).toBeLessThanOrEqual(1 + 1e-9);
        }
        expect(shadow?.(-3.2 * blurMm) ?? 0).toBeCloseTo(0, 2);
      }
    }),
    { numRuns: 20 },
  );
});

test('a round fold is as light as flat cloth where it lies flat, and its flank is dark where the lamp is not beyond it', () => {
  const round = edgeShapes(0.04, 'fold', 1).filter(({ isSharp, shadow }) => !isSharp && !shadow);
  const [dark, light] = [
    round.filter(({ lower }) => lower(0.12) < 0.75),
    round.filter(({ upper }) => upper(-0.1) > 1.02),
  ];
  expect(Math.min(dark.length, light.length)).toBeGreaterThan(2);
  for (const { upper, lower } of round) {
    expect(upper(-0.6)).toBeCloseTo(1, 2);
    expect(lower(0.95)).toBeGreaterThan(0.93);
    // No lamp makes it more than the light that falls on it.
    for (const mm of places) expect(upper(mm)).toBeLessThan(1.3);
    for (const mm of places) expect(lower(mm)).toBeLessThan(1 + 1e-6);
  }
  // A shadow lies beyond those whose flank is dark, and beyond none that is lit.
  for (const { upper } of dark) expect(upper(-0.1)).toBeLessThan(1);
  for (const { lower } of light) expect(lower(0.3)).toBeGreaterThan(0.85);
});

test('a dark line of its own lies about the edge, as far on one side as on the other; on paper there is none', () => {
  const dark = (kind: EdgeKind) =>
    edgeShapes(0.08, kind, 1).filter(({ isSharp, shadow }) => !isSharp && shadow);
  for (const kind of ['fold', 'raw on cloth'] as const) {
    const lines = dark(kind);
    expect(lines.length).toBeGreaterThan(1);
    for (const { upper, lower, shadow } of lines) {
      for (const mm of places) {
        expect(shadow!(mm)).toBeCloseTo(shadow!(-mm), 6);
        expect(upper(mm) + lower(mm)).toBeCloseTo(1, 2);
        expect(shadow!(mm)).toBeLessThanOrEqual(shadow!(0) + 1e-9);
      }
    }
  }
  expect(dark('raw on paper')).toEqual([]);
});

test('a raw edge is cut off and bends nowhere', () => {
  const raw = edgeShapes(0.1, 'raw on paper', 1);
  const fold = edgeShapes(0.1, 'fold', 1);
  expect(fold.length).toBeGreaterThan(3 * raw.length);
  for (const { upper } of raw) expect(upper(-0.4)).toBeCloseTo(1, 2);
});
