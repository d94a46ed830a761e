import fc from 'fast-check';
import { constructions } from '../cloth/cloth';
import { hammeredMm, passageOf, passages } from './passage';

/** The table, written once more. */
const share = { woven: 0.7, knit: 0.75, pile: 0.6, felted: 0.75, sheer: 0.9 };

test('twelve layers of denim under a foot that lifts five pass with care', () => {
  const stackMm = 12 * 0.76 * 0.7;
  expect(stackMm).toBeCloseTo(6.384, 9);
  expect(hammeredMm(stackMm, 'woven')).toBeCloseTo(4.4688, 9);
  expect(passageOf(stackMm, 'woven', { liftMm: 5, highLiftMm: 7 })).toBe('with-care');
});

test.each([
  [4, 5, 7, 'freely'],
  [4.01, 5, 7, 'with-care'],
  [6.5 / 0.7, 5, 7, 'with-care'],
  [6.52 / 0.7, 5, 7, 'will-not-pass'],
] as const)('a stack of %d under %d, %d at most: %s', (stackMm, liftMm, highLiftMm, verdict) => {
  expect(passageOf(stackMm, 'woven', { liftMm, highLiftMm })).toBe(verdict);
});

test('agrees with the table for any cloth and machine, and never gets easier with more cloth', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 30, noNaN: true }),
      fc.constantFrom(...constructions),
      fc.double({ min: 2, max: 12, noNaN: true }),
      fc.double({ min: 0, max: 6, noNaN: true }),
      (stackMm, construction, liftMm, more) => {
        const lifts = { liftMm, highLiftMm: liftMm + more };
        const verdict = passageOf(stackMm, construction, lifts);
        const expected =
          stackMm <= liftMm - 1
            ? 'freely'
            : share[construction] * stackMm <= liftMm + more - 0.5
              ? 'with-care'
              : 'will-not-pass';
        expect(verdict).toBe(expected);
        const thicker = passageOf(stackMm * 1.3, construction, lifts);
        expect(passages.indexOf(thicker)).toBeGreaterThanOrEqual(passages.indexOf(verdict));
      },
    ),
  );
});
