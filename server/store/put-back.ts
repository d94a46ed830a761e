import type { LeftChanged } from '../../contract/put-back';
import { finishById } from '../../core/finish/catalogue';
import { putBackId } from '../../core/garment/garment-task';
import { Impossible } from '../../core/impossible';
import { putBackOf } from '../../core/kit/put-back';
import { workRequestOf } from '../../core/plan/of-records';
import { startingValuesOf } from '../../core/plan/work';
import { Refusal } from '../http/refusal';
import { assemble, planDraftOf } from './sewing-plan';
import type { Store } from './store';

/** Steps by which a machine is set, whatever the finish calls them. */
const setting = ['set', 'change-foot'];

/**
 * What the plans of a machine have changed on it and nobody put back yet: those whose setting step
 * is ticked, and whose closing step is not.
 *
 * @throws Refusal 404 without the machine
 */
export async function leftChanged(store: Store, machineId: string): Promise<LeftChanged[]> {
  const { usual } = await store.find('machines', machineId);
  const plans = (await store.list('plans', { machineId })).filter(
    ({ finish, ticks }) =>
      finish !== null && setting.some((id) => ticks.includes(id)) && !ticks.includes('put-back'),
  );
  const found = await Promise.all(
    plans.map(async (row): Promise<LeftChanged[]> => {
      const edge = await store.find('edges', row.edgeId);
      const { garment } = await store.find('projects', edge.projectId);
      // In a garment's order a machine is put back once, for all that was sewn on it.
      if (garment?.done.includes(putBackId(machineId))) return [];
      const finish = finishById(row.finish ?? '');
      if (!finish) return [];
      try {
        const { plan } = await store.reading((change) => assemble(change, planDraftOf(row)));
        const request = workRequestOf({ edge, plan: row, cloth: {} }, plan, finish);
        const changes = putBackOf(usual, startingValuesOf(finish, request), row.settings);
        return changes.length === 0
          ? []
          : [{ planId: row.id, edgeId: edge.id, edgeName: edge.name, changes }];
      } catch (error) {
        // What no longer fits together is told where it is set.
        if (error instanceof Impossible || error instanceof Refusal) return [];
        throw error;
      }
    }),
  );
  return found.flat();
}
