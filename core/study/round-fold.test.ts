import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import { drawnFold, foldLight, type RoundFold } from './round-fold';

const places = Array.from({ length: 121 }, (_, i) => -1.2 + i * 0.02);
const folds = fc.nat().map((seed) => drawnFold(evenDraws(seed)));
const lit = (fold: RoundFold, fromBeyond: number): RoundFold => ({
  ...fold,
  lamp: { ...fold.lamp, fromBeyond },
});

test('flat cloth in the open is as light as it is, and none is darker than what falls on it from all sides', () => {
  fc.assert(
    fc.property(folds, (fold) => {
      expect(foldLight(fold, -fold.roundMm - 0.01)).toBeCloseTo(1, 6);
      expect(foldLight(fold, 20)).toBeCloseTo(1, 3);
      for (const mm of places) {
        const least = mm > 0 ? fold.ambient / 2 : fold.ambient;
        expect(foldLight(fold, mm)).toBeGreaterThanOrEqual(least ** (1 / 2.2) - 1e-9);
      }
    }),
  );
});

test('a lamp from beyond lights the flank and throws no shadow; one over the cloth does the other', () => {
  fc.assert(
    fc.property(folds, (fold) => {
      const [beyond, over] = [lit(fold, 0.9), lit(fold, -0.9)];
      const flank = -0.6 * fold.roundMm;
      expect(foldLight(beyond, flank)).toBeGreaterThan(1);
      expect(foldLight(over, flank)).toBeLessThan(1);
      expect(foldLight(over, 0.02)).toBeLessThan(foldLight(beyond, 0.02) - 0.05);
    }),
  );
});

test('what it throws is as long as the fold is high by the lamp’s slope', () => {
  const fold = { roundMm: 0.3, lamp: { height: Math.PI / 4, fromBeyond: -1 }, ambient: 0.5 };
  // 0.6 mm high under a lamp at 45 degrees: half of the light is back 0.6 mm out.
  const open = (mm: number) => 0.5 * (1 - 0.5 * Math.exp(-mm / 0.3));
  expect(foldLight(fold, 0.6) ** 2.2).toBeCloseTo(open(0.6) + 0.25, 6);
  expect(foldLight(fold, 0.3) ** 2.2).toBeCloseTo(open(0.3), 6);
});
