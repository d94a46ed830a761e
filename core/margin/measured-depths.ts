import type { Check } from './check';
import type { ShiftGrid } from './shift-grid';

/** The counted check’s value of one stitch, measured. */
export interface MeasuredDepth {
  readonly depthMm: number;
  /** How far it may be off, one spread, mm. */
  readonly depthSpreadMm: number;
}

/** A stitch’s drift as it was measured. */
export interface MeasuredDrift {
  readonly driftMm: number;
  readonly spreadMm: number;
}

/** The drift a value tells of. @param v0Mm the check’s value with none */
export const driftOf = (check: Check, v0Mm: number, depth: MeasuredDepth): MeasuredDrift => ({
  driftMm: check.k * (depth.depthMm - v0Mm),
  spreadMm: depth.depthSpreadMm,
});

/** Spreads that differ by less are one, mm: a scrap’s finds fall into a few groups. */
const sameSpreadMm = 0.01;

/** What like measurements come to: how many, their sum and the sum of their squares. */
interface Group {
  readonly variance: number;
  n: number;
  sum: number;
  square: number;
}

/**
 * Adds what measured drifts say to the log of a posterior’s grid: each is that of the hand plus what
 * measuring adds, N(m, σ² + s²). All of a group come down to three sums, so that a hundred cost as
 * little as one. Source: docs/formulas.md, “Learning from measured stitches”.
 *
 * @param logPosterior a row of offsets for each spread; changed
 */
export function addMeasured(
  logPosterior: Float64Array,
  sigmasMm: readonly number[],
  { fromMm, stepMm, count }: ShiftGrid,
  measured: readonly MeasuredDrift[],
): void {
  const groups = new Map<number, Group>();
  for (const { driftMm, spreadMm } of measured) {
    const key = Math.round(spreadMm / sameSpreadMm);
    const group = groups.get(key) ?? {
      ...{ variance: (key * sameSpreadMm) ** 2, n: 0, sum: 0, square: 0 },
    };
    group.n++;
    group.sum += driftMm;
    group.square += driftMm * driftMm;
    groups.set(key, group);
  }
  for (const { variance, n, sum, square } of groups.values()) {
    sigmasMm.forEach((sigma, row) => {
      const all = sigma * sigma + variance;
      const level = (-n / 2) * Math.log(all);
      for (let i = 0; i < count; i++) {
        const m = fromMm + i * stepMm;
        const at = row * count + i;
        logPosterior[at] =
          (logPosterior[at] ?? 0) + level - (square - 2 * m * sum + n * m * m) / (2 * all);
      }
    });
  }
}
