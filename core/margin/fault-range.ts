import type { Beliefs } from './belief';
import { allowedDrift, undriftedMm, type Check, type DriftSource } from './check';
import { bySource, marginOf } from './margin';
import { normalDrift } from './normal';
import type { PosteriorGrid } from './posterior-grid';
import type { MarginSettings } from './set-up';

/** How many faults the real edge may have, with nine chances of ten to lie between. */
export interface FaultRange {
  readonly fromFaults: number;
  readonly toFaults: number;
}

/** Fault chances are told apart this finely. */
const bins = 400;
const tail = 0.05;

/** A distribution over fault chances, in even bins of 0 … 1, each with its own mean. */
class Chances {
  private readonly weights = new Float64Array(bins);
  private readonly sums = new Float64Array(bins);

  add(chance: number, weight: number): void {
    const bin = binOf(chance);
    this.weights[bin] = (this.weights[bin] ?? 0) + weight;
    this.sums[bin] = (this.sums[bin] ?? 0) + weight * chance;
  }

  /** Everything that weighs something: a chance and its weight. */
  each(visit: (chance: number, weight: number) => void): void {
    this.weights.forEach((weight, bin) => {
      if (weight > 1e-9) visit((this.sums[bin] ?? 0) / weight, weight);
    });
  }
}
const binOf = (chance: number) => Math.min(bins - 1, Math.max(0, Math.floor(chance * bins)));

/** Which drift harms nothing in any check of one source. */
function allowedBy(checks: readonly Check[], settings: MarginSettings): readonly [number, number] {
  const ends = checks.map((check) => allowedDrift(check, undriftedMm(check, settings)));
  return [Math.max(...ends.map(([from]) => from)), Math.min(...ends.map(([, to]) => to))];
}

/** How the fault chance of one source is spread, by what is believed of its offset and spread. */
function chancesOf(grid: PosteriorGrid, [from, to]: readonly [number, number]): Chances {
  const { weights, sigmasMm, shifts } = grid;
  const spread = new Chances();
  sigmasMm.forEach((sigma, row) => {
    const hand = normalDrift(0, sigma);
    for (let i = 0; i < shifts.count; i++) {
      const weight = weights[row * shifts.count + i] ?? 0;
      if (weight < 1e-9) continue;
      const shift = shifts.fromMm + i * shifts.stepMm;
      spread.add(1 - (to > from ? hand.within(from - shift, to - shift) : 0), weight);
    }
  });
  return spread;
}

/** A stitch is sound when it is sound for both sources. */
function together(a: Chances, b: Chances): Chances {
  const both = new Chances();
  a.each((chanceA, weightA) =>
    b.each((chanceB, weightB) => both.add(1 - (1 - chanceA) * (1 - chanceB), weightA * weightB)),
  );
  return both;
}

/** Adds a binomial distribution, weighted; away from its mean by ten deviations nothing is left. */
function addBinomial(into: Float64Array, n: number, chance: number, weight: number): void {
  if (chance <= 0 || chance >= 1) {
    into[chance <= 0 ? 0 : n] = (into[chance <= 0 ? 0 : n] ?? 0) + weight;
    return;
  }
  const sd = Math.sqrt(n * chance * (1 - chance));
  const first = Math.max(0, Math.floor(n * chance - 10 * sd - 10));
  const last = Math.min(n, Math.ceil(n * chance + 10 * sd + 10));
  // From the mode outwards, by the ratio of neighbours: no factorials, no underflow.
  const mode = Math.min(last, Math.max(first, Math.floor((n + 1) * chance)));
  const odds = chance / (1 - chance);
  const relative = new Float64Array(last - first + 1);
  relative[mode - first] = 1;
  for (let k = mode + 1; k <= last; k++) {
    relative[k - first] = ((relative[k - 1 - first] ?? 0) * (n - k + 1) * odds) / k;
  }
  for (let k = mode - 1; k >= first; k--) {
    relative[k - first] = ((relative[k + 1 - first] ?? 0) * (k + 1)) / ((n - k) * odds);
  }
  const total = relative.reduce((sum, one) => sum + one, 0);
  relative.forEach((one, i) => {
    into[first + i] = (into[first + i] ?? 0) + (weight * one) / total;
  });
}

/**
 * How many stitches of the real edge will probably be faulty at a setting, as an interval that
 * holds nine chances of ten: the doubt about offset and spread, and the luck of the stitches.
 * Source: docs/formulas.md, “Enough”.
 *
 * @param grids the posterior of each source that was learned
 * @param beliefs of the sources that were not
 * @param stitches of the counted kind along the edge; rounded, at least 1, at most 20 000
 */
export function faultRange(
  checks: readonly Check[],
  grids: Partial<Readonly<Record<DriftSource, PosteriorGrid>>>,
  beliefs: Beliefs,
  settings: MarginSettings,
  stitches: number,
): FaultRange {
  const perSource = [...bySource(checks)].map(([source, group]) => {
    const grid = grids[source];
    if (grid) return chancesOf(grid, allowedBy(group, settings));
    const { fromMm, toMm } = marginOf(group, settings);
    const spread = new Chances();
    spread.add(1 - (beliefs[source]?.within(fromMm, toMm) ?? 1), 1);
    return spread;
  });
  const chances = perSource.reduce(together);
  const n = Math.min(20_000, Math.max(1, Math.round(stitches)));
  const faults = new Float64Array(n + 1);
  chances.each((chance, weight) => addBinomial(faults, n, chance, weight));
  const total = faults.reduce((sum, one) => sum + one, 0);
  const at = (share: number) => {
    let below = 0;
    return Math.max(
      0,
      faults.findIndex((one) => (below += one / total) >= share),
    );
  };
  return { fromFaults: at(tail), toFaults: at(1 - tail) };
}
