import fc from 'fast-check';
import { edgeParts } from './edge-shapes';

const places = Array.from({ length: 201 }, (_, i) => -2 + i * 0.02);

test('a step goes from nothing to all of it, a shadow falls beyond only, a bend lies before only', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.04, max: 0.2, noNaN: true }), (blurMm) => {
      const { step, shadows, bends } = edgeParts(blurMm, true);
      expect(step(0)).toBeCloseTo(0.5, 2);
      for (const mm of places) {
        // What lies as far on either side of a step adds up to the whole of it.
        expect(step(mm) + step(-mm)).toBeCloseTo(1, 2);
        for (const part of [step, ...shadows, ...bends]) {
          expect(part(mm)).toBeGreaterThanOrEqual(-1e-9);
          expect(part(mm)).toBeLessThanOrEqual(1 + 1e-9);
        }
      }
      for (const shadow of shadows) expect(shadow(-3.2 * blurMm)).toBeCloseTo(0, 2);
      for (const bend of bends) expect(bend(3.2 * blurMm)).toBeCloseTo(0, 2);
    }),
    { numRuns: 20 },
  );
});

test('a raw edge is cut off and bends nowhere', () => {
  expect(edgeParts(0.1, false).bends).toEqual([]);
  expect(edgeParts(0.1, true).bends.length).toBeGreaterThan(1);
});
