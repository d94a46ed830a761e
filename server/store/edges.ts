import { catalogue } from '../../core/finish/catalogue';
import { wishForVariant } from '../../core/plan/fold-plan';
import type { FootKind } from '../../core/kit/foot-kind';
import type { Machine } from '../../core/kit/machine';
import { startingNeedle } from '../../core/kit/needle';
import { clothFromDescription } from '../../core/cloth/describe';
import type { EdgeDraft, PlanDraft } from '../../contract/records';
import { Refusal } from '../http/refusal';
import type { Row } from './journal';
import type { Change } from './store';

/**
 * Creates an edge together with its first plan, so that the stations have something to stand on:
 * the first finish of the catalogue at its own starting values, on the first machine and foot.
 *
 * @throws Refusal 409 when the drawer holds no machine or no foot
 */
export async function createEdge(
  change: Change,
  draft: EdgeDraft,
): Promise<{ row: Row; existed: boolean }> {
  const [finish] = catalogue;
  const needs = finish?.needs(finish.variants[0]?.id ?? '');
  const machines = await change.list('machines', {});
  const feet = await change.list('feet', {});
  const fits = (row: Row) => needs?.machineKinds.includes((row['specs'] as Machine).kind) ?? false;
  const machine = machines.find(fits) ?? machines[0];
  const foot = feet.find(({ kind }) => needs?.feet.includes(kind as FootKind)) ?? feet[0];
  if (!machine || !foot || !finish) {
    const message = 'Put a machine and a foot into the kit first; an edge is planned for them.';
    throw new Refusal(409, 'no-kit', message);
  }
  const cloth = await change.find('cloths', draft.clothId);
  const properties = clothFromDescription(
    cloth as unknown as Parameters<typeof clothFromDescription>[0],
  );
  const row = await change.create('edges', draft);
  const wish = wishForVariant(finish, {}, finish.variants[0]?.id ?? '');
  const stretchy = properties.stretchPercent >= 15;
  const plan: PlanDraft = {
    edgeId: row.id,
    finish: finish.id,
    fold: wish,
    machineId: machine.id,
    footId: foot.id,
    stitch: {
      pattern: stretchy ? 'blind-stretch' : 'blind-woven',
      anchor: 'right',
      runStitches: 5,
    },
    needleSize: startingNeedle(properties.weightGsm).size,
    pickMm: 1,
    faultWeights: { below: 1, above: 1 },
    settings: null,
    keptAttemptId: null,
    schools: {},
    ticks: [],
    carryOver: true,
  };
  await change.create('plans', plan);
  return { row, existed: false };
}
