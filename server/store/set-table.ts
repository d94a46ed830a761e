import type * as z from 'zod';
import type { setTableRequest, TableSet } from '../../contract/set-table';
import { Impossible } from '../../core/impossible';
import type { RecordTable } from '../database/models';
import type { Kept } from '../database/rows';
import type { Change } from './change';
import { resources } from './resources';

/**
 * Puts a machine, feet, a cloth and a first edge on the table, as far as they are given.
 *
 * @throws Refusal or Impossible that names the field under `machine`, `feet`, `cloth` or `edge`
 */
export async function setTable(
  change: Change,
  { machine, feet, cloth, edge }: z.infer<typeof setTableRequest>,
): Promise<TableSet> {
  const make = async <T extends RecordTable>(table: T, draft: Kept[T], path: string) => {
    try {
      return (await resources[table].create(change, draft as never)).row.id;
    } catch (error) {
      if (!(error instanceof Impossible)) throw error;
      throw new Impossible(error.issues.map((it) => ({ ...it, path: `${path}.${it.path}` })));
    }
  };
  const machineId = machine ? await make('machines', machine, 'machine') : null;
  const footIds: string[] = [];
  for (const [i, foot] of feet.entries()) footIds.push(await make('feet', foot, `feet.${i}`));
  const clothId = cloth ? await make('cloths', cloth, 'cloth') : null;
  if (!edge) return { machineId, footIds, clothId, projectId: null, edgeId: null };
  const bare = { name: edge.project, note: '', garment: null };
  const projectId = await make('projects', bare, 'edge.project');
  const on = edge.clothId ?? clothId ?? '';
  const draft = { ...edge.draft, projectId, clothId: on };
  const edgeId = await make('edges', draft, 'edge.draft');
  return { machineId, footIds, clothId, projectId, edgeId };
}
