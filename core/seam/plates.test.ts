import fc from 'fast-check';
import { platesFor } from './plates';

test('the plates that come nearest, and fewer of them where it is the same', () => {
  expect(platesFor(2.6, [1, 1.5, 2.5])).toEqual({ platesMm: [2.5], heightMm: 2.5 });
  expect(platesFor(3.9, [1, 1.5, 2.5])).toEqual({ platesMm: [2.5, 1.5], heightMm: 4 });
  expect(platesFor(2.5, [1, 1.5, 2.5])?.platesMm).toEqual([2.5]);
  expect(platesFor(3, [])).toBeNull();
  expect(platesFor(0.3, [1.5])).toBeNull();
});

test('no other choice is nearer: every height that some plates make together is reached by adding', () => {
  const tenths = fc.integer({ min: 5, max: 40 });
  fc.assert(
    fc.property(fc.array(tenths, { minLength: 1, maxLength: 7 }), tenths, (owned, wanted) => {
      const reachable = new Set([0]);
      for (const one of owned) for (const sum of [...reachable]) reachable.add(sum + one);
      const least = Math.min(...[...reachable].map((sum) => Math.abs(sum - wanted)));
      const found = platesFor(
        wanted / 10,
        owned.map((one) => one / 10),
      );
      expect(Math.abs((found?.heightMm ?? 0) - wanted / 10)).toBeCloseTo(least / 10, 9);
    }),
  );
});
