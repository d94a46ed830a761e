import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import { twoCloths, type ShownAt } from './two-cloths';

const stepMm = 0.04;
const reach = 28;
const blurMm = 0.07;

/** How much of what lies before an edge is seen through a lens. Source: the logistic curve, which is within 0.01 of a normal’s. */
const before =
  (edgeMm: number): ShownAt =>
  (mm) =>
    1 / (1 + Math.exp((1.702 * (mm - edgeMm)) / blurMm));
const after =
  (edgeMm: number): ShownAt =>
  (mm) =>
    1 - before(edgeMm)(mm);

interface Drawn {
  readonly edgeMm: number;
  readonly seed: number;
  /** How light what lies beyond is, by how far beyond it. */
  readonly shade?: (beyondMm: number) => number;
  /** Across, a cloth is alike over so much, mm. */
  readonly alikeMm?: number;
  readonly noise?: number;
  readonly looks?: number;
}

/** Looks across two cloths, each of its own yarns, which are alike over so much and fade into each other at the edge. */
function looksAt({ edgeMm, seed, shade = () => 1, ...more }: Drawn): Float64Array[] {
  const { alikeMm = 2, noise = 0.004, looks = 400 } = more;
  const even = evenDraws(seed);
  const draw = () => Math.sqrt(12) * (even() - 0.5);
  const keeps = Math.exp(-stepMm / alikeMm);
  const cloth = () => {
    const yarns = new Float64Array(2 * reach + 1);
    yarns[0] = draw();
    for (let k = 1; k < yarns.length; k++) {
      yarns[k] = keeps * yarns[k - 1]! + Math.sqrt(1 - keeps ** 2) * draw();
    }
    return yarns;
  };
  return Array.from({ length: looks }, () => {
    const [one, other] = [cloth(), cloth()];
    return Float64Array.from(one, (yarn, k) => {
      const mm = (k - reach) * stepMm;
      const of = (value: number) => 1 + 0.05 * value;
      return (
        before(edgeMm)(mm) * of(yarn) +
        after(edgeMm)(mm) * shade(mm - edgeMm) * of(other[k]!) +
        noise * draw()
      );
    });
  });
}

/** Where two cloths are likeliest to meet, mm. */
function likeliestMm(looks: readonly Float64Array[], shade: (beyondMm: number) => number): number {
  const cloths = twoCloths(looks, stepMm)!;
  const places = Array.from({ length: 21 }, (_, i) => (i - 10) * 0.02);
  const likely = places.map((edge) =>
    cloths.likely(before(edge), (mm) => after(edge)(mm) * shade(mm - edge)),
  );
  return places[likely.indexOf(Math.max(...likely))]!;
}

describe('two cloths that meet at an edge', () => {
  test('meet where what is seen along changes, in the open and in any shadow', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: -6, max: 6 }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        (seed, steps, dark, fadeMm, alikeMm) => {
          const shade = (mm: number) => 1 - dark * Math.exp(-Math.max(0, mm) / fadeMm);
          const edgeMm = steps * 0.02;
          const found = likeliestMm(looksAt({ edgeMm, seed, shade, alikeMm }), shade);
          expect(Math.abs(found - edgeMm)).toBeLessThanOrEqual(0.0401);
        },
      ),
      { numRuns: 25 },
    );
  });

  test('are told apart from one that goes on', () => {
    for (const seed of [1, 2, 3, 4]) {
      const two = twoCloths(looksAt({ edgeMm: 0.04, seed }), stepMm)!;
      expect(two.likely(before(0.04), after(0.04))).toBeGreaterThan(two.asOne + 5);
      const goesOn = twoCloths(looksAt({ edgeMm: 9, seed }), stepMm)!;
      for (const edge of [-0.2, -0.1, 0, 0.1, 0.2]) {
        expect(goesOn.asOne).toBeGreaterThan(goesOn.likely(before(edge), after(edge)) + 5);
      }
    }
  });

  test('tell next to nothing where only noise is seen', () => {
    const toldBy = (alikeMm: number, seed: number) => {
      const cloths = twoCloths(looksAt({ edgeMm: 0.04, seed, alikeMm }), stepMm)!;
      const likely = [-0.2, -0.1, 0, 0.1, 0.2].map((edge) =>
        cloths.likely(before(edge), after(edge)),
      );
      return Math.max(...likely) - Math.min(...likely);
    };
    for (const seed of [1, 2, 3, 4]) {
      expect(toldBy(1e-4, seed)).toBeLessThan(0.05 * toldBy(2, seed));
    }
  });

  test('light that changes slowly along is none of theirs', () => {
    const looks = looksAt({ edgeMm: 0.04, seed: 7 });
    const lit = looks.map((look, i) => look.map((value) => value + 0.3 * (i / looks.length) ** 2));
    const [plain, other] = [looks, lit].map((one) => twoCloths(one, stepMm)!);
    expect(other!.likely(before(0), after(0))).toBeCloseTo(plain!.likely(before(0), after(0)), 5);
    expect(other!.asOne).toBeCloseTo(plain!.asOne, 5);
  });

  test('are not told by a few looks, nor by what is the same everywhere', () => {
    expect(twoCloths(looksAt({ edgeMm: 0, seed: 1, looks: 59 }), stepMm)).toBeNull();
    const even = Array.from({ length: 100 }, () => new Float64Array(2 * reach + 1).fill(1));
    expect(twoCloths(even, stepMm)).toBeNull();
  });
});
