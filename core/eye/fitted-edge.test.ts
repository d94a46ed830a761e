import fc from 'fast-check';
import { normalDrift } from '../margin/normal';
import { rootMeanSquare } from '../study/true-stitch';
import { evenDraws } from '../swatch/draw';
import { edgeShapes, type EdgeShape } from './edge-shapes';
import { fittedEdge, type EdgeGuess, type EdgeProfile } from './fitted-edge';
import { greyOf, lightOf, type Blurs } from './grey-of-light';
import type { TwoCloths } from './two-cloths';

// Half of it is a whole number of hundredths, in which blurred parts are tabled.
const stepMm = 0.04;
const endsMm = 1;
const shapes = edgeShapes(0.1, 'fold', endsMm);
const raw = edgeShapes(0.1, 'raw on paper', endsMm);
const onCloth = edgeShapes(0.1, 'raw on cloth', endsMm);
const known: EdgeGuess = { beyond: 1, share: 1, shapes };

/** How strong each part of an edge is. */
interface Strengths {
  readonly upper: number;
  readonly lower: number;
  readonly shadow: number;
}

/** What is seen across an edge of a shape at a place. */
function profileOf(
  shape: EdgeShape,
  { upper, lower, shadow }: Strengths,
  atMm: number,
  { beyond = 1, noise = 0.002, seed = 5, black = -1 } = {},
): EdgeProfile {
  const draw = evenDraws(seed);
  const seen = Float64Array.from({ length: 35 }, (_, i) => {
    const mm = beyond * ((i - 17) * stepMm - atMm);
    const dark = shape.shadow ? shadow * shape.shadow(mm) : 0;
    const shown = upper * shape.upper(mm) + lower * shape.lower(mm) - dark;
    return black + shown + noise * Math.sqrt(12) * (draw() - 0.5);
  });
  return { fromMm: -17 * stepMm, stepMm, seen, noise, black, told: 8, toldOfKind: 16 };
}

/** Solves a small set of equations by elimination. */
function solved(rows: number[][]): number[] {
  const n = rows.length;
  for (let i = 0; i < n; i++) {
    const pivot = rows.slice(i).reduce((a, b) => (Math.abs(b[i]!) > Math.abs(a[i]!) ? b : a));
    rows.splice(rows.indexOf(pivot), 1);
    rows.splice(i, 0, pivot);
    for (const row of rows) {
      if (row === pivot) continue;
      const times = row[i]! / pivot[i]!;
      for (let k = i; k <= n; k++) row[k]! -= times * pivot[k]!;
    }
  }
  return rows.map((row, i) => row[n]! / row[i]!);
}

const dot = (a: ArrayLike<number>, b: ArrayLike<number>) =>
  Array.from(a).reduce((sum, value, j) => sum + value * b[j]!, 0);

/**
 * The same by brute force: every shape at every place by itself, what it leaves looked at place by place; then how likely an edge
 * is sharp or not, and where either lies.
 */
function byForce(
  { fromMm, seen, noise, told, toldOfKind, black }: EdgeProfile,
  reachMm: number,
  blurs: Blurs = 'greys',
) {
  const isLight = blurs === 'light';
  const shapes = edgeShapes(0.1, 'fold', endsMm, blurs);
  const light = seen.map((value) => (isLight ? (value - black) ** 2.2 : value - black));
  // What light is off by counts as much as it would in greys: their slope there.
  const slopes = light.map((value) => (isLight ? value ** (1 / 2.2 - 1) / 2.2 : 1));
  const weights = slopes.map((slope) => slope * slope);
  const even = dot(weights, light) / weights.reduce((sum, weight) => sum + weight, 0);
  const found: { at: number; off: number; share: number; isSharp: boolean }[] = [];
  for (const { upper, lower, shadow, share, isSharp, offMm, mostTaken } of shapes) {
    const reach = Math.round((reachMm + offMm) / 0.02);
    for (let i = -reach; i <= reach; i++) {
      const at = i * 0.02;
      const values = [upper, lower, shadow].flatMap((part) =>
        part ? [Array.from(light, (_, j) => part(fromMm + j * stepMm - at))] : [],
      );
      const [a, b, c = 0] = solved(
        values.map((one) => {
          const counted = one.map((value, j) => weights[j]! * value);
          return [...values.map((other) => dot(counted, other)), dot(counted, light)];
        }),
      ) as [number, number, number?];
      const isSo = a > 0 && b > 0 && c <= 0 && -c <= mostTaken * b;
      const off = light.reduce((sum, value, j) => {
        const shown = a * values[0]![j]! + b * values[1]![j]! + c * (values[2]?.[j] ?? 0);
        return sum + weights[j]! * (value - (isSo ? shown : even)) ** 2;
      }, 0);
      found.push({ at, off: off / light.length + noise ** 2, share, isSharp });
    }
  }
  const ofKind = [false, true].map((sharp) => found.filter(({ isSharp }) => isSharp === sharp));
  const likely = (some: typeof found, places: number) =>
    some.reduce((sum, { off, share }) => sum + share * off ** (-places / 2), 0);
  const kinds = ofKind.map((some) => likely(some, toldOfKind));
  const chance = ({ off, share, isSharp }: (typeof found)[number]) => {
    const kind = isSharp ? 1 : 0;
    const ofAll = kinds[kind]! / (kinds[0]! + kinds[1]!);
    return (ofAll * share * off ** (-told / 2)) / likely(ofKind[kind]!, told);
  };
  const mean = found.reduce((sum, one) => sum + one.at * chance(one), 0);
  const square = found.reduce((sum, one) => sum + (one.at - mean) ** 2 * chance(one), 0);
  return { mean, spread: Math.sqrt(square) };
}

const upTo = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const edges = fc.record({
  strengths: fc.record({ upper: upTo(0.9, 1.1), lower: upTo(0.7, 0.9), shadow: upTo(0.1, 0.3) }),
  at: upTo(-0.12, 0.12),
  which: fc.nat({ max: shapes.length - 1 }),
  seed: fc.nat(),
});

test('an edge of any shape is found where it is, and its spread is honest', () => {
  let [within, all] = [0, 0];
  fc.assert(
    fc.property(edges, ({ strengths, at, which, seed }) => {
      const profile = profileOf(shapes[which]!, strengths, at, { seed });
      const { atMm, spreadMm } = fittedEdge(profile, [known], 0.2);
      expect(Math.abs(atMm - at)).toBeLessThan(3.5 * Math.hypot(spreadMm, 0.01));
      expect(spreadMm).toBeLessThan(0.12);
      all++;
      if (Math.abs(atMm - at) < 1.645 * Math.hypot(spreadMm, 0.01)) within++;
    }),
    { numRuns: 60, seed: 11 },
  );
  expect(within / all).toBeGreaterThan(0.85);
});

test('it tells the same as every shape held against what is seen by itself', () => {
  fc.assert(
    fc.property(edges, ({ strengths, at, which, seed }) => {
      const profile = profileOf(shapes[which]!, strengths, at, { seed, noise: 0.01 });
      for (const blurs of ['greys', 'light'] as const) {
        const guess = { ...known, shapes: edgeShapes(0.1, 'fold', endsMm, blurs) };
        const { atMm, spreadMm } = fittedEdge(profile, [guess], 0.16);
        const slow = byForce(profile, 0.16, blurs);
        expect(atMm).toBeCloseTo(slow.mean, 6);
        expect(spreadMm).toBeCloseTo(slow.spread, 6);
      }
    }),
    { numRuns: 12 },
  );
});

test('where dark cloth meets light paper it matters what was blurred, and either may have been', () => {
  const offs: Record<'greys' | 'light' | 'both', number[]> = { greys: [], light: [], both: [] };
  const guess = (blurs: Blurs): EdgeGuess => ({
    ...known,
    shapes: edgeShapes(0.1, 'raw on paper', endsMm, blurs),
  });
  fc.assert(
    fc.property(upTo(0.2, 0.5), upTo(0.1, 0.5), upTo(-0.1, 0.1), (cloth, dark, at) => {
      const draw = evenDraws(Math.round(1000 * cloth));
      const soft = normalDrift(0, 0.1);
      const light = (mm: number) =>
        mm < 0 ? lightOf(cloth) : lightOf(0.95) * (1 - dark * Math.exp(-mm / 0.4));
      const seen = Float64Array.from({ length: 35 }, (_, i) => {
        const mm = (i - 17) * stepMm - at;
        let sum = 0;
        for (let by = -0.4; by < 0.4; by += 0.01) {
          sum += (soft.leftOf(by + 0.01) - soft.leftOf(by)) * light(mm + by + 0.005);
        }
        return greyOf(sum) + 0.004 * (draw() - 0.5);
      });
      const asked = { fromMm: -17 * stepMm, stepMm, seen, noise: 0.004, black: 0 };
      const profile: EdgeProfile = { ...asked, told: 6, toldOfKind: 12 };
      for (const blurs of ['greys', 'light'] as const) {
        offs[blurs].push(fittedEdge(profile, [guess(blurs)], 0.2).atMm - at);
      }
      const both = fittedEdge(profile, [guess('greys'), guess('light')], 0.2);
      offs.both.push(both.atMm - at);
      expect(Math.abs(both.atMm - at)).toBeLessThan(3 * Math.hypot(both.spreadMm, 0.01));
    }),
    { numRuns: 40, seed: 7 },
  );
  // To the dark side.
  expect(offs.greys.reduce((sum, mm) => sum + mm, 0) / offs.greys.length).toBeLessThan(-0.02);
  expect(rootMeanSquare(offs.light)).toBeLessThan(rootMeanSquare(offs.greys) / 2);
  expect(rootMeanSquare(offs.both)).toBeLessThan(0.8 * rootMeanSquare(offs.greys));
});

test('a fold that bends down is not told as ending where it is darkest', () => {
  // Its lamp stands over the cloth and throws a long shadow.
  const round = shapes.findLast(({ shadow, lower }) => !shadow && lower(0.5) < 0.75)!;
  const profile = profileOf(round, { upper: 1, lower: 0.9, shadow: 0 }, 0);
  const { atMm } = fittedEdge(profile, [known], 0.2);
  expect(Math.abs(atMm)).toBeLessThan(0.05);
  // As a raw edge, which bends nowhere, it would be.
  const asRaw = fittedEdge(profile, [{ ...known, shapes: raw }], 0.2);
  expect(asRaw.atMm).toBeLessThan(-0.06);
});

test('an edge in a dark line of its own is told in the middle of it, not where that begins', () => {
  const offs: Record<'told' | 'asSharp', number[]> = { told: [], asSharp: [] };
  fc.assert(
    fc.property(upTo(0.08, 0.2), upTo(0.2, 0.75), upTo(-0.06, 0.06), (lineMm, dark, at) => {
      // A lens makes the line as well as the step that lies in it softer.
      const softMm = Math.hypot(lineMm, 0.1);
      const draw = evenDraws(Math.round(1000 * dark));
      const seen = Float64Array.from({ length: 35 }, (_, i) => {
        const mm = (i - 17) * stepMm - at;
        const step = 0.08 * normalDrift(0, 0.1).leftOf(mm);
        const line = ((dark * lineMm) / softMm) * Math.exp(-((mm / softMm) ** 2) / 2);
        return 1 - step - line + 0.004 * (draw() - 0.5);
      });
      const asked = { fromMm: -17 * stepMm, stepMm, seen, noise: 0.004, black: 0 };
      const profile: EdgeProfile = { ...asked, told: 6, toldOfKind: 12 };
      const offOf = (some: readonly EdgeShape[]) => {
        const { atMm, spreadMm } = fittedEdge(profile, [{ ...known, shapes: some }], 0.3);
        return { offMm: atMm - at, spreadMm };
      };
      for (const some of [shapes, onCloth]) {
        const { offMm, spreadMm } = offOf(some);
        expect(Math.abs(offMm)).toBeLessThan(2 * Math.hypot(spreadMm, 0.012));
        offs.told.push(offMm);
      }
      // No shadow takes more: as a sharp edge what is darker is none at all.
      if (dark > 0.4) return;
      const asSharp = offOf(raw).offMm;
      expect(asSharp).toBeLessThan(-0.06);
      offs.asSharp.push(asSharp);
    }),
    { numRuns: 40 },
  );
  expect(rootMeanSquare(offs.told)).toBeLessThan(0.4 * rootMeanSquare(offs.asSharp));
});

test('what lies beyond on the other side is told too, and a band that may be the shadow of either end goes by what is known', () => {
  const shadowed = raw.find(({ shadow }) => shadow && shadow(0.15) > 0.8 && shadow(0.5) < 0.2)!;
  const profile = profileOf(shadowed, { upper: 1, lower: 1, shadow: 0.4 }, 0.06, { beyond: -1 });
  const guesses = (share: number): EdgeGuess[] => [
    { ...known, shapes: raw, share },
    { beyond: -1, share: 1 - share, shapes: raw },
  ];
  expect(fittedEdge(profile, guesses(0.02), 0.4).atMm).toBeCloseTo(0.06, 1);
  expect(fittedEdge(profile, guesses(0.98), 0.4).atMm).toBeLessThan(-0.15);
});

test('of all shapes an edge may have the shares are one, and far from it both cloths are as they are', () => {
  for (const some of [shapes, raw, onCloth]) {
    expect(some.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 10);
    for (const { upper, lower } of some) {
      expect(upper(-0.95)).toBeCloseTo(1, 2);
      expect(lower(0.95)).toBeGreaterThan(0.9);
      expect(upper(0.5)).toBeCloseTo(0, 2);
      expect(lower(-0.5)).toBeCloseTo(0, 2);
    }
  }
});

test('an edge whose shadow a window throws, ever less dark up to its end, is told where it is', () => {
  const offs: number[] = [];
  fc.assert(
    fc.property(upTo(0.6, 1.8), upTo(0.2, 0.4), upTo(-0.1, 0.1), (endMm, dark, at) => {
      const draw = evenDraws(Math.round(1000 * dark));
      const soft = normalDrift(0, 0.08);
      const seen = Float64Array.from({ length: 35 }, (_, i) => {
        const mm = (i - 17) * stepMm - at;
        // The mean of what a lens mixes, by many places of it.
        let [sum, weight] = [0, 0];
        for (let by = -0.24; by <= 0.24; by += 0.01) {
          const share = soft.leftOf(by + 0.005) - soft.leftOf(by - 0.005);
          const beyond = mm + by;
          sum += share * (beyond > 0 ? dark * Math.max(0, 1 - beyond / endMm) : 0);
          weight += share;
        }
        return 1 - sum / weight + 0.004 * (draw() - 0.5);
      });
      const profile = { fromMm: -17 * stepMm, stepMm, seen, noise: 0.003, black: 0, told: 6 };
      // How much it is blurred is not quite known.
      const guesses = [0.075, 0.1, 0.13].map((blurMm) => ({
        ...known,
        shapes: edgeShapes(blurMm, 'fold', endsMm),
      }));
      const { atMm } = fittedEdge({ ...profile, toldOfKind: 12 }, guesses, 0.2);
      offs.push(atMm - at);
      expect(Math.abs(atMm - at)).toBeLessThan(0.04);
    }),
    { numRuns: 60, seed: 11 },
  );
  // Were there none of these shapes, 0.006 mm.
  expect(rootMeanSquare(offs)).toBeLessThan(0.004);
});

describe('an edge at which two cloths meet', () => {
  const placesMm = Array.from({ length: 23 }, (_, i) => (i - 11) * stepMm);
  /** Two cloths that say where as much of one is shown as of the other, so exactly, in log. */
  const meetAt = (mm: number, exactly: number): TwoCloths => ({
    asOne: 0,
    likely: (before, after) =>
      -exactly * placesMm.reduce((sum, at) => sum + (at < mm ? after(at) : before(at)), 0),
  });

  test('lies where it did when they tell nothing', () => {
    fc.assert(
      fc.property(edges, ({ strengths, at, which, seed }) => {
        const profile = profileOf(shapes[which]!, strengths, at, { seed });
        const [without, by] = [null, meetAt(0, 0)].map((cloths) =>
          fittedEdge({ ...profile, cloths }, [known], 0.2),
        );
        expect(by!.atMm).toBeCloseTo(without!.atMm, 4);
        expect(by!.spreadMm).toBeCloseTo(without!.spreadMm, 4);
      }),
      { numRuns: 20 },
    );
  });

  test('lies where they meet, where its shadow leaves it open', () => {
    const offs: Record<'by' | 'without', number[]> = { by: [], without: [] };
    const round = shapes.filter(({ isSharp, shadow }) => !isSharp && !shadow);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: round.length - 1 }),
        upTo(-0.06, 0.06),
        fc.constantFrom<1 | -1>(1, -1),
        (which, at, beyond) => {
          const strengths = { upper: 1, lower: 0.9, shadow: 0 };
          const profile = profileOf(round[which]!, strengths, at, { beyond, noise: 0.012 });
          const guesses = [{ ...known, beyond }];
          const offOf = (cloths: TwoCloths | null) =>
            fittedEdge({ ...profile, cloths }, guesses, 0.2).atMm - at;
          offs.by.push(offOf({ ...meetAt(at, 40), asOne: -200 }));
          offs.without.push(offOf(null));
        },
      ),
      { numRuns: 60, seed: 11 },
    );
    expect(rootMeanSquare(offs.by)).toBeLessThan(0.6 * rootMeanSquare(offs.without));
  });

  test('stays where it is when they would have it where the picture shows none', () => {
    const profile = profileOf(shapes[0]!, { upper: 1, lower: 0.6, shadow: 0 }, 0);
    const { atMm } = fittedEdge({ ...profile, cloths: meetAt(0.3, 1000) }, [known], 0.2);
    expect(Math.abs(atMm)).toBeLessThan(0.03);
  });
});
