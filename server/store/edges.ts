import { newPlan } from '../../core/plan/new-plan';
import type { EdgeDraft, PlanDraft } from '../../contract/records';
import { Refusal } from '../http/refusal';
import { pointedAt, propertiesOf } from './sewing-plan';
import type { Change, Created } from './change';

/**
 * Creates an edge together with its plan, which has no finish until one is taken.
 *
 * @throws Refusal 409 when the drawer holds no machine or no foot
 */
export async function createEdge(change: Change, draft: EdgeDraft): Promise<Created<'edges'>> {
  const [machine] = await change.list('machines', {});
  const [foot] = await change.list('feet', {});
  if (!machine || !foot) {
    const message = 'Put a machine and a foot into the kit first; an edge is planned for them.';
    throw new Refusal(409, 'no-kit', message);
  }
  const cloth = await pointedAt(change, 'cloths', draft.clothId, 'clothId');
  const row = await change.create('edges', draft);
  const plan: PlanDraft = {
    edgeId: row.id,
    machineId: machine.id,
    footId: foot.id,
    ...newPlan(propertiesOf(cloth)),
    settings: null,
    keptAttemptId: null,
    schools: {},
    ticks: [],
    took: {},
    carryOver: true,
  };
  await change.create('plans', plan);
  return { row, existed: false };
}
