import fc from 'fast-check';
import { normalDrift } from './normal';
import { predictiveDrift, tabulatePredictive } from './predictive';

const stepMm = 0.05;

/** A posterior on a small grid, whose weights sum to one; some of them nothing. */
const posteriors = fc
  .record({
    sigmasMm: fc.array(fc.double({ min: 0.06, max: 1.5, noNaN: true }), {
      minLength: 1,
      maxLength: 4,
    }),
    first: fc.integer({ min: -40, max: 30 }),
    count: fc.integer({ min: 1, max: 12 }),
    raw: fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 48, maxLength: 48 }),
  })
  .map(({ sigmasMm, first, count, raw }) => {
    const some = raw.slice(0, sigmasMm.length * count);
    const total = some.reduce((sum, weight) => sum + weight, 0);
    const weights = Float64Array.from(some, (weight) =>
      total > 0 ? weight / total : 1 / some.length,
    );
    return { weights, sigmasMm, shifts: { fromMm: first * stepMm, stepMm, count } };
  });

/** The same, added up the plain way: every pair of an offset and a spread by itself. */
function plainly({ weights, sigmasMm, shifts }: Parameters<typeof posteriorAt>[0], atMm: number) {
  let sum = 0;
  sigmasMm.forEach((sigma, row) => {
    for (let i = 0; i < shifts.count; i++) {
      const offset = shifts.fromMm + i * shifts.stepMm;
      sum += weights[row * shifts.count + i]! * normalDrift(offset, sigma).leftOf(atMm);
    }
  });
  return sum;
}
const posteriorAt = (it: {
  readonly weights: Float64Array;
  readonly sigmasMm: readonly number[];
  readonly shifts: { readonly fromMm: number; readonly stepMm: number; readonly count: number };
}) => tabulatePredictive(it.weights, it.sigmasMm, it.shifts);

test('the table is the plain double sum at every place', () => {
  fc.assert(
    fc.property(posteriors, (posterior) => {
      const { fromMm, leftOf } = posteriorAt(posterior);
      leftOf.forEach((value, place) => {
        const wanted = plainly(posterior, fromMm + place * stepMm);
        if (Math.abs(value - wanted) > 1e-12) throw new Error(`${place}: ${value}, not ${wanted}`);
      });
    }),
    { numRuns: 40 },
  );
});

test('from nothing on the left to all on the right it never falls', () => {
  fc.assert(
    fc.property(posteriors, (posterior) => {
      const { leftOf } = posteriorAt(posterior);
      expect(leftOf[0]).toBeCloseTo(plainly(posterior, -8), 9);
      expect(leftOf.at(-1)).toBeCloseTo(plainly(posterior, 8), 9);
      expect(leftOf.every((value, i) => i === 0 || value >= leftOf[i - 1]! - 1e-12)).toBe(true);
    }),
    { numRuns: 60 },
  );
});

test('between its points a belief read from it is the bell’s, to two in a hundred thousand', () => {
  const one = {
    weights: Float64Array.of(1),
    sigmasMm: [0.4],
    shifts: { fromMm: 0.2, stepMm, count: 1 },
  };
  const belief = predictiveDrift(posteriorAt(one), 0.2, 0.4);
  const bell = normalDrift(0.2, 0.4);
  for (const atMm of [-1.3, -0.42, 0.013, 0.2, 0.631, 1.7]) {
    expect(Math.abs(belief.leftOf(atMm) - bell.leftOf(atMm))).toBeLessThan(2e-5);
    expect(belief.leftOf(atMm) + belief.rightOf(atMm)).toBeCloseTo(1, 12);
  }
  expect(belief.within(-0.1, 0.5)).toBeCloseTo(bell.within(-0.1, 0.5), 4);
  expect(belief.within(0.5, -0.1)).toBe(0);
});
