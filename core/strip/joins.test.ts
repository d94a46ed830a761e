import fc from 'fast-check';
import { placeJoins, type JoinsAsked } from './joins';

const asked = (patch: Partial<JoinsAsked>): JoinsAsked => ({
  edgeMm: 1000,
  beforeMm: 0,
  beyondMm: 0,
  closed: false,
  piecesMm: [600, 600],
  joinMm: 0,
  avoidMm: [],
  ...patch,
});

/** How clear the joins can be at most, by trying every place of a grid. */
function bruteClear(it: JoinsAsked, stepMm: number): number {
  const clearOf = (at: number) =>
    Math.min(
      Infinity,
      ...it.avoidMm.map((place) => {
        const apart = Math.abs(at - place);
        return it.closed ? Math.min(apart, Math.abs(it.edgeMm - apart)) : apart;
      }),
    );
  const last = it.piecesMm.length - 1;
  const reach = (i: number) =>
    it.piecesMm[i]! - (((i > 0 ? 1 : 0) + (i < last ? 1 : 0)) * it.joinMm) / 2;
  const from = (i: number, at: number): number => {
    if (i === last) return at + reach(i) >= it.edgeMm + it.beyondMm - 1e-9 ? Infinity : -1;
    let best = -1;
    for (let to = 0; to <= it.edgeMm; to += stepMm) {
      if (to < at || to > at + reach(i) + 1e-9) continue;
      best = Math.max(best, Math.min(clearOf(to), from(i + 1, to)));
    }
    return best;
  };
  return from(0, -it.beforeMm);
}

describe('where the joins of a strip fall', () => {
  test('one piece has none; too little is nothing', () => {
    expect(placeJoins(asked({ piecesMm: [1000] }))?.joins).toEqual([]);
    expect(placeJoins(asked({ piecesMm: [500, 499] }))).toBeNull();
  });

  test('never at a corner where there is room, and mid-side where there is plenty', () => {
    const blanket = asked({
      ...{ edgeMm: 3556, closed: true, beforeMm: 12.7, beyondMm: 25.4, joinMm: 17 },
      avoidMm: [0, 762, 1778, 2540],
      piecesMm: [2000, 2000],
    });
    const placed = placeJoins(blanket)!;
    expect(placed.joins).toHaveLength(1);
    // From 1 of 2000 mm on one side to as much on the other: the middle of the second side.
    expect(placed.joins[0]!.atMm).toBeGreaterThan(1500);
    expect(placed.clearMm).toBeGreaterThan(150);
    const free = placeJoins({ ...blanket, piecesMm: [3000, 3000] })!;
    expect(
      [1270, 2159].map((middle) => Math.abs(free.joins[0]!.atMm - middle) < 1).some(Boolean),
    ).toBe(true);
  });

  test('as clear as the best of every place, within the grid; pieces are never longer than they are', () => {
    fc.assert(
      fc.property(
        fc.record({
          edgeMm: fc.integer({ min: 10, max: 60 }).map((it) => it * 10),
          closed: fc.boolean(),
          beforeMm: fc.constantFrom(0, 10),
          beyondMm: fc.constantFrom(0, 20),
          joinMm: fc.constantFrom(0, 10),
          piecesMm: fc.array(
            fc.integer({ min: 5, max: 40 }).map((it) => it * 10),
            {
              minLength: 1,
              maxLength: 4,
            },
          ),
          avoidMm: fc.array(
            fc.integer({ min: 0, max: 60 }).map((it) => it * 10),
            { maxLength: 4 },
          ),
        }),
        (drawn) => {
          const it = { ...drawn, avoidMm: drawn.avoidMm.filter((mm) => mm <= drawn.edgeMm) };
          const placed = placeJoins(it);
          const brute = bruteClear(it, 5);
          // The grid misses what lies between its places, never more.
          if (placed === null) {
            expect(brute).toBe(-1);
            return;
          }
          expect(placed.clearMm).toBeGreaterThanOrEqual(brute === Infinity ? 1e9 : brute - 0.02);
          expect(placed.joins).toHaveLength(it.piecesMm.length - 1);
          placed.cutMm.forEach((mm, i) => {
            expect(mm).toBeLessThanOrEqual(it.piecesMm[i]! + 0.02);
            expect(mm).toBeGreaterThanOrEqual(-0.02);
          });
          const whole = it.edgeMm + it.beforeMm + it.beyondMm;
          const joined = placed.cutMm.reduce((sum, mm) => sum + mm, 0);
          expect(joined - placed.joins.length * it.joinMm).toBeCloseTo(whole, 1);
        },
      ),
      { numRuns: 120 },
    );
  });
});
