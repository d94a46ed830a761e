import { compareScraps, type Comparison } from '../../../core/diagnose/told-apart';
import { startingValuesOf } from '../../../core/plan/work';
import type { AttemptRecord } from '../../../contract/records';
import type { Lengths } from '../../../core/measure/lengths';
import type { ComparisonWords } from '../../words/comparison';
import type { LessonPart, SetUpPart, WorkPart } from '../../bench/bench';

/** A scrap compared with the one before it on the same finish; null for the first. */
export function comparedWithBefore(
  bench: SetUpPart & LessonPart,
  attempt: AttemptRecord,
): Comparison | null {
  const at = bench.attempts.findIndex(({ id }) => id === attempt.id);
  const before = bench.attempts[at - 1];
  if (!before || before.finish !== attempt.finish) return null;
  const check = bench.set?.checks.find(({ name }) => name === bench.margin?.countedCheck) ?? null;
  return compareScraps(attempt, before, check);
}

/** The words a comparison is told in here. */
export function comparisonWords(
  { plan, finish, request, margin }: SetUpPart & WorkPart,
  lengths: Lengths,
): ComparisonWords {
  return {
    guidance: plan.foot.guidance,
    lengths,
    values: Object.fromEntries(startingValuesOf(finish, request).map(({ id, name }) => [id, name])),
    check: margin ? (margin.words.checks[margin.countedCheck] ?? null) : null,
  };
}
