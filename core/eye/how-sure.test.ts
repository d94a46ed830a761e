import fc from 'fast-check';
import { atMostOneWrong, faultOf, sureOf } from './how-sure';

const bite = { loMm: 0.2, hiMm: 1, below: 'missed', above: 'shows' };

test('a value is as sure as it lies far from what bounds it', () => {
  expect([0.1, 0.2, 0.6, 1, 1.1].map((mm) => faultOf(mm, bite))).toEqual([
    ...['missed', null, null, null, 'shows'],
  ]);
  // On a bound it is even odds; two spreads from it, 0.977.
  expect(sureOf(0.2, 0.05, bite)).toBeCloseTo(0.5, 6);
  expect(sureOf(0.1, 0.05, bite)).toBeCloseTo(0.97725, 5);
  expect(sureOf(1.1, 0.05, bite)).toBeCloseTo(0.97725, 5);
  expect(sureOf(0.6, 0.2, bite)).toBeCloseTo(0.9545, 4);
  // Nothing waits above.
  expect(sureOf(0.6, 0.2, { loMm: 0.2, hiMm: Infinity })).toBeCloseTo(0.97725, 5);
});

test('at most one wrong: as all cases summed up say', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 8 }), (sures) => {
      let sum = 0;
      for (let wrong = 0; wrong < 2 ** sures.length; wrong++) {
        const bits = sures.map((_, i) => (wrong >> i) & 1);
        if (bits.reduce((a, b) => a + b, 0) > 1) continue;
        sum += sures.reduce((chance, sure, i) => chance * (bits[i] ? 1 - sure : sure), 1);
      }
      expect(atMostOneWrong(sures)).toBeCloseTo(sum, 9);
    }),
  );
});
