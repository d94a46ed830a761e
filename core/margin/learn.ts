import type { DriftBelief } from './belief';
import { allowedDrift, undriftedMm, type Check } from './check';
import { normalDrift } from './normal';
import { predictiveDrift, tabulatePredictive, type PredictiveTable } from './predictive';
import type { MarginSettings } from './set-up';

/** What was counted on a sewn sample, for the kind of stitch that one check watches. */
export interface Sample {
  readonly settings: MarginSettings;
  readonly check: string;
  readonly n: number;
  /** Of n, how many ended below the check's bounds, and how many above. */
  readonly short: number;
  readonly over: number;
}

/** Prior of the offset, starting guess: normal around 0, mm. */
const priorShiftSdMm = 0.5;
/** Prior of the spread, starting guess: log-normal around the rule's σ. */
const priorLogSigmaSd = 0.35;

const shiftGrid = { fromMm: -2, stepMm: 0.025, count: 161 } as const;
const logSigmaGrid = { from: -1.2, step: 0.03, count: 81 } as const;
/** Half of the probability left outside a 90 % interval. */
const tail = 0.05;

/** What samples say about the drift of one source. */
export interface Posterior {
  readonly shiftMm: number;
  readonly shiftInterval: readonly [number, number];
  readonly sigmaMm: number;
  readonly sigmaInterval: readonly [number, number];
  /** The distribution of the next stitch's drift, averaged over the posterior. */
  readonly predictive: PredictiveTable;
}

const shiftAt = (i: number) => shiftGrid.fromMm + i * shiftGrid.stepMm;

/**
 * Where the running total of weights passes a share, taking each weight as spread evenly over
 * its cell.
 */
function quantile(weights: Float64Array, share: number, cellEdge: (i: number) => number): number {
  let below = 0;
  for (let i = 0; i < weights.length; i++) {
    const weight = weights[i] ?? 0;
    if (below + weight >= share && weight > 0) {
      const [left, right] = [cellEdge(i), cellEdge(i + 1)];
      return left + ((share - below) / weight) * (right - left);
    }
    below += weight;
  }
  return cellEdge(weights.length);
}

/** count·log(chance), with nothing counted costing nothing even where the chance is 0. */
function logLikelihood(count: number, chance: number): number {
  return count === 0 ? 0 : count * Math.log(Math.max(chance, 1e-300));
}

/** A sample as the grid sees it: the drift it allowed, and what fell to either side of that. */
interface Counted {
  readonly fromMm: number;
  readonly toMm: number;
  readonly left: number;
  readonly right: number;
  readonly sound: number;
}

function countedOf(check: Check, sample: Sample): Counted {
  const [fromMm, toMm] = allowedDrift(check, undriftedMm(check, sample.settings));
  const left = check.k === 1 ? sample.short : sample.over;
  const right = check.k === 1 ? sample.over : sample.short;
  return { fromMm, toMm, left, right, sound: sample.n - left - right };
}

/** One sample's log-likelihood for one offset and a hand without any. */
function logLikelihoodOf(counted: Counted, hand: DriftBelief, shift: number): number {
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
  samples: readonly Counted[],
): void {
  let scouted = -Infinity;
  for (let row = 0; row < hands.length; row += scoutStep) {
    const hand = hands[row] as DriftBelief;
    for (let i = 0; i < shiftGrid.count; i += scoutStep) {
      let log = logPosterior[row * shiftGrid.count + i] ?? 0;
      for (const sample of samples) log += logLikelihoodOf(sample, hand, shiftAt(i));
      if (log > scouted) scouted = log;
    }
  }
  hands.forEach((hand, row) => {
    for (let i = 0; i < shiftGrid.count; i++) {
      const at = row * shiftGrid.count + i;
      let log = logPosterior[at] ?? 0;
      for (const sample of samples) {
        log += logLikelihoodOf(sample, hand, shiftAt(i));
        if (log < scouted - negligible) break;
      }
      logPosterior[at] = log;
    }
  });
}

/** Samples of the same setting and check count as one. */
function pooled(samples: readonly Sample[]): Sample[] {
  const groups = new Map<string, Sample>();
  for (const sample of samples) {
    const { widthMm, needlePositionMm, guideMm } = sample.settings;
    const key = [sample.check, widthMm, needlePositionMm, guideMm].join(' ');
    const group = groups.get(key);
    groups.set(key, {
      ...sample,
      n: sample.n + (group?.n ?? 0),
      short: sample.short + (group?.short ?? 0),
      over: sample.over + (group?.over ?? 0),
    });
  }
  return [...groups.values()];
}

/**
 * What sewn samples say about the offset and the spread of the drift, on a grid: multinomial
 * likelihood, prior N(0, 0.5²) for m and log-normal (0.35) around the rule's σ.
 * Source: docs/formulas.md, “Learning from a sewn sample”.
 *
 * @param checks of the source being learned; every sample names one of them
 * @param samples counts with 0 ≤ short + over ≤ n
 * @param priorSigmaMm σ by the rule
 * @returns posterior means, 90 % intervals and the predictive distribution
 * @throws RangeError when a sample names a check that is not among `checks`
 */
export function learn(
  checks: readonly Check[],
  samples: readonly Sample[],
  priorSigmaMm: number,
): Posterior {
  const logSigmaAt = (row: number) =>
    Math.log(priorSigmaMm) + logSigmaGrid.from + row * logSigmaGrid.step;
  const sigmas = Array.from({ length: logSigmaGrid.count }, (_, row) => Math.exp(logSigmaAt(row)));

  const weights = new Float64Array(shiftGrid.count * sigmas.length);
  for (let row = 0; row < sigmas.length; row++) {
    const rowScore = (logSigmaAt(row) - Math.log(priorSigmaMm)) / priorLogSigmaSd;
    for (let i = 0; i < shiftGrid.count; i++) {
      const shiftScore = shiftAt(i) / priorShiftSdMm;
      weights[row * shiftGrid.count + i] = -(rowScore * rowScore + shiftScore * shiftScore) / 2;
    }
  }
  const counted = pooled(samples).map((sample) => {
    const check = checks.find(({ name }) => name === sample.check);
    if (!check) throw new RangeError(`No check is called “${sample.check}”.`);
    return countedOf(check, sample);
  });
  const hands = sigmas.map((sigma) => normalDrift(0, sigma));
  addSamples(weights, hands, counted);

  const greatest = weights.reduce((most, log) => Math.max(most, log), -Infinity);
  let total = 0;
  for (let at = 0; at < weights.length; at++) {
    const weight = Math.exp((weights[at] ?? -Infinity) - greatest);
    weights[at] = weight;
    total += weight;
  }
  const shiftMarginal = new Float64Array(shiftGrid.count);
  const sigmaMarginal = new Float64Array(sigmas.length);
  let [shiftMm, sigmaMm] = [0, 0];
  sigmas.forEach((sigma, row) => {
    for (let i = 0; i < shiftGrid.count; i++) {
      const at = row * shiftGrid.count + i;
      const weight = (weights[at] ?? 0) / total;
      weights[at] = weight;
      shiftMarginal[i] = (shiftMarginal[i] ?? 0) + weight;
      sigmaMarginal[row] = (sigmaMarginal[row] ?? 0) + weight;
      shiftMm += weight * shiftAt(i);
      sigmaMm += weight * sigma;
    }
  });
  const shiftEdge = (i: number) => shiftAt(i - 0.5);
  const sigmaEdge = (row: number) => Math.exp(logSigmaAt(row - 0.5));
  return {
    shiftMm,
    shiftInterval: [
      quantile(shiftMarginal, tail, shiftEdge),
      quantile(shiftMarginal, 1 - tail, shiftEdge),
    ],
    sigmaMm,
    sigmaInterval: [
      quantile(sigmaMarginal, tail, sigmaEdge),
      quantile(sigmaMarginal, 1 - tail, sigmaEdge),
    ],
    predictive: tabulatePredictive(weights, sigmas, shiftGrid),
  };
}

/** The belief that a posterior amounts to. */
export function learnedBelief(posterior: Posterior): DriftBelief {
  return predictiveDrift(posterior.predictive, posterior.shiftMm, posterior.sigmaMm);
}
