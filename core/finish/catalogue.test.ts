import fc from 'fast-check';
import { layersAt, placeOf, plateausOf } from '../fold/layer';
import { sectionOf, type Point } from '../fold/section';
import { schoolsFor } from '../plan/work';
import { catalogue, finishById } from './catalogue';
import type { Fact, Values } from '../fact';
import { families } from './finish';
import { cautionIds } from './work';
import {
  everyVariant,
  foldableWishes,
  foldsOf,
  medium,
  startingWish,
  workOn,
} from './wishes.fixture';

const few = { numRuns: 25 };

/** Whether two stretches of a line cross each other in their middles. */
function cross([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): boolean {
  const side = (p: Point, q: Point, r: Point) =>
    (q.xMm - p.xMm) * (r.zMm - p.zMm) - (q.zMm - p.zMm) * (r.xMm - p.xMm);
  const apart = (x: number, y: number) => (x > 1e-7 && y < -1e-7) || (x < -1e-7 && y > 1e-7);
  return apart(side(a, b, c), side(a, b, d)) && apart(side(c, d, a), side(c, d, b));
}

/** The distance of two stretches that don't cross. */
function apart(one: readonly [Point, Point], other: readonly [Point, Point]): number {
  const toStretch = (p: Point, [a, b]: readonly [Point, Point]) => {
    const [dx, dz] = [b.xMm - a.xMm, b.zMm - a.zMm];
    const along = ((p.xMm - a.xMm) * dx + (p.zMm - a.zMm) * dz) / (dx * dx + dz * dz || 1);
    const share = Math.min(1, Math.max(0, along));
    return Math.hypot(p.xMm - a.xMm - share * dx, p.zMm - a.zMm - share * dz);
  };
  return Math.min(...one.map((p) => toStretch(p, other)), ...other.map((p) => toStretch(p, one)));
}

const unfilled = (text: string, values: Values) =>
  [...text.matchAll(/\{(\w+)(:fine)?\}/g)]
    .map(([, name]) => name)
    .filter((name = '') => {
      const value = values[name];
      return value === undefined || (typeof value === 'number' && !Number.isFinite(value));
    });
const sentence = ({ text = '', values }: Fact) => {
  expect(text).toMatch(/^[A-Z0-9].*\.$/);
  expect(unfilled(text, values)).toEqual([]);
  // A length in words would stay metric for someone who thinks in inches.
  expect(text).not.toMatch(/\d ?(mm|cm|in)\b/);
};

test('every id is there once, and every family has a finish', () => {
  const ids = catalogue.map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(new Set(catalogue.map(({ family }) => family))).toEqual(new Set(families));
  expect(finishById('ruffle')).toBeUndefined();
});

describe.each(everyVariant)('%s', (_, finish, variant) => {
  test('marks lie in press order on the cloth, and the allowance reaches the last of them', () => {
    fc.assert(
      fc.property(foldableWishes(finish, variant), (request) => {
        const { marks, allowanceMm } = finish.folds(request);
        const onCloth = marks.filter(({ from }) => from === 'raw-edge').map(({ atMm }) => atMm);
        expect(onCloth).toEqual([...onCloth].sort((a, b) => a - b));
        for (const { atMm } of marks) expect(atMm).toBeGreaterThan(0);
        const kept = marks.filter(
          ({ from, action }) => from === 'raw-edge' && action !== 'temporary' && action !== 'cut',
        );
        if (allowanceMm > 0 && kept.every(({ action }) => action === 'press')) {
          expect(Math.max(allowanceMm, ...kept.map(({ atMm }) => atMm))).toBe(allowanceMm);
        }
      }),
      few,
    );
  });

  test('folded back, the cloth gives the stated depth', () => {
    fc.assert(
      fc.property(foldableWishes(finish, variant), (request) => {
        const { stages, finishedDepthMm, allowanceMm, strip, marks } = finish.folds(request);
        const last = stages.at(-1);
        if (!last || finishedDepthMm === 0) return;
        const folds = sectionOf(last.stack).bends.filter(({ piece }) => piece === 'garment');
        if (strip) {
          const binding = last.stack.filter(({ piece }) => piece === 'binding');
          const xs = binding.flatMap(({ fromXMm, toXMm }) => [fromXMm, toXMm]);
          const acrossMm = finishedDepthMm + (request.wish.extensionMm ?? 0);
          expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(acrossMm, 6);
        } else if (marks.some(({ id }) => id === 'hemline')) {
          const hemline = placeOf(last.stack, allowanceMm) ?? NaN;
          const inner = folds.some(({ sMm }) => sMm < allowanceMm - 1e-6)
            ? Math.min(...folds.map(({ sMm }) => sMm))
            : 0;
          const top = placeOf(
            last.stack,
            finish.id === 'blind-hem' ? allowanceMm - finishedDepthMm : inner,
          );
          expect(Math.abs((top ?? NaN) - hemline)).toBeCloseTo(finishedDepthMm, 6);
        }
      }),
      few,
    );
  });

  test('as many layers lie under the needle as the plan says', () => {
    fc.assert(
      fc.property(foldableWishes(finish, variant), (request) => {
        const plan = finish.folds(request);
        const sewn = plan.stages.find(({ id }) => id === 'stitch');
        expect(sewn).toBeDefined();
        const [first] = sewn?.stitchesXMm ?? [];
        if (!sewn || first === undefined) return;
        const counts = [-1e-4, 1e-4].map((aside) => layersAt(sewn.stack, first + aside).length);
        expect(counts).toContain(plan.layersUnderNeedle);
      }),
      few,
    );
  });

  test('the section never crosses itself and every leg keeps its thickness', () => {
    // A cloth that drapes over the bend of a tuck is drawn a fifth too near to it at the crest;
    // nothing else comes nearer than a tenth.
    const clearShare = finish.id === 'kept-hem' ? 0.75 : 0.88;
    fc.assert(
      fc.property(foldableWishes(finish, variant), (request) => {
        for (const { stack } of finish.folds(request).stages) {
          const { legs } = sectionOf(stack);
          const parts = legs.flatMap(({ centreLine, thicknessMm }, leg) =>
            centreLine.slice(1).map((to, i) => ({
              ends: [centreLine[i]!, to] as const,
              leg,
              i,
              cutEnd: i === 0 || i === centreLine.length - 2,
              thicknessMm,
            })),
          );
          parts.forEach((one, n) => {
            expect(Math.min(...one.ends.map(({ zMm }) => zMm))).toBeGreaterThan(
              one.thicknessMm / 2 - 1e-9,
            );
            for (const other of parts.slice(n + 1)) {
              if (cross(one.ends, other.ends)) throw new Error(`crosses at ${one.ends[0].xMm}`);
              // A bend’s own neighbours come nearer.
              if (one.leg === other.leg && Math.abs(one.i - other.i) < 16) continue;
              // A cut end may butt against the bulge of a bend: folds are placed by their lines.
              if (one.cutEnd || other.cutEnd) continue;
              const clear = (one.thicknessMm + other.thicknessMm) / 2;
              const between = apart(one.ends, other.ends);
              if (between < clearShare * clear) {
                throw new Error(`${between} mm where ${clear} mm of cloth lies`);
              }
            }
          });
          // Where layers lie flat on one another the stack is as high as they are thick.
          const thickest = plateausOf(stack).reduce((a, b) => (b.heightMm > a.heightMm ? b : a));
          const top = Math.max(
            ...legs.flatMap(({ centreLine, thicknessMm }) =>
              centreLine.map(({ zMm }) => zMm + thicknessMm / 2),
            ),
          );
          expect(top).toBeGreaterThanOrEqual(thickest.heightMm - 1e-6);
        }
      }),
      { numRuns: 8 },
    );
  });

  test('its own starting values can be folded, and are within its own ranges', () => {
    const wish = startingWish(finish, variant);
    expect(finish.contradictions({ wish, cloth: medium })).toEqual([]);
    for (const rule of Object.values(finish.fields)) {
      for (const size of rule.sizesMm ?? []) {
        expect(size).toBeGreaterThanOrEqual(rule.leastMm);
        expect(size).toBeLessThanOrEqual(rule.mostMm);
      }
      if (rule.startMm === null) continue;
      expect(rule.startMm).toBeGreaterThanOrEqual(rule.leastMm);
      expect(rule.startMm).toBeLessThanOrEqual(rule.mostMm);
    }
    expect(foldsOf(finish, wish).stages.length).toBeGreaterThan(1);
  });

  test('the work goes from cutting to the last look, in whole sentences, whatever is chosen', () => {
    for (const way of [0, 1, 2]) {
      for (const closed of [false, true]) {
        const request = workOn(finish, variant, { closed, cornered: !closed, way, radiusMm: 400 });
        const steps = finish.steps(request);
        expect(steps.length).toBeGreaterThanOrEqual(3);
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
        for (const { text, values, cautions } of steps) {
          sentence({ about: '', text, values });
          for (const caution of cautions) expect(cautionIds).toContain(caution);
        }
      }
    }
  });

  test('starting values have their reasons, in every kind of cloth', () => {
    for (const construction of ['woven', 'knit', 'sheer', 'pile', 'felted'] as const) {
      const cloth = { ...medium, construction, stretchPercent: construction === 'knit' ? 40 : 2 };
      for (const weightGsm of [40, 160, 420]) {
        const request = workOn(finish, variant, { cloth: { ...cloth, weightGsm } });
        for (const { value, because, name } of finish.startingValues(request)) {
          expect(name.length).toBeGreaterThan(2);
          if (typeof value === 'number') expect(value).toBeGreaterThanOrEqual(0);
          // Words belong to the interface: what is kept is a number or a code.
          else expect(value).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/);
          expect(because.length).toBeGreaterThan(0);
          because.forEach(sentence);
        }
      }
    }
  });

  test('each way of each school changes the work or what is set', () => {
    for (const { id, ways } of schoolsFor(finish, variant)) {
      const results = [false, true].map((closed) => {
        const request = workOn(finish, variant, { closed, cloth: { ...medium, fray: 0 } });
        return ways.map((way) => {
          const chosen = { ...request, schools: { ...request.schools, [id]: way.id } };
          return JSON.stringify([finish.steps(chosen), finish.startingValues(chosen)]);
        });
      });
      const most = Math.max(...results.map((result) => new Set(result).size));
      expect([id, most]).toEqual([id, ways.length]);
    }
  });

  test('variants and schools say what they cost', () => {
    for (const { costs } of finish.variants) costs.forEach(sentence);
    for (const { question, ways, variants } of finish.schools) {
      expect(question).toMatch(/\?$/);
      expect(ways.length).toBeGreaterThan(1);
      for (const { costs } of ways) {
        expect(costs.length).toBeGreaterThan(0);
        costs.forEach(sentence);
      }
      for (const id of variants ?? []) {
        expect(finish.variants.map((it) => it.id)).toContain(id);
      }
    }
  });
});
