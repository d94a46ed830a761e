import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import { edgeParts, type EdgePart } from './edge-shapes';
import { fittedEdge, type EdgeGuess, type EdgeProfile } from './fitted-edge';

const stepMm = 0.03;
const parts = edgeParts(0.1, true);
const known: EdgeGuess = { beyond: 1, share: 1, parts };

/** What is seen across an edge at a place, of some parts so strong each, above a grey of 1. */
function profileOf(
  of: readonly (readonly [part: EdgePart, strength: number])[],
  atMm: number,
  { beyond = 1, noise = 0.002, seed = 5 } = {},
): EdgeProfile {
  const draw = evenDraws(seed);
  const seen = Float64Array.from({ length: 45 }, (_, i) => {
    const mm = beyond * ((i - 22) * stepMm - atMm);
    const shown = of.reduce((sum, [part, strength]) => sum + strength * part(mm), 1);
    return shown + noise * Math.sqrt(12) * (draw() - 0.5);
  });
  return { fromMm: -22 * stepMm, stepMm, seen, noise, black: 0, told: 8 };
}

/** Solves a small set of equations by elimination; null where it can't be. */
function solved(rows: number[][]): number[] | null {
  const n = rows.length;
  for (let i = 0; i < n; i++) {
    const pivot = rows.slice(i).reduce((a, b) => (Math.abs(b[i]!) > Math.abs(a[i]!) ? b : a));
    rows.splice(rows.indexOf(pivot), 1);
    rows.splice(i, 0, pivot);
    if (Math.abs(pivot[i]!) < 1e-9) return null;
    for (const row of rows) {
      if (row === pivot) continue;
      const times = row[i]! / pivot[i]!;
      for (let k = i; k <= n; k++) row[k]! -= times * pivot[k]!;
    }
  }
  return rows.map((row, i) => row[n]! / row[i]!);
}

/** The same by brute force: every shape at every place by itself, with the height of the cloth as one more unknown. */
function byForce({ fromMm, seen, noise, told }: EdgeProfile, reach: number) {
  const found: { at: number; likely: number }[] = [];
  const shapes = [null, ...parts.shadows].flatMap((shadow) =>
    [null, ...parts.bends].map((bend) => ({ shadow, bend })),
  );
  for (const { shadow, bend } of shapes) {
    for (let i = -reach; i <= reach; i++) {
      const at = i * 0.015;
      const columns = [() => 1, parts.step, shadow, bend].filter((part) => part !== null);
      const values = columns.map((part) =>
        Array.from(seen, (_, j) => part(fromMm + j * stepMm - at)),
      );
      const dot = (a: ArrayLike<number>, b: ArrayLike<number>) =>
        Array.from(a).reduce((sum, value, j) => sum + value * b[j]!, 0);
      const strengths = solved(
        values.map((one) => [...values.map((other) => dot(one, other)), dot(one, seen)]),
      );
      const mean =
        dot(
          seen,
          seen.map(() => 1),
        ) / seen.length;
      const shown = (j: number) =>
        strengths!.reduce((sum, strength, k) => sum + strength * values[k]![j]!, 0);
      const taken = shadow && strengths ? -strengths[2]! / (strengths[0]! + strengths[1]!) : 0;
      const isShadow = strengths !== null && taken >= 0 && taken <= 0.55;
      const off = seen.reduce(
        (sum, value, j) => sum + (value - (isShadow ? shown(j) : mean)) ** 2,
        0,
      );
      const usual = bend === null ? 0.97 : 0.03 / parts.bends.length;
      found.push({ at, likely: usual * (off / seen.length + noise ** 2) ** (-told / 2) });
    }
  }
  const all = found.reduce((sum, { likely }) => sum + likely, 0);
  const mean = found.reduce((sum, { at, likely }) => sum + at * likely, 0) / all;
  const square = found.reduce((sum, { at, likely }) => sum + (at - mean) ** 2 * likely, 0) / all;
  return { mean, spread: Math.sqrt(square) };
}

const strengths = fc.record({
  step: fc.double({ min: -0.4, max: -0.1, noNaN: true }),
  shadow: fc.double({ min: -0.25, max: -0.1, noNaN: true }),
  at: fc.double({ min: -0.12, max: 0.12, noNaN: true }),
  which: fc.nat({ max: parts.shadows.length - 1 }),
});

/** A step with a shadow beyond it. */
const shadowed = ({ step, shadow, which }: { step: number; shadow: number; which: number }) =>
  [
    [parts.step, step],
    [parts.shadows[which]!, shadow],
  ] as const;

test('an edge with a shadow is found where it is, and its spread is honest', () => {
  fc.assert(
    fc.property(strengths, fc.nat(), ({ at, ...edge }, seed) => {
      const profile = profileOf(shadowed(edge), at, { seed });
      const { atMm, spreadMm } = fittedEdge(profile, [known], 0.2);
      expect(Math.abs(atMm - at)).toBeLessThan(3 * Math.hypot(spreadMm, 0.01));
      expect(spreadMm).toBeLessThan(0.08);
    }),
    { numRuns: 40 },
  );
});

test('it tells the same as every shape held against what is seen by itself', () => {
  fc.assert(
    fc.property(strengths, fc.nat(), ({ at, ...edge }, seed) => {
      const profile = profileOf(shadowed(edge), at, { seed, noise: 0.01 });
      const { atMm, spreadMm } = fittedEdge(profile, [known], 0.15);
      const slow = byForce(profile, 10);
      // To half a micrometre: a part that hardly says anything of its own is left out by the one, and not by the other.
      expect(atMm).toBeCloseTo(slow.mean, 3);
      expect(spreadMm).toBeCloseTo(slow.spread, 3);
    }),
    { numRuns: 12 },
  );
});

test('a fold that bends down is not told as ending where it is darkest', () => {
  const of = [
    [parts.step, -0.1],
    [parts.shadows[0]!, -0.2],
    [parts.bends[1]!, -0.35],
  ] as const;
  const { atMm } = fittedEdge(profileOf(of, 0), [known], 0.2);
  expect(Math.abs(atMm)).toBeLessThan(0.06);
  // Without bends to tell it by, it would be.
  const sharp = { ...known, parts: { ...parts, bends: [] } };
  expect(fittedEdge(profileOf(of, 0), [sharp], 0.2).atMm).toBeLessThan(-0.07);
});

test('what lies beyond on the other side is told too, and a band that may be the shadow of either end goes by what is known', () => {
  const of = [
    [parts.step, -0.05],
    [parts.shadows[3]!, -0.3],
  ] as const;
  const turned = profileOf(of, 0.05, { beyond: -1 });
  const guesses = (share: number): EdgeGuess[] => [
    { ...known, share },
    { beyond: -1, share: 1 - share, parts },
  ];
  expect(fittedEdge(turned, guesses(0.1), 0.2).atMm).toBeCloseTo(0.05, 1);
  expect(fittedEdge(turned, guesses(0.9), 0.2).atMm).toBeLessThan(-0.05);
});
