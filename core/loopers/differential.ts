import { refusal, type Issue } from '../impossible';
import type { Machine } from '../kit/machine';
import { snapToDial } from '../kit/dial-steps';

/** A marked length of an edge, measured before it was sewn and after. */
export interface Stretched {
  readonly beforeMm: number;
  readonly afterMm: number;
  /** What the differential feed stood at. */
  readonly differential: number;
}

/** Starting guesses: what a differential can be set to when nobody said, and in what steps. */
export const usualDifferential = { from: 0.7, to: 2, step: 0.1 } as const;

/** Starting guess: how far off one end of a length is read with a tape, standard deviation, mm. */
const perEndMm = 0.5;
/** Two lengths have four ends: standard deviation of a difference of lengths, mm. */
export const differenceSdMm = perEndMm * 2;
/** Nine of ten readings of no difference lie within this many of those. */
export const z90 = 1.645;

/** The smallest difference of a marked length that is told from none, mm. */
export const leastDifferenceMm = z90 * differenceSdMm;

/** A looped edge can grow no further than its cloth stretches; a firm one on the bias by this, percent. */
const leastGrowthPercent = 20;

/** What is wrong with measurements, with what would be right; empty when nothing is. */
export function stretchedIssues(
  { beforeMm, afterMm, differential }: Stretched,
  { stretchPercent }: { readonly stretchPercent: number },
  machine: DifferentialDial,
): Issue[] {
  const range = rangeOf(machine);
  const mostMm = beforeMm * (1 + Math.max(stretchPercent, leastGrowthPercent) / 100);
  const leastMm = beforeMm / range.to;
  const issues: Issue[] = [];
  if (afterMm > mostMm + 1e-9) {
    issues.push(
      refusal(
        'afterMm',
        'grown-too-far',
        '{afterMm} after sewing is more than an edge of {beforeMm} can have grown in a cloth that stretches {percent} %; it can be up to {mostMm}.',
        { afterMm, beforeMm, percent: stretchPercent, mostMm },
      ),
    );
  }
  if (afterMm < leastMm - 1e-9) {
    issues.push(
      refusal(
        'afterMm',
        'drawn-in-too-far',
        '{afterMm} after sewing is less than the feed can have drawn {beforeMm} in to; it can be {leastMm} or more.',
        { afterMm, beforeMm, leastMm },
      ),
    );
  }
  if (differential < range.from - 1e-9 || differential > range.to + 1e-9) {
    issues.push(
      refusal(
        'differential',
        'past-the-dial',
        'A differential of {given} is past what this machine has; it can be {from} to {to}.',
        { given: differential, from: range.from, to: range.to },
      ),
    );
  }
  return issues;
}

/** What of a machine decides where its differential can stand. */
export type DifferentialDial = Pick<Machine, 'differentialRange' | 'differentialStep'>;

function rangeOf({ differentialRange, differentialStep }: DifferentialDial) {
  const [from, to] = differentialRange ?? [usualDifferential.from, usualDifferential.to];
  return { from, to, step: differentialStep ?? usualDifferential.step };
}

/** The differential nearest to a wish that a machine can be set to. */
export function settableDifferential(wish: number, machine: DifferentialDial): number {
  const { from, to, step } = rangeOf(machine);
  // Counted from neutral, where every machine can stand.
  const origin = from <= 1 && to >= 1 ? 1 : from;
  return snapToDial(wish, { fromMm: from, toMm: to, stepMm: step, originMm: origin });
}

/** What measured scraps teach about the differential. */
export interface DifferentialLesson {
  /** Where the edge would neither grow nor draw in, and the standard deviation of that. */
  readonly flatAt: number;
  readonly flatAtSd: number;
  /** What the last scrap stood at, and what comes next, on the machine's steps. */
  readonly from: number;
  readonly to: number;
  /** Whether the last scrap grew, shrank, or did neither as far as a tape can tell. */
  readonly last: 'grew' | 'drew-in' | 'no-difference';
  readonly enough: boolean;
}

/**
 * The next differential: an edge that grew by a share is gathered by as much, one that drew in is
 * released, d′ = d·L₁/L₀; several scraps are pooled by how finely each was measured.
 * Source: docs/formulas.md, “Overlocker and coverstitch, by measuring”.
 *
 * @param scraps oldest first, at least one
 * @example differentialLesson([{ beforeMm: 100, afterMm: 110, differential: 1 }], {}).to // 1.1
 */
export function differentialLesson(
  scraps: readonly [Stretched, ...Stretched[]],
  machine: DifferentialDial,
): DifferentialLesson {
  let [weights, sum] = [0, 0];
  for (const { beforeMm, afterMm, differential } of scraps) {
    // The logarithm of a ratio of lengths is as finely known as both lengths are long; each has
    // two of the four ends.
    const weight = 2 / differenceSdMm ** 2 / (1 / beforeMm ** 2 + 1 / afterMm ** 2);
    weights += weight;
    sum += weight * Math.log((differential * afterMm) / beforeMm);
  }
  const flatAt = Math.exp(sum / weights);
  const last = scraps[scraps.length - 1] ?? scraps[0];
  const byMm = last.afterMm - last.beforeMm;
  const none = Math.abs(byMm) < leastDifferenceMm;
  const to = none ? last.differential : settableDifferential(flatAt, machine);
  return {
    flatAt,
    flatAtSd: flatAt / Math.sqrt(weights),
    from: last.differential,
    to,
    last: none ? 'no-difference' : byMm > 0 ? 'grew' : 'drew-in',
    enough: none || Math.abs(to - last.differential) < 1e-9,
  };
}

/** The differential that eases a fullness in on purpose: 1 + q, on the machine's steps. */
export const easingDifferential = (fullnessShare: number, machine: DifferentialDial): number =>
  settableDifferential(1 + fullnessShare, machine);
