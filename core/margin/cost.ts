import { beliefFor, type Beliefs } from './belief';
import type { Check } from './check';
import { bySource } from './margin';

// By name, not looked up in the global scope for each of a hundred thousand settings.
const { NEGATIVE_INFINITY, POSITIVE_INFINITY } = Number;

/** How much a fault on either side matters to the person: hidden ↔ sturdy. */
export interface FaultWeights {
  readonly below: number;
  readonly above: number;
}

/** The cost of a setting, from its three dials in mm. */
export type CostOf = (widthMm: number, needlePositionMm: number, guideMm: number) => number;

/**
 * What a setting is expected to cost, in weighted faults per stitch: w_below·P(below) +
 * w_above·P(above), every harmful drift counted once, under the fault it meets first. With both
 * weights 1 it is 1 − chance, also over several sources, whose chances multiply.
 * Source: docs/formulas.md, “Solving for the dials”.
 *
 * The result is called for every setting of a machine, a hundred thousand times in a solve, so it
 * works on numbers alone and allocates nothing.
 *
 * @param weights ≥ 0
 */
export function costFunction(
  checks: readonly Check[],
  beliefs: Beliefs,
  weights: FaultWeights,
): CostOf {
  const groups = [...bySource(checks)].map(([source, group]) => ({
    belief: beliefFor(beliefs, source),
    checks: group,
  }));
  const even = weights.below === weights.above;
  return (widthMm, needlePositionMm, guideMm) => {
    let chance = 1;
    let weighted = 0;
    let tails = 0;
    for (const { belief, checks: group } of groups) {
      let fromMm = NEGATIVE_INFINITY;
      let toMm = POSITIVE_INFINITY;
      let leftWeight = 0;
      let rightWeight = 0;
      for (const { v0, k, loMm, hiMm } of group) {
        const value =
          v0.constantMm +
          v0.width * widthMm +
          v0.needlePosition * needlePositionMm +
          v0.guide * guideMm;
        const left = k === 1 ? loMm - value : value - hiMm;
        const right = k === 1 ? hiMm - value : value - loMm;
        if (left > fromMm) {
          fromMm = left;
          leftWeight = k === 1 ? weights.below : weights.above;
        }
        if (right < toMm) {
          toMm = right;
          rightWeight = k === 1 ? weights.above : weights.below;
        }
      }
      chance *= toMm > fromMm ? belief.within(fromMm, toMm) : 0;
      if (even) continue;
      const leftTail = belief.leftOf(fromMm);
      const rightTail = belief.rightOf(toMm);
      weighted += leftWeight * leftTail + rightWeight * rightTail;
      tails += leftTail + rightTail;
    }
    if (even) return weights.below * (1 - chance);
    return tails > 0 ? (weighted / tails) * (1 - chance) : 0;
  };
}
