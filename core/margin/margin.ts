import type { DialSettings } from '../kit/dial-steps';
import { beliefFor, type Beliefs, type DriftBelief } from './belief';
import { allowedDrift, undriftedMm, type Check, type DriftSource, type Fault } from './check';

/** The drift that harms nothing, and what waits at its ends. */
export interface Margin {
  readonly source: DriftSource;
  /** Ends of the harmless drift, mm to the right; infinite where nothing waits. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly leftFault: Fault | null;
  readonly rightFault: Fault | null;
  /** Which check ends it, and on which of its sides. */
  readonly leftEnd: { readonly check: string; readonly end: 'below' | 'above' } | null;
  readonly rightEnd: { readonly check: string; readonly end: 'below' | 'above' } | null;
}

/** The checks of each source, in the order the finish lists them. */
export function bySource(checks: readonly Check[]): Map<DriftSource, Check[]> {
  const groups = new Map<DriftSource, Check[]>();
  for (const check of checks)
    groups.set(check.source, [...(groups.get(check.source) ?? []), check]);
  return groups;
}

/**
 * The margin of one source: the intersection of what its checks allow.
 * Source: docs/formulas.md, “Drift and the margin”.
 *
 * @param checks of one source, at least one
 * @returns an interval whose ends cross when no drift is harmless
 */
export function marginOf(checks: readonly Check[], dials: Omit<DialSettings, 'lengthMm'>): Margin {
  let [fromMm, toMm] = [-Infinity, Infinity];
  let [leftEnd, rightEnd]: [Margin['leftEnd'], Margin['rightEnd']] = [null, null];
  let [leftFault, rightFault]: [Fault | null, Fault | null] = [null, null];
  for (const check of checks) {
    const [lo, hi] = allowedDrift(check, undriftedMm(check, dials));
    if (lo > fromMm) {
      const end = check.k === 1 ? 'below' : 'above';
      [fromMm, leftEnd, leftFault] = [lo, { check: check.name, end }, check[end]];
    }
    if (hi < toMm) {
      const end = check.k === 1 ? 'above' : 'below';
      [toMm, rightEnd, rightFault] = [hi, { check: check.name, end }, check[end]];
    }
  }
  const source = checks[0]?.source ?? 'guide';
  return { source, fromMm, toMm, leftFault, rightFault, leftEnd, rightEnd };
}

/** The margin of each source that checks have, in the order the finish lists them. */
export const marginsOf = (
  checks: readonly Check[],
  dials: Omit<DialSettings, 'lengthMm'>,
): Margin[] => Array.from(bySource(checks).values(), (group) => marginOf(group, dials));

/** The chance that a stitch is sound: sources are independent, so theirs multiply. */
export function chanceOf(margins: readonly Margin[], beliefs: Beliefs): number {
  return margins.reduce((product, margin) => {
    return product * beliefFor(beliefs, margin.source).within(margin.fromMm, margin.toMm);
  }, 1);
}

/** How a check fares at one setting. */
export interface CheckOutcome {
  readonly v0Mm: number;
  readonly belowChance: number;
  readonly aboveChance: number;
}

/** The chance of ending below and above a single check's bounds. */
export function outcomeOf(check: Check, v0Mm: number, belief: DriftBelief): CheckOutcome {
  const [lo, hi] = allowedDrift(check, v0Mm);
  const left = belief.leftOf(lo);
  const right = belief.rightOf(hi);
  return check.k === 1
    ? { v0Mm, belowChance: left, aboveChance: right }
    : { v0Mm, belowChance: right, aboveChance: left };
}
