import type { DriftBelief } from './belief';
import type { Check } from './check';
import { posteriorGrid, sigmaAt, type PosteriorGrid, type Sample } from './posterior-grid';
import { predictiveDrift, tabulatePredictive, type PredictiveTable } from './predictive';
import type { Prior } from './prior';
import { quantile } from './quantile';

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

/** A posterior in a few numbers: means, 90 % intervals and the next stitch's drift. */
export function summarised(grid: PosteriorGrid): Posterior {
  const { weights, sigmasMm, shifts } = grid;
  const shiftAt = (i: number) => shifts.fromMm + i * shifts.stepMm;
  const shiftMarginal = new Float64Array(shifts.count);
  const sigmaMarginal = new Float64Array(sigmasMm.length);
  let [shiftMm, sigmaMm] = [0, 0];
  sigmasMm.forEach((sigma, row) => {
    for (let i = 0; i < shifts.count; i++) {
      const weight = weights[row * shifts.count + i] ?? 0;
      shiftMarginal[i] = (shiftMarginal[i] ?? 0) + weight;
      sigmaMarginal[row] = (sigmaMarginal[row] ?? 0) + weight;
      shiftMm += weight * shiftAt(i);
      sigmaMm += weight * sigma;
    }
  });
  const shiftEdge = (i: number) => shiftAt(i - 0.5);
  const sigmaEdge = (row: number) => sigmaAt(grid, row - 0.5);
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
    predictive: tabulatePredictive(weights, sigmasMm, shifts),
  };
}

/** What sewn samples say, summed up: {@link posteriorGrid} and {@link summarised} in one. */
export function learn(
  checks: readonly Check[],
  samples: readonly Sample[],
  before: Prior | number,
): Posterior {
  return summarised(posteriorGrid(checks, samples, before));
}

/** The belief that a posterior amounts to. */
export function learnedBelief(posterior: Posterior): DriftBelief {
  return predictiveDrift(posterior.predictive, posterior.shiftMm, posterior.sigmaMm);
}
