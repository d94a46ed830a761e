import fc from 'fast-check';
import { foldFlat, type Fold } from './flat-fold';
import { sectionOf } from './section';

const hem: Fold = { atMm: 48, direction: 'over' };
const back: Fold = { atMm: 88, direction: 'under' };

/** Folds at strictly rising distances, each over or under. */
const foldSequences = fc
  .array(fc.record({ gap: fc.integer({ min: 4, max: 30 }), over: fc.boolean() }), {
    minLength: 1,
    maxLength: 4,
  })
  .map((gaps) => {
    let atMm = 0;
    return gaps.map(({ gap, over }): Fold => {
      atMm += gap;
      return { atMm, direction: over ? 'over' : 'under' };
    });
  });

describe('folding flat', () => {
  test('a single turn lies on the garment, raw edge inwards', () => {
    expect(foldFlat(100, [hem])).toEqual([
      { fromSMm: 48, toSMm: 100, fromXMm: 48, toXMm: 100 },
      { fromSMm: 0, toSMm: 48, fromXMm: 96, toXMm: 48 },
    ]);
  });

  test('the garment folded back leaves the extension sticking out', () => {
    const layers = foldFlat(112, [hem, back]);
    const hemLayer = layers[0];
    // The raw edge lies 8 mm beyond the temporary fold at 88, on the other side of the garment.
    expect(hemLayer).toEqual({ fromSMm: 0, toSMm: 48, fromXMm: 80, toXMm: 128 });
    expect(layers.map(({ fromSMm }) => fromSMm)).toEqual([0, 48, 88]);
  });

  test('a turn made first ends up between the hem and the garment', () => {
    const layers = foldFlat(150, [
      { atMm: 12, direction: 'over' },
      { atMm: 60, direction: 'over' },
    ]);
    expect(layers.map(({ fromSMm }) => fromSMm)).toEqual([60, 0, 12]);
  });

  test('folding keeps every millimetre of cloth and joins layers at the folds', () => {
    fc.assert(
      fc.property(foldSequences, (folds) => {
        const length = (folds.at(-1)?.atMm ?? 0) + 40;
        const layers = [...foldFlat(length, folds)].sort((a, b) => a.fromSMm - b.fromSMm);
        expect(layers).toHaveLength(folds.length + 1);
        layers.forEach((layer, i) => {
          expect(Math.abs(layer.toXMm - layer.fromXMm)).toBeCloseTo(layer.toSMm - layer.fromSMm, 9);
          const next = layers[i + 1];
          if (next) expect(next.fromXMm).toBeCloseTo(layer.toXMm, 9);
        });
      }),
    );
  });

  test('a fold off the strip is refused', () => {
    expect(() => foldFlat(40, [hem])).toThrow('48 mm lies outside');
  });
});

describe('the section', () => {
  test('is as high as its layers are thick', () => {
    expect(sectionOf(112, [], 0.6).heightMm).toBeCloseTo(0.6, 9);
    expect(sectionOf(112, [hem], 0.6).heightMm).toBeCloseTo(1.2, 9);
    expect(sectionOf(112, [hem, back], 0.6).heightMm).toBeCloseTo(1.8, 9);
  });

  test('layers never sink into one another', () => {
    fc.assert(
      fc.property(foldSequences, fc.double({ min: 0.1, max: 3, noNaN: true }), (folds, thick) => {
        const section = sectionOf((folds.at(-1)?.atMm ?? 0) + 40, folds, thick);
        for (const { zMm } of section.centreLine) {
          expect(zMm).toBeGreaterThanOrEqual(thick / 2 - 1e-9);
        }
        expect(section.heightMm).toBeLessThanOrEqual((folds.length + 1) * thick + 1e-9);
      }),
    );
  });

  test('bends bulge past their fold by half a thickness of what they join', () => {
    const { centreLine, foldPoints } = sectionOf(112, [hem], 0.8);
    const outermost = Math.min(...centreLine.map(({ xMm }) => xMm));
    expect(outermost).toBeCloseTo(48 - 0.4, 6);
    expect(foldPoints[0]?.zMm).toBeCloseTo(0.8, 6);
  });
});
