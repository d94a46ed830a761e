import type { Cloth } from '../../core/cloth/cloth';
import { clothFromDescription } from '../../core/cloth/describe';
import { finishById } from '../../core/finish/catalogue';
import { knownFinish } from '../compute/known-finish';
import type { Finish } from '../../core/finish/finish';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { Impossible, refusal } from '../../core/impossible';
import type { DialSettings } from '../../core/kit/dial-steps';
import type { Foot } from '../../core/kit/foot';
import { dialIssues } from '../../core/plan/dial-issues';
import { judge } from '../../core/plan/judge';
import { footNameOn, sewingPlanOf, workRequestOf } from '../../core/plan/of-records';
import { passesOf } from '../../core/plan/passes';
import { setUpOf } from '../../core/plan/set-up-of';
import { clothDraft } from '../../contract/cloth';
import { footDraft, machineDraft } from '../../contract/kit';
import { sewingPlan } from '../../contract/plan';
import { edgeDraft, planDraft, preferencesDraft, type PlanDraft } from '../../contract/records';
import { Refusal } from '../http/refusal';
import type { RecordTable } from '../database/models';
import type { RowOf } from '../database/rows';
import { draftOfRow, type Row } from './journal';
import type { Change } from './change';

/** Reads a stored row by its draft's schema, leaving the columns every row has aside. */
function draftOf<T>(schema: { parse(value: unknown): T }, row: Row): T {
  return schema.parse(draftOfRow(row));
}

/** The properties of a described cloth, as the sums take them. */
export function propertiesOf(row: Row): Cloth {
  const cloth = draftOf(clothDraft, row);
  const {
    recoveryPercent: _recovery,
    estimated: _estimated,
    ...properties
  } = clothFromDescription(cloth);
  return { construction: cloth.tests.construction, ...properties };
}

export interface AssembledPlan {
  readonly finish: Finish;
  readonly plan: SewingPlan;
  readonly names: { cloth: string; machine: string; foot: string };
  readonly ids: { clothId: string; machineId: string; footId: string };
}

/** Finds a record that another one points at. @throws Refusal 400 at the pointing field */
export async function pointedAt<T extends RecordTable>(
  change: Change,
  table: T,
  id: string,
  path: string,
): Promise<RowOf<T>> {
  const row = await change.find(table, id);
  if (row) return row;
  const message = `There is nothing in ${table} with the id “${id}”.`;
  throw new Refusal(400, 'invalid-request', message, [{ path, message }]);
}

/** An attachment and the foot behind it, as a scrap names them; a name holds 120 characters. */
const attachedName = ({ name }: { readonly name: string }, foot: string) =>
  `${name}, before ${foot}`.slice(0, 120);

/** What every plan without a finish is told. */
export const noFinishYet = 'No finish is taken for this edge yet: take one first.';

/** The finish that a plan has taken. @throws Refusal 409 while it has none */
export function takenFinish({ finish }: Pick<PlanDraft, 'finish'>): Finish {
  if (finish !== null) return knownFinish(finish);
  throw new Refusal(409, 'no-finish', noFinishYet, [{ path: 'finish', message: noFinishYet }]);
}

/**
 * Puts a stored plan and the records it points at together into what the sums take.
 *
 * @throws Refusal 409 while no finish is taken, else Refusal or Impossible naming the field that
 *   does not fit
 */
export async function assemble(change: Change, draft: PlanDraft): Promise<AssembledPlan> {
  const finish = takenFinish(draft);
  const edge = draftOf(edgeDraft, await pointedAt(change, 'edges', draft.edgeId, 'edgeId'));
  const cloth = await pointedAt(change, 'cloths', edge.clothId, 'clothId');
  const machine = draftOf(
    machineDraft,
    await pointedAt(change, 'machines', draft.machineId, 'machineId'),
  );
  const foot = draftOf(footDraft, await pointedAt(change, 'feet', draft.footId, 'footId'));
  const strip = draft.stripClothId
    ? await pointedAt(change, 'cloths', draft.stripClothId, 'stripClothId')
    : null;
  const attachment = draft.attachmentId
    ? draftOf(footDraft, await pointedAt(change, 'feet', draft.attachmentId, 'attachmentId'))
    : null;
  refuseReference(foot.specs, draft.reference);
  const kept = sewingPlanOf({
    edge,
    plan: draft,
    cloth: { properties: propertiesOf(cloth) },
    strip: strip && { properties: propertiesOf(strip) },
    machine,
    foot,
    attachment,
  });
  return {
    finish,
    plan: sewingPlan.parse(await change.sums.inner('ride', { finish: finish.id, plan: kept })),
    names: {
      cloth: cloth.name,
      machine: machine.name,
      foot: attachment
        ? attachedName(attachment, footNameOn(machine, foot))
        : footNameOn(machine, foot),
    },
    ids: {
      ...{ clothId: edge.clothId, machineId: draft.machineId },
      // What leads the edge is what an offset is learned of.
      footId: draft.attachmentId ?? draft.footId,
    },
  };
}

/**
 * A plan as {@link assemble} puts it together, or another pass of its work.
 *
 * @throws Impossible at a pass that the work has not, or that nothing in the kit sews
 */
export async function assembledFor(
  change: Change,
  draft: PlanDraft,
  passId: string | null,
): Promise<AssembledPlan> {
  const line = await assemble(change, draft);
  if (passId === null) return line;
  const edge = draftOf(edgeDraft, await pointedAt(change, 'edges', draft.edgeId, 'edgeId'));
  const machines = (await change.list('machines', {})).map((row) => ({
    id: row.id,
    ...draftOf(machineDraft, row),
  }));
  const feet = (await change.list('feet', {})).map((row) => ({
    id: row.id,
    ...draftOf(footDraft, row),
  }));
  const passes = passesOf(
    line.finish,
    workRequestOf(
      { edge, plan: draft, cloth: {} },
      line.plan,
      line.finish,
      await usualWays(change),
    ),
    { machines, feet },
    finishById,
  );
  const pass = passes.find(({ id }) => id === passId);
  const finish = pass && finishById(pass.finish);
  if (!pass?.plan || !pass.machine || !pass.foot || !finish) {
    const sewn = passes.filter(({ plan }) => plan !== null).map(({ id }) => id);
    throw new Impossible([
      refusal(
        'pass',
        'no-such-pass',
        'This work has no pass “{pass}” that the kit can sew; it has {passes}.',
        { pass: passId, passes: sewn.join(', ') || 'none besides its own line' },
      ),
    ]);
  }
  return {
    finish,
    plan: sewingPlan.parse(pass.plan),
    names: { cloth: line.names.cloth, machine: pass.machine.name, foot: pass.foot.name },
    ids: {
      ...line.ids,
      machineId: pass.machine.id,
      footId: pass.foot.id === 'own' ? line.ids.footId : pass.foot.id,
    },
  };
}

/** The ways this person usually goes, where a plan says nothing. */
async function usualWays(change: Change): Promise<Readonly<Record<string, string>>> {
  const row = await change.find('preferences', 'mine');
  return row ? draftOf(preferencesDraft, row).schools : {};
}

/** @throws Impossible at a reference that the foot has not */
function refuseReference({ references }: Foot, reference: string | null): void {
  const names = (references ?? []).map(({ name }) => name);
  if (reference === null || names.includes(reference)) return;
  throw new Impossible([
    refusal(
      'reference',
      'no-such-reference',
      names.length > 0
        ? 'This foot has no reference “{reference}”; it has {names}.'
        : 'This foot has no reference “{reference}”: it names none, and rides along what its own guide says.',
      { reference, names: names.join(', ') },
    ),
  ]);
}

/** Reads a stored plan row as its draft. */
export function planDraftOf(row: Row): PlanDraft {
  return draftOf(planDraft, row);
}

/**
 * @throws Impossible when a dial stands past its range or the needle would meet metal there, so
 *   that it is never kept or sewn
 */
export function refuseBlocked({ finish, plan }: AssembledPlan, settings: DialSettings): void {
  const beyond = dialIssues(plan, settings);
  if (beyond.length > 0) {
    throw new Impossible(beyond.map((issue) => ({ ...issue, path: `settings.${issue.path}` })));
  }
  const { clearance, blocked, warnings } = judge(setUpOf(finish, plan), settings);
  if (!blocked) return;
  const { nearest, side, clearanceMm } = clearance;
  throw new Impossible([
    warnings.some(({ about }) => about === 'straight-plate')
      ? refusal(
          'settings',
          'straight-plate',
          'Blocked: a straight-stitch plate leaves no room for a stitch that swings.',
        )
      : clearanceMm < 0
        ? refusal(
            'settings',
            'needle-meets-metal',
            'Blocked: the needle would meet the {nearest} on the {side}, by {byMm:fine}.',
            { nearest, side, byMm: -clearanceMm },
          )
        : refusal(
            'settings',
            'beyond-swing',
            'Blocked: the needle would go beyond this machine’s ±{halfMm:fine}.',
            { halfMm: plan.machine.maxWidthMm / 2 },
          ),
  ]);
}
