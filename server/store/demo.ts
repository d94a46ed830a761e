import type { DemoMoved } from '../../contract/set-table';
import type { Entry } from '../database/rows';
import { Refusal } from '../http/refusal';
import type { Change } from './change';
import { removeWhole, resources } from './resources';

/** Children before what they hang on. */
const order = ['projects', 'attempts', 'cloths', 'feet', 'machines', 'needles', 'threads'] as const;

/** What a record is called, where it has a name. */
const nameOf = (row: object): string => ('name' in row ? String(row.name) : 'a scrap');

/**
 * Puts the demo away as a whole; what one's own work uses of it stays, and is named.
 *
 * @param demo its records; making them takes a while, and is done before the change
 */
export async function putDemoAway(change: Change, demo: readonly Entry[]): Promise<DemoMoved> {
  const kept: string[] = [];
  let moved = 0;
  for (const table of order) {
    for (const { id } of demo.filter((entry) => entry.table === table)) {
      const row = await change.find(table, id);
      if (!row) continue;
      try {
        await removeWhole(change, resources[table], id, row.version);
        moved++;
      } catch (error) {
        if (!(error instanceof Refusal && error.code === 'in-use')) throw error;
        kept.push(nameOf(row));
      }
    }
  }
  return { moved, kept };
}

/** Brings back whatever of the demo is not there, as it was on the first day. */
export async function bringDemoBack(change: Change, demo: readonly Entry[]): Promise<DemoMoved> {
  let moved = 0;
  for (const { table, id, draft } of demo) {
    if (await change.find(table, id)) continue;
    await change.create(table, draft, id);
    moved++;
  }
  return { moved, kept: [] };
}
