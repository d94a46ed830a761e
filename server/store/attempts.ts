import { isSewnLater, localDay } from '../../core/book/day';
import { photoFields } from '../../contract/photo';
import type { AttemptDraft } from '../../contract/records';
import { Impossible, refusal } from '../../core/impossible';
import { dialField, type Dial } from '../../core/kit/dial-steps';
import { ownFootOf } from '../../core/kit/own-foot';
import { stretchedIssues } from '../../core/loopers/differential';
import { marginOfPlan } from '../../core/plan/margin-of-plan';
import { knownFinish } from '../compute/known-finish';
import type { Kept, RowOf } from '../database/rows';
import { Refusal } from '../http/refusal';
import type { Row } from './journal';
import { refuseUnknownPhoto } from './known-photo';
import {
  assembledFor,
  planDraftOf,
  pointedAt,
  refuseBlocked,
  type AssembledPlan,
} from './sewing-plan';
import type { Change, Created } from './change';

/** Whether a stored scrap says all that a draft says; the day may have been filled in for it. */
function saysTheSame(stored: Row, draft: AttemptDraft): boolean {
  return Object.entries(draft).every(
    ([field, value]) =>
      (field === 'sewnOn' && value === null) ||
      JSON.stringify(stored[field] ?? null) === JSON.stringify(value ?? null),
  );
}

/**
 * Records a sewn sample with its number and the set-up it was sewn with.
 *
 * An id that is already there, with the same scrap on the same plan, is the same sample sent
 * twice: it is answered, not recorded again.
 *
 * @throws Refusal 409 when the id stands for another sample
 */
export async function recordAttempt(
  change: Change,
  draft: AttemptDraft,
): Promise<Created<'attempts'>> {
  const present = draft.id ? await change.find('attempts', draft.id) : null;
  if (present) {
    if (saysTheSame(present, draft)) return { row: present, existed: true };
    throw new Refusal(409, 'id-taken', 'Another sample was recorded with this id.');
  }
  const planRow = await planOfAttempt(change, draft.planId);
  const assembled = await assembledFor(change, planDraftOf(planRow), draft.pass);
  refuseEmpty(draft);
  if (!draft.settings && assembled.finish.margin(assembled.plan.fold.variant)) {
    throw new Impossible([{ path: 'settings', message: 'Say where the dials stood.' }]);
  }
  await refuseWrong(change, assembled, draft);
  const number = (await change.greatest('attempts', 'number', { planId: draft.planId })) + 1;
  const { id, ...rest } = draft;
  const row = await change.create(
    'attempts',
    {
      ...rest,
      sewnOn: draft.sewnOn ?? localDay(new Date()),
      number,
      finish: assembled.finish.id,
      setUp: assembled.plan,
      names: assembled.names,
      ...assembled.ids,
    },
    id,
  );
  if (draft.pinned) await unpinOthers(change, row);
  // The dials stand where the scrap was sewn; only taking the advice moves them on.
  const planned = planDraftOf(planRow).settings;
  const { settings } = draft;
  const dials = Object.keys(dialField) as Dial[];
  // A scrap of another pass says nothing of where this line's dials stand.
  const moved =
    draft.pass === null &&
    settings &&
    dials.some((dial) => planned?.[dialField[dial]] !== settings[dialField[dial]]);
  if (moved) await change.update('plans', planRow.id, planRow.version, { settings });
  return { row, existed: false };
}

/** @throws Refusal 400 that says the plan is gone, and that what was counted is not lost */
async function planOfAttempt(change: Change, planId: string): Promise<RowOf<'plans'>> {
  const row = await change.find('plans', planId);
  if (row) return row;
  const message =
    'The edge this scrap was sewn for was taken out, perhaps in another tab. Bring it back with undo and record the scrap again.';
  throw new Refusal(400, 'invalid-request', message, [{ path: 'planId', message }]);
}

/** @throws Impossible for an attempt that says nothing at all */
export function refuseEmpty(
  scrap: Pick<
    AttemptDraft,
    'counts' | 'symptoms' | 'verdict' | (typeof photoFields)[number] | 'note' | 'measured'
  >,
): void {
  const { counts, symptoms, verdict, note, measured } = scrap;
  if (counts.length + symptoms.length > 0 || verdict || note.trim() || measured) return;
  if (photoFields.some((field) => scrap[field])) return;
  const message = 'Count at least one kind of stitch, or say what you saw.';
  throw new Impossible([{ path: 'counts', message }]);
}

/**
 * @throws Impossible at whatever contradicts the finish, the machine or the calendar
 */
export async function refuseWrong(
  change: Change,
  assembled: AssembledPlan,
  draft: Pick<
    AttemptDraft,
    'settings' | 'counts' | (typeof photoFields)[number] | 'sewnOn' | 'measured' | 'dialValues'
  >,
): Promise<void> {
  const { finish, plan } = assembled;
  if (draft.settings && finish.margin(plan.fold.variant)) {
    refuseBlocked(assembled, draft.settings);
  }
  refuseUnknownChecks(assembled, draft.counts);
  refuseMeasured(assembled, draft);
  refuseLater(draft.sewnOn);
  for (const path of photoFields) await refuseUnknownPhoto(change, draft[path], path);
}

/** @throws Impossible at lengths that no edge can have grown to, or on a machine without loopers */
function refuseMeasured(
  { plan }: AssembledPlan,
  { measured, dialValues }: Pick<AttemptDraft, 'measured' | 'dialValues'>,
): void {
  if (!measured) return;
  if (!ownFootOf(plan.machine.kind)) {
    throw new Impossible([
      refusal(
        'measured',
        'no-loopers',
        'A length before and after is measured on an overlocker or a coverstitch machine; this is a {kind} one, so leave it out.',
        { kind: plan.machine.kind },
      ),
    ]);
  }
  const { beforeMm, afterMm } = measured;
  const differential = Number(dialValues['differential'] ?? 1);
  const issues = stretchedIssues({ beforeMm, afterMm, differential }, plan.cloth, plan.machine);
  if (issues.length === 0) return;
  throw new Impossible(
    issues.map((issue) => ({
      ...issue,
      path: issue.path === 'differential' ? 'dialValues.differential' : `measured.${issue.path}`,
    })),
  );
}

/** @throws Impossible at a day that has not come anywhere on earth */
export function refuseLater(sewnOn: string | null): void {
  if (!sewnOn || !isSewnLater(sewnOn, new Date())) return;
  const message = `${sewnOn} has not come yet; a scrap is sewn today or earlier.`;
  throw new Impossible([{ path: 'sewnOn', message }]);
}

/** @throws Impossible at the count whose check the finish does not have */
function refuseUnknownChecks({ finish, plan }: AssembledPlan, counts: AttemptDraft['counts']) {
  if (counts.length === 0) return;
  const checks = marginOfPlan(finish, plan.fold.variant)
    .checks(plan)
    .map(({ name }) => name);
  counts.forEach(({ check }, i) => {
    if (checks.includes(check)) return;
    throw new Impossible([
      refusal(
        `counts.${i}.check`,
        'no-such-check',
        '“{check}” is not a check of {finish}; it has {checks}.',
        { check, finish: finish.id, checks: checks.join(', ') },
      ),
    ]);
  });
}

/** Only one setting is the one to start from, for a cloth, a finish and a machine. */
export async function unpinOthers(change: Change, row: RowOf<'attempts'>): Promise<void> {
  const { clothId, machineId, finish } = row;
  if (!clothId || !machineId) return;
  for (const other of await change.list('attempts', { clothId, machineId, finish })) {
    if (other.id === row.id || !other.pinned) continue;
    await change.update('attempts', other.id, other.version, { pinned: false });
  }
}

/** Several samples at once, a ladder's: all are recorded, or none. */
export async function recordAttempts(
  change: Change,
  drafts: readonly AttemptDraft[],
): Promise<{ rows: RowOf<'attempts'>[]; existed: boolean }> {
  const rows: RowOf<'attempts'>[] = [];
  let known = 0;
  for (const [i, draft] of drafts.entries()) {
    try {
      const { row, existed } = await recordAttempt(change, draft);
      if (existed) known++;
      rows.push(row);
    } catch (error) {
      if (!(error instanceof Impossible)) throw error;
      throw new Impossible(
        error.issues.map(({ path, message }) => ({ path: `attempts.${i}.${path}`, message })),
      );
    }
  }
  return { rows, existed: known === drafts.length };
}

/** Looks at an attempt that is to be changed; one whose plan is gone can keep what it counted. */
export async function checkPatched(
  change: Change,
  attempt: Kept['attempts'],
  patched: readonly string[],
): Promise<void> {
  refuseEmpty(attempt);
  refuseLater(attempt.sewnOn);
  if (!patched.some((field) => ['settings', 'counts', 'measured', ...photoFields].includes(field)))
    return;
  if (attempt.planId === null) {
    const message = 'The edge of this scrap is gone; its counts and dials stay as they are.';
    if (patched.includes('settings') || patched.includes('counts')) {
      throw new Impossible([{ path: patched[0] ?? 'counts', message }]);
    }
    return;
  }
  await pointedAt(change, 'plans', attempt.planId, 'planId');
  // A scrap is judged by the set-up it was sewn with, whatever became of its plan since.
  const { finish, setUp, names, clothId, machineId, footId } = attempt;
  const sewn: AssembledPlan = {
    ...{ finish: knownFinish(finish), plan: setUp, names },
    ids: { clothId: clothId ?? '', machineId: machineId ?? '', footId: footId ?? '' },
  };
  await refuseWrong(change, sewn, {
    ...attempt,
    // What was right when it was written need not fit a plan that has changed since.
    settings: patched.includes('settings') ? attempt.settings : null,
    counts: patched.includes('counts') ? attempt.counts : [],
    measured: patched.includes('measured') ? attempt.measured : null,
  });
}
