import type { DriftBelief } from './belief';
import { allowedDrift, undriftedMm, type Check } from './check';
import { addMeasured, driftOf, type MeasuredDepth, type MeasuredDrift } from './measured-depths';
import { normalDrift } from './normal';
import { plainPrior, type Prior } from './prior';
import type { MarginSettings } from './set-up';
import { shiftAt, shiftGridOf, type ShiftGrid } from './shift-grid';

/** What was counted on a sewn sample, for the kind of stitch that one check watches. */
export interface Sample {
  readonly settings: MarginSettings;
  readonly check: string;
  readonly n: number;
  /** Of n, how many ended below the check's bounds, and how many above. */
  readonly short: number;
  readonly over: number;
  /** Those of n whose value was measured: they say how far, not only which side. */
  readonly depths?: readonly MeasuredDepth[] | undefined;
}

const logSigmaGrid = { from: -1.2, step: 0.03, count: 81 } as const;

/** The posterior of offset and spread: plain data, a row of offsets for each spread. */
export interface PosteriorGrid {
  /** Summing to 1. */
  readonly weights: Float64Array;
  readonly sigmasMm: readonly number[];
  readonly shifts: ShiftGrid;
}

/** The spread of a row, mm; halves lie between rows. */
export function sigmaAt(grid: Pick<PosteriorGrid, 'sigmasMm'>, row: number): number {
  return (grid.sigmasMm[0] ?? 1) * Math.exp(row * logSigmaGrid.step);
}

/** count·log(chance), with nothing counted costing nothing even where the chance is 0. */
function logLikelihood(count: number, chance: number): number {
  return count === 0 ? 0 : count * Math.log(Math.max(chance, 1e-300));
}

/** A sample as the grid sees it: the drift it allowed, and what fell to either side of that. */
export interface DriftCount {
  readonly fromMm: number;
  readonly toMm: number;
  readonly left: number;
  readonly right: number;
  readonly sound: number;
  /** Stitches that were measured, and are not among those counted. */
  readonly measured?: readonly MeasuredDrift[];
}

/** What a sample says of the drift, by the check of the set-up it was sewn with. */
export function driftCount(check: Check, sample: Sample): DriftCount {
  const v0Mm = undriftedMm(check, sample.settings);
  const [fromMm, toMm] = allowedDrift(check, v0Mm);
  const depths = sample.depths ?? [];
  // What was measured is not counted a second time.
  const { loMm, hiMm } = check;
  const below = depths.filter(({ depthMm }) => depthMm < loMm).length;
  const above = depths.filter(({ depthMm }) => depthMm > hiMm).length;
  const short = Math.max(0, sample.short - below);
  const over = Math.max(0, sample.over - above);
  const [left, right] = check.k === 1 ? [short, over] : [over, short];
  const sound = Math.max(0, sample.n - depths.length - left - right);
  const measured = depths.map((depth) => driftOf(check, v0Mm, depth));
  return { fromMm, toMm, left, right, sound, ...(measured.length > 0 && { measured }) };
}

/** One sample's log-likelihood for one offset and a hand without any. */
function logLikelihoodOf(counted: DriftCount, hand: DriftBelief, shift: number): number {
  const leftChance = hand.leftOf(counted.fromMm - shift);
  const rightChance = hand.rightOf(counted.toMm - shift);
  // The difference is exact enough unless nearly everything is faulty; then ask again.
  const rest = 1 - leftChance - rightChance;
  const soundChance =
    rest > 1e-6 ? rest : hand.within(counted.fromMm - shift, counted.toMm - shift);
  return (
    logLikelihood(counted.left, leftChance) +
    logLikelihood(counted.right, rightChance) +
    logLikelihood(counted.sound, soundChance)
  );
}

/** Points this far below the best, in log, weigh nothing: e⁻⁴⁰ is 4e-18. */
const negligible = 40;
/** Every so many rows and columns one point is worked out first, to know what “best” is about. */
const scoutStep = 8;

/**
 * Adds the samples' log-likelihood over the grid. No sample can raise a point, so one that has
 * sunk far below what a few scouts reach with all samples is given up at once.
 */
function addSamples(
  logPosterior: Float64Array,
  hands: readonly DriftBelief[],
  samples: readonly DriftCount[],
  shifts: ShiftGrid,
): void {
  const { count } = shifts;
  let scouted = -Infinity;
  for (let row = 0; row < hands.length; row += scoutStep) {
    const hand = hands[row] as DriftBelief;
    for (let i = 0; i < count; i += scoutStep) {
      let log = logPosterior[row * count + i] ?? 0;
      for (const sample of samples) log += logLikelihoodOf(sample, hand, shiftAt(shifts, i));
      if (log > scouted) scouted = log;
    }
  }
  hands.forEach((hand, row) => {
    for (let i = 0; i < count; i++) {
      const at = row * count + i;
      let log = logPosterior[at] ?? 0;
      for (const sample of samples) {
        log += logLikelihoodOf(sample, hand, shiftAt(shifts, i));
        if (log < scouted - negligible) break;
      }
      logPosterior[at] = log;
    }
  });
}

/** Counts under the same allowed drift are one. */
function pooled(counts: readonly DriftCount[]): DriftCount[] {
  const groups = new Map<string, DriftCount>();
  for (const count of counts) {
    const key = `${count.fromMm} ${count.toMm}`;
    const group = groups.get(key);
    groups.set(key, {
      ...count,
      left: count.left + (group?.left ?? 0),
      right: count.right + (group?.right ?? 0),
      sound: count.sound + (group?.sound ?? 0),
    });
  }
  return [...groups.values()];
}

/**
 * What sewn samples say about the offset and the spread of the drift, on a grid: multinomial
 * likelihood; by the plain prior N(0, 0.5²) for m and log-normal (0.35) around the rule’s σ.
 * Source: docs/formulas.md, “Learning from a sewn sample”.
 *
 * @param checks of the source being learned; every sample names one of them
 * @param samples counts with 0 ≤ short + over ≤ n; none gives the prior itself
 * @param before what was believed before, or σ by the rule alone, mm
 * @throws RangeError when a sample names a check that is not among `checks`
 */
export function posteriorGrid(
  checks: readonly Check[],
  samples: readonly Sample[],
  before: Prior | number,
): PosteriorGrid {
  const counts = samples.map((sample) => {
    const check = checks.find(({ name }) => name === sample.check);
    if (!check) throw new RangeError(`No check is called “${sample.check}”.`);
    return driftCount(check, sample);
  });
  return posteriorOfCounts(counts, before);
}

/**
 * The same from what each sample says of the drift itself, whatever set-up it was sewn with: what
 * was learned does not change when a fold is changed afterwards.
 */
export function posteriorOfCounts(
  counts: readonly DriftCount[],
  before: Prior | number,
): PosteriorGrid {
  const prior = typeof before === 'number' ? plainPrior(before) : before;
  const sigmasMm = Array.from(
    { length: logSigmaGrid.count },
    (_, row) => prior.sigmaMm * Math.exp(logSigmaGrid.from + row * logSigmaGrid.step),
  );
  const shifts = shiftGridOf(prior);
  const { count } = shifts;
  const weights = new Float64Array(count * sigmasMm.length);
  for (let row = 0; row < sigmasMm.length; row++) {
    const rowScore = (logSigmaGrid.from + row * logSigmaGrid.step) / prior.logSigmaSd;
    for (let i = 0; i < count; i++) {
      const shiftScore = (shiftAt(shifts, i) - prior.shiftMm) / prior.shiftSdMm;
      weights[row * count + i] = -(rowScore * rowScore + shiftScore * shiftScore) / 2;
    }
  }
  const measured = counts.flatMap((count) => count.measured ?? []);
  if (measured.length > 0) addMeasured(weights, sigmasMm, shiftGridOf(prior), measured);
  const counted = pooled(counts);
  const hands = sigmasMm.map((sigma) => normalDrift(0, sigma));
  addSamples(weights, hands, counted, shifts);

  const greatest = weights.reduce((most, log) => Math.max(most, log), -Infinity);
  let total = 0;
  for (let at = 0; at < weights.length; at++) {
    const weight = Math.exp((weights[at] ?? -Infinity) - greatest);
    weights[at] = weight;
    total += weight;
  }
  for (let at = 0; at < weights.length; at++) weights[at] = (weights[at] ?? 0) / total;
  return { weights, sigmasMm, shifts };
}
