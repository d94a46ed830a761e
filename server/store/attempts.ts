import type { AttemptDraft } from '../../contract/records';
import { Impossible } from '../../core/impossible';
import { marginOfPlan } from '../../core/plan/margin-of-plan';
import { Refusal } from '../http/refusal';
import type { Row } from './journal';
import { assemble, planDraftOf, pointedAt, refuseBlocked, type AssembledPlan } from './sewing-plan';
import type { Change } from './store';

/**
 * Records a sewn sample with its number and the set-up it was sewn with.
 *
 * An id that is already there, with the same counts on the same plan, is the same sample sent
 * twice: it is answered, not recorded again.
 *
 * @throws Refusal 409 when the id stands for another sample
 */
export async function recordAttempt(
  change: Change,
  draft: AttemptDraft,
): Promise<{ row: Row; existed: boolean }> {
  const present = draft.id ? await change.find('attempts', draft.id) : null;
  if (present) {
    const same =
      present['planId'] === draft.planId &&
      JSON.stringify(present['counts']) === JSON.stringify(draft.counts);
    if (same) return { row: present, existed: true };
    throw new Refusal(409, 'id-taken', 'Another sample was recorded with this id.');
  }
  const planRow = await pointedAt(change, 'plans', draft.planId, 'planId');
  const assembled = await assemble(change, planDraftOf(planRow));
  refuseBlocked(assembled, draft.settings);
  refuseUnknownChecks(assembled, draft.counts);
  const earlier = await change.list('attempts', { planId: draft.planId });
  const number = Math.max(0, ...earlier.map((row) => Number(row['number']))) + 1;
  const { id, ...rest } = draft;
  const row = await change.create(
    'attempts',
    { ...rest, number, setUp: assembled.plan, names: assembled.names },
    id,
  );
  // The dials stand where the scrap was sewn; only taking the advice moves them on.
  const planned = planDraftOf(planRow).settings;
  const dials = Object.keys(draft.settings) as (keyof typeof draft.settings)[];
  if (!planned || dials.some((dial) => planned[dial] !== draft.settings[dial])) {
    await change.update('plans', planRow.id, planRow.version, { settings: draft.settings });
  }
  return { row, existed: false };
}

/** @throws Impossible at the count whose check the finish does not have */
export function refuseUnknownChecks(
  { finish, plan }: AssembledPlan,
  counts: AttemptDraft['counts'],
): void {
  const checks = marginOfPlan(finish, plan.fold.variant)
    .checks(plan)
    .map(({ name }) => name);
  counts.forEach(({ check }, i) => {
    if (checks.includes(check)) return;
    const message = `“${check}” is not a check of ${finish.id}; it has ${checks.join(', ')}.`;
    throw new Impossible([{ path: `counts.${i}.check`, message }]);
  });
}
