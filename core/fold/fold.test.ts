import fc from 'fast-check';
import { foldFlat, type Fold } from './flat-fold';
import { cutOut, foldedStrip, placeOf, plateausOf } from './layer';
import { lengthAfterTrimmingMm, passesOverMm } from './opening';
import { sectionOf } from './section';
import { turnOfClothMm } from './turn-of-cloth';

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
  const section = (lengthMm: number, folds: Fold[], thick: number, times = 1) =>
    sectionOf(foldedStrip(lengthMm, folds, thick), times);

  test('is as high as its layers are thick, and exaggerates thickness only', () => {
    expect(section(112, [], 0.6).heightMm).toBeCloseTo(0.6, 9);
    expect(section(112, [hem], 0.6).heightMm).toBeCloseTo(1.2, 9);
    const triple = section(112, [hem, back], 0.6, 3);
    expect(triple.heightMm).toBeCloseTo(5.4, 1);
    expect(triple.widthMm).toEqual(section(112, [hem, back], 0.6).widthMm);
  });

  test('layers never sink into one another', () => {
    fc.assert(
      fc.property(foldSequences, fc.double({ min: 0.1, max: 3, noNaN: true }), (folds, thick) => {
        const { legs } = section((folds.at(-1)?.atMm ?? 0) + 40, folds, thick);
        for (const { zMm } of legs.flatMap(({ centreLine }) => centreLine)) {
          expect(zMm).toBeGreaterThanOrEqual(thick / 2 - 1e-9);
        }
      }),
    );
  });

  test('bends bulge past their fold by half a thickness of what they join', () => {
    const { legs, bends } = section(112, [hem], 0.8);
    const outermost = Math.min(...(legs[0]?.centreLine ?? []).map(({ xMm }) => xMm));
    expect(outermost).toBeCloseTo(48 - 0.4, 6);
    expect(bends).toEqual([
      { piece: 'garment', sMm: 48, xMm: expect.closeTo(47.6, 6), zMm: expect.closeTo(0.8, 6) },
    ]);
  });

  test('what is cut out leaves two legs', () => {
    const stack = cutOut(foldedStrip(100, [], 0.5), 40, 60);
    const { legs } = sectionOf(stack);
    expect(legs.map(({ centreLine }) => centreLine.map(({ xMm }) => xMm))).toEqual([
      [0, 40],
      [60, 100],
    ]);
    expect(placeOf(stack, 50)).toBeNull();
    expect(placeOf(stack, 70)).toBe(70);
  });
});

describe('layers along a stack', () => {
  test('are counted from left to right, equal neighbours joined', () => {
    const plateaus = plateausOf(foldedStrip(100, [hem], 0.5));
    expect(plateaus).toEqual([
      { fromXMm: 48, toXMm: 96, layers: 2, heightMm: 1 },
      { fromXMm: 96, toXMm: 100, layers: 1, heightMm: 0.5 },
    ]);
  });

  test('add up to all the cloth there is', () => {
    fc.assert(
      fc.property(foldSequences, (folds) => {
        const length = (folds.at(-1)?.atMm ?? 0) + 40;
        const cloth = plateausOf(foldedStrip(length, folds, 1)).reduce(
          (sum, { fromXMm, toXMm, layers }) => sum + (toXMm - fromXMm) * layers,
          0,
        );
        expect(cloth).toBeCloseTo(length, 6);
      }),
    );
  });
});

test('the turn of cloth: next to nothing for a pressed hem, millimetres round plush', () => {
  expect(turnOfClothMm(0.3, 0)).toBeCloseTo((Math.PI / 2) * 0.3 - 0.6, 12);
  expect(turnOfClothMm(0.4, 10)).toBeCloseTo((Math.PI / 2) * 10.4 - 10.8, 12);
  expect(turnOfClothMm(0.4, 10)).toBeGreaterThan(5);
});

describe('an opening after trimming', () => {
  test('a neck of 508 mm less 15 mm of allowance is 602 mm round', () => {
    const after = lengthAfterTrimmingMm(508, 15, 2 * Math.PI);
    expect(after).toBeCloseTo(602.25, 2);
    expect(passesOverMm(after, 24)).toBeCloseTo(602.25 * 1.12, 1);
  });

  test('an outside edge shrinks as much as an inside one grows', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 40, noNaN: true }), (trim) => {
        const grown = lengthAfterTrimmingMm(900, trim, 2 * Math.PI) - 900;
        expect(900 - lengthAfterTrimmingMm(900, trim, -2 * Math.PI)).toBeCloseTo(grown, 9);
      }),
    );
  });
});
