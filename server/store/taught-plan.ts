import { sameForLearning } from '../../core/plan/same-set-up';
import { samplesOf } from '../../core/plan/of-records';
import type { Carried } from '../../core/plan/carried';
import type { SewnSample } from '../../core/plan/learn-plan';
import type { RowOf } from '../database/rows';
import { assemble, planDraftOf, type AssembledPlan } from './sewing-plan';
import type { Store } from './store';
import { workedBefore } from './worked';

/** A plan put together, with what its scraps and those of other edges teach. */
export interface TaughtPlan {
  readonly assembled: AssembledPlan;
  /** Scraps of the line itself that were sewn with the present set-up. */
  readonly own: readonly RowOf<'attempts'>[];
  readonly samples: readonly SewnSample[];
  readonly carried: Carried;
}

/**
 * What a plan is worked out from, the same that the bench of its edge takes.
 *
 * @throws Refusal or Impossible as {@link assemble}
 */
export async function taughtPlan(
  store: Store,
  row: RowOf<'plans'>,
  attempts: readonly RowOf<'attempts'>[],
): Promise<TaughtPlan> {
  const assembled = await store.reading((change) => assemble(change, planDraftOf(row)));
  const known = Object.keys(assembled.finish.margin(row.fold.variant)?.words.checks ?? {});
  const own = attempts.filter(
    (it) =>
      it.pass === null && it.finish === row.finish && sameForLearning(it.setUp, assembled.plan),
  );
  const samples = samplesOf(own).filter(({ check }) => known.includes(check));
  const carried = row.carryOver ? (await workedBefore(store, row.id)).carried : {};
  return { assembled, own, samples, carried };
}
