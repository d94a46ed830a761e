import type { DriftSource } from './check';

/** What is believed of the drift from one source; ε in mm, positive to the right. */
export interface DriftBelief {
  /** The constant offset m: 0 until samples say otherwise, then its posterior mean. */
  readonly shiftMm: number;
  /** The spread σ: a starting guess until samples say otherwise, then its posterior mean. */
  readonly sigmaMm: number;
  /** Probability of drift to the left of a place. */
  leftOf(atMm: number): number;
  /** Probability of drift to the right of a place. */
  rightOf(atMm: number): number;
  /** Probability of drift inside an interval; 0 when it is empty. Ends may be infinite. */
  within(loMm: number, hiMm: number): number;
}

/** Beliefs for the sources that a finish's checks use. */
export type Beliefs = Partial<Readonly<Record<DriftSource, DriftBelief>>>;

/**
 * The belief about one source.
 *
 * @throws RangeError when nobody gave one: a finish then uses a source its set-up does not know
 */
export function beliefFor(beliefs: Beliefs, source: DriftSource): DriftBelief {
  const belief = beliefs[source];
  if (!belief) throw new RangeError(`No spread is known for drift from the ${source}.`);
  return belief;
}
