import fc from 'fast-check';
import {
  differentialLesson,
  easingDifferential,
  leastDifferenceMm,
  settableDifferential,
  stretchedIssues,
  usualDifferential,
} from './differential';

const any: Parameters<typeof differentialLesson>[1] = {};

test.each([
  [1, 100, 110, 1.1],
  [1, 100, 94, 0.9],
  [1.2, 200, 230, 1.4],
  [1.5, 100, 80, 1.2],
  [1.8, 100, 130, 2],
  [0.8, 100, 70, 0.7],
])('from %d, %d that come out as %d ask for %d', (differential, beforeMm, afterMm, to) => {
  // d′ = d·L₁/L₀ on steps of 0.1, within 0.7 … 2.0.
  expect(differentialLesson([{ beforeMm, afterMm, differential }], any)).toMatchObject({
    from: differential,
    to,
  });
});

test('what a tape cannot tell from none is none, and enough', () => {
  const near = leastDifferenceMm - 0.01;
  const lesson = differentialLesson(
    [{ beforeMm: 100, afterMm: 100 + near, differential: 1.3 }],
    any,
  );
  expect(lesson).toMatchObject({ last: 'no-difference', to: 1.3, enough: true });
  const more = leastDifferenceMm + 0.01;
  expect(
    differentialLesson([{ beforeMm: 20, afterMm: 20 + more, differential: 1 }], any),
  ).toMatchObject({
    last: 'grew',
    enough: false,
  });
});

test('a difference that no step of the dial brings nearer is enough too', () => {
  const lesson = differentialLesson([{ beforeMm: 100, afterMm: 102, differential: 1 }], {
    differentialStep: 0.25,
  });
  expect(lesson).toMatchObject({ last: 'grew', to: 1, enough: true });
});

test('the next stands on the dial, and moves the way the edge asks', () => {
  const scrap = fc.record({
    beforeMm: fc.integer({ min: 50, max: 400 }),
    growth: fc.double({ min: 0.7, max: 1.4, noNaN: true }),
    differential: fc.integer({ min: 7, max: 20 }).map((tenths) => tenths / 10),
  });
  fc.assert(
    fc.property(scrap, ({ beforeMm, growth, differential }) => {
      const one = { beforeMm, afterMm: beforeMm * growth, differential };
      const { to, last } = differentialLesson([one], any);
      expect(Math.abs(to * 10 - Math.round(to * 10))).toBeLessThan(1e-9);
      expect(to).toBeGreaterThanOrEqual(usualDifferential.from - 1e-9);
      expect(to).toBeLessThanOrEqual(usualDifferential.to + 1e-9);
      if (last === 'grew') expect(to).toBeGreaterThanOrEqual(differential - 1e-9);
      if (last === 'drew-in') expect(to).toBeLessThanOrEqual(differential + 1e-9);
    }),
  );
});

test('several scraps are pooled, the longer ones counting more', () => {
  const short = { beforeMm: 50, afterMm: 60, differential: 1 };
  const long = { beforeMm: 500, afterMm: 550, differential: 1 };
  const pooled = differentialLesson([short, long], any);
  // Weights are 2/(1/L₀² + 1/L₁²): 2/(1/50² + 1/60²) = 2950.8…, 2/(1/500² + 1/550²) = 273 755.6….
  const [few, many] = [180_000 / 61, 60_500_000 / 221];
  const worked = Math.exp((few * Math.log(1.2) + many * Math.log(1.1)) / (few + many));
  expect(pooled.flatAt).toBeCloseTo(worked, 12);
  expect(pooled.flatAtSd).toBeLessThan(differentialLesson([short], any).flatAtSd);
});

test('easing on purpose gathers by the fullness', () => {
  expect(easingDifferential(0.06, any)).toBe(1.1);
  expect(easingDifferential(0.3, { differentialStep: 0.05 })).toBeCloseTo(1.3, 9);
  expect(settableDifferential(5, any)).toBe(2);
});

test.each([
  [{ beforeMm: 100, afterMm: 150, differential: 1 }, 'afterMm', /up to 140 mm/],
  [{ beforeMm: 100, afterMm: 40, differential: 1 }, 'afterMm', /50 mm or more/],
  [{ beforeMm: 100, afterMm: 100, differential: 2.5 }, 'differential', /0.7 to 2/],
])('%j cannot be, and what could is said', (scrap, path, words) => {
  expect(stretchedIssues(scrap, { stretchPercent: 40 }, any)).toEqual([
    expect.objectContaining({ path, message: expect.stringMatching(words) }),
  ]);
});
