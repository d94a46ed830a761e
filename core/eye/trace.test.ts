import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import { drawThread, noisy, seamIn, zigzag, zigzagPlaces } from './drawn-field.fixture';
import { standingOut } from './flatten';
import { sewnPart } from './sewn-part';
import { plainness, traced } from './trace';

const seen = zigzag(4, 4);

/** A zigzag whose swings wander, sewn over the middle part of a field. */
function sewn(wanderMm: number, seed: number, more: { angle?: number; light?: number } = {}) {
  const field = noisy(60, 20, { noise: 0.03, seed });
  const { angle = 0, light = 0.3 } = more;
  const seam = seamIn(field, { angle, lighter: light > 0 });
  const next = evenDraws(seed);
  const places = zigzagPlaces(seen, seam, 40, () => wanderMm * (2 * next() - 1));
  drawThread(field, seam, places, { light });
  return { standing: standingOut(field), seam, places };
}

describe('a thread followed from hole to hole', () => {
  test('has its holes where they are, however they wander', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1000 }),
        fc.double({ min: -0.15, max: 0.15, noNaN: true }),
        fc.constantFrom(0.3, -0.3),
        (seed, angle, light) => {
          const { standing, seam, places } = sewn(0.4, seed, { angle, light });
          const thread = sewnPart(traced(standing, seen, seam));
          expect(Math.abs(thread.length - places.length)).toBeLessThanOrEqual(1);
          const errors = thread.map(({ alongMm, acrossMm }) =>
            Math.min(...places.map(([s, t]) => Math.hypot(s - alongMm, t - acrossMm))),
          );
          errors.sort((a, b) => a - b);
          // Half of them to a few hundredths; the last to a thread’s width.
          expect(errors[errors.length >> 1]).toBeLessThan(0.08);
          expect(errors.at(-1)).toBeLessThan(0.3);
        },
      ),
      { numRuns: 8 },
    );
  });

  test('is likely where it is, and not where it has ended', () => {
    const { standing, seam, places } = sewn(0.2, 4);
    const all = traced(standing, seen, seam);
    const isSewn = (alongMm: number) => alongMm > places[0]![0] && alongMm < places.at(-1)![0];
    for (const { alongMm, lineLogOdds } of all) {
      if (lineLogOdds === null || Math.abs(Math.abs(alongMm) - 20) < 3) continue;
      if (isSewn(alongMm)) expect(lineLogOdds).toBeGreaterThan(3);
      else expect(lineLogOdds).toBeLessThan(0);
    }
  });

  test('says itself how far it may be off', () => {
    const { standing, seam, places } = sewn(0.4, 6);
    const thread = sewnPart(traced(standing, seen, seam)).slice(1, -1);
    const within = thread.filter(({ alongMm, acrossMm, acrossSpreadMm }) => {
      const [, t] = places.reduce((best, place) =>
        Math.abs(place[0] - alongMm) < Math.abs(best[0] - alongMm) ? place : best,
      );
      return Math.abs(t - acrossMm) < 3 * Math.hypot(acrossSpreadMm, 0.04);
    });
    expect(within.length / thread.length).toBeGreaterThan(0.9);
  });
});

describe('how plainly a thread stands out', () => {
  test('is far more on thread than on bare cloth', () => {
    const { standing, seam } = sewn(0.2, 9);
    const thread = sewnPart(traced(standing, seen, seam));
    expect(plainness(standing, seam, thread)).toBeGreaterThan(6);
    const bare = standingOut(noisy(60, 20, { noise: 0.1, seed: 2 }));
    expect(plainness(bare, seam, traced(bare, seen, seam))).toBeLessThan(4);
  });

  test('is nothing on a step from one cloth to another, which is no thread', () => {
    const field = noisy(60, 20, { noise: 0.01 });
    const { width, height, values } = field;
    for (let at = 0; at < values.length; at++) {
      if (Math.floor(at / width) > height / 2) values[at]! += 0.4;
    }
    const seam = seamIn(field, { repeatMm: 3 });
    const line = { ...seen, repeatMm: 3, stitches: 1, holes: [{ ...seen.holes[0]!, acrossMm: 0 }] };
    const standing = standingOut(field);
    expect(plainness(standing, seam, traced(standing, line, seam))).toBeLessThan(4);
  });
});
