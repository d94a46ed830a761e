import fc from 'fast-check';
import { isWithin, threadAcross } from './thread-across';
import type { TracedHole } from './trace';

const holeAt = (alongMm: number, acrossMm: number, needle = 0): TracedHole => ({
  hole: { alongMm: 0, acrossMm: 0, counted: false, role: 'bite', needle },
  ...{ repeat: 0, alongMm, acrossMm, logOdds: 0, lineLogOdds: null },
  ...{ linePlain: 0, acrossSpreadMm: 0 },
});

/** How far a place lies from a piece of thread, looked for along it in small steps. */
function apartMm(a: TracedHole, b: TracedHole, along: number, across: number): number {
  let least = Infinity;
  for (let i = 0; i <= 2000; i++) {
    const share = i / 2000;
    const s = a.alongMm + (b.alongMm - a.alongMm) * share;
    const t = a.acrossMm + (b.acrossMm - a.acrossMm) * share;
    least = Math.min(least, Math.hypot(along - s, across - t));
  }
  return least;
}

const mm = fc.integer({ min: -400, max: 400 }).map((hundredths) => hundredths / 100);
const place = fc.record({ along: mm, across: mm });

test('what is covered is what lies so near to the thread, wherever it runs', () => {
  fc.assert(
    fc.property(
      fc.array(place, { minLength: 2, maxLength: 5 }),
      fc.integer({ min: 10, max: 80 }).map((hundredths) => hundredths / 100),
      place,
      (holes, besideMm, { along, across }) => {
        const thread = holes.map((hole) => holeAt(hole.along, hole.across));
        const apart = Math.min(
          ...thread.slice(1).map((to, i) => apartMm(thread[i]!, to, along, across)),
        );
        // Looked for in steps, so near to the bound it may be either.
        fc.pre(Math.abs(apart - besideMm) > 0.006);
        const covered = threadAcross(thread, besideMm)(along);
        expect(isWithin(covered, across)).toBe(apart < besideMm);
      },
    ),
    { numRuns: 300 },
  );
});

test('two needles have a thread each, and nothing runs from one to the other', () => {
  const thread = [holeAt(0, 0), holeAt(0, 3, 1), holeAt(2, 0), holeAt(2, 3, 1)];
  const covered = threadAcross(thread, 0.3)(1);
  expect([0, 0.29, 3.29].every((across) => isWithin(covered, across))).toBe(true);
  expect([1.5, 0.31, 2.69].some((across) => isWithin(covered, across))).toBe(false);
});

test('beyond the last hole nothing is covered but what lies round it', () => {
  const at = threadAcross([holeAt(0, 0), holeAt(2, 1)], 0.35);
  expect(isWithin(at(2.3), 1)).toBe(true);
  expect(at(2.36)).toEqual([]);
  expect(at(-5)).toEqual([]);
});
