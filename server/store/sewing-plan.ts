import type { Cloth } from '../../core/cloth/cloth';
import { clothFromDescription } from '../../core/cloth/describe';
import { finishById } from '../../core/finish/catalogue';
import type { Finish } from '../../core/finish/finish';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { Impossible } from '../../core/impossible';
import type { DialSettings } from '../../core/kit/dial-steps';
import { footUnder } from '../../core/kit/own-foot';
import { workAids } from '../../core/plan/aids';
import { dialIssues } from '../../core/plan/dial-issues';
import { judge } from '../../core/plan/judge';
import { setUpOf } from '../../core/plan/set-up-of';
import { clothDraft } from '../../contract/cloth';
import { footDraft, machineDraft } from '../../contract/kit';
import { sewingPlan } from '../../contract/plan';
import { edgeDraft, planDraft, type PlanDraft } from '../../contract/records';
import { Refusal } from '../http/refusal';
import { draftOfRow, type Row } from './journal';
import type { Change } from './store';

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
export async function pointedAt(
  change: Change,
  table: 'cloths' | 'machines' | 'feet' | 'projects' | 'edges' | 'plans' | 'attempts',
  id: string,
  path: string,
): Promise<Row> {
  const row = await change.find(table, id);
  if (row) return row;
  const message = `There is nothing in ${table} with the id “${id}”.`;
  throw new Refusal(400, 'invalid-request', message, [{ path, message }]);
}

/** The finish of an id. @throws Impossible at `finish` */
export function knownFinish(id: string): Finish {
  const finish = finishById(id);
  if (finish) return finish;
  throw new Impossible([
    { path: 'finish', message: `There is no finish with the id “${id.slice(0, 80)}”.` },
  ]);
}

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
  const plan: SewingPlan = sewingPlan.parse({
    cloth: propertiesOf(cloth),
    edge: { lengthMm: edge.lengthMm, minRadiusMm: edge.minRadiusMm, purpose: edge.purpose },
    fold: draft.fold,
    machine: machine.specs,
    foot: footUnder(machine.specs, foot),
    stitch: draft.stitch,
    needleSize: draft.needleSize,
    pickMm: draft.pickMm,
    faultWeights: draft.faultWeights,
    skill: 1,
    aids: workAids(foot.kind, draft.schools),
  });
  return {
    finish,
    plan,
    names: {
      cloth: String(cloth['name']),
      machine: machine.name,
      foot: footUnder(machine.specs, foot) === foot.specs ? foot.name : 'its own foot',
    },
    ids: { clothId: edge.clothId, machineId: draft.machineId, footId: draft.footId },
  };
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
  const message = warnings.some(({ about }) => about === 'straight-plate')
    ? 'Blocked: a straight-stitch plate leaves no room for a stitch that swings.'
    : clearance.clearanceMm < 0
      ? `Blocked: the needle would meet the ${clearance.nearest} on the ${clearance.side}, by ${(-clearance.clearanceMm).toFixed(2)} mm.`
      : `Blocked: the needle would go beyond this machine’s ±${plan.machine.maxWidthMm / 2} mm.`;
  throw new Impossible([{ path: 'settings', message }]);
}
