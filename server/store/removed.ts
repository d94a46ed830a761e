import type { RemovedEntry } from '../../contract/book';
import { singular, type RecordTable } from '../database/models';
import { Refusal, notFound } from '../http/refusal';
import { removalsSince, type Row, type Step } from './journal';
import type { Change } from './change';
import type { Store } from './store';

/** Which fields of a table point at what must be there first. */
const parents: Readonly<
  Partial<Record<Step['table'], readonly (readonly [string, Step['table']])[]>>
> = {
  edges: [
    ['projectId', 'projects'],
    ['clothId', 'cloths'],
  ],
  plans: [
    ['edgeId', 'edges'],
    ['machineId', 'machines'],
    ['footId', 'feet'],
  ],
  attempts: [['planId', 'plans']],
};

const takenOut = (steps: readonly Step[]) =>
  steps.filter(
    (step): step is Step & { readonly before: Row } => step.after === null && step.before !== null,
  );

/** A removal as the list of them needs it; what it took is told by table and id alone. */
interface Removal {
  readonly id: number;
  readonly at: string;
  readonly label: string;
  /** Table and id of each, as JSON. */
  readonly taken: string;
}

/**
 * What was taken out within thirty days and is not back, the latest first.
 *
 * @param before only removals with a smaller id than this
 * @param limit at most so many
 */
export async function listRemoved(
  store: Store,
  { before = Number.MAX_SAFE_INTEGER, limit }: { before?: number | undefined; limit: number },
): Promise<RemovedEntry[]> {
  const entries: RemovedEntry[] = [];
  let from = before;
  while (entries.length < limit) {
    const removals = await store.database.reading.rows<Removal>(
      `SELECT c.id, c.at, c.label, (SELECT json_group_array(json_array(s."table", s.recordId))
         FROM steps s WHERE s.changeId = c.id AND s.after IS NULL) AS taken
       FROM changes c WHERE c.removal = 1 AND c.undone = 0 AND c.at >= ? AND c.id < ?
       ORDER BY c.id DESC LIMIT ?`,
      [removalsSince(new Date()), from, limit],
    );
    for (const { id, at, label, taken } of removals) {
      const counts = await stillGone(store, JSON.parse(taken) as [RecordTable, string][]);
      if (counts && entries.length < limit) {
        entries.push({ id, at, label: label.replace(/^remove /, ''), counts });
      }
      from = id;
    }
    if (removals.length < limit) break;
  }
  return entries;
}

/** How many records of each table are not back; null when all are. */
async function stillGone(
  store: Store,
  taken: readonly (readonly [RecordTable, string])[],
): Promise<Record<string, number> | null> {
  const counts: Record<string, number> = {};
  for (const table of new Set(taken.map(([name]) => name))) {
    const ids = taken.filter(([name]) => name === table).map(([, id]) => id);
    const there = await store.count(table, { id: ids });
    if (there < ids.length) counts[table] = ids.length - there;
  }
  return Object.keys(counts).length > 0 ? counts : null;
}

/**
 * Brings back what a change took out, as a change of its own.
 *
 * @throws Refusal 404 when there is no such removal, 409 when what it hung on is gone too
 */
export async function bringBack(store: Store, change: Change, id: number): Promise<string> {
  const found = await store.database.models.changes.findByPk(id);
  if (!found?.get('removal') || String(found.get('at')) < removalsSince(new Date())) {
    throw notFound('removal of the last thirty days', String(id));
  }
  const steps = await change.stepsOf(id);
  // Children were taken out before what they hung on, so they come back after it.
  for (const { table, before } of takenOut(steps).reverse()) {
    if (await change.find(table, before.id)) continue;
    for (const [field, parent] of parents[table] ?? []) {
      const parentId = before[field];
      if (typeof parentId !== 'string' || (await change.find(parent, parentId))) continue;
      const message = `The ${singular[parent]} it belongs to was taken out too; bring that back first.`;
      throw new Refusal(409, 'parent-gone', message);
    }
    await change.restore(table, before);
  }
  for (const { table, before, after } of steps) {
    if (table !== 'attempts' || !before || !after || before['planId'] === after['planId']) continue;
    const now = await change.find('attempts', before.id);
    const { planId } = before;
    if (now?.planId === null && typeof planId === 'string') {
      await change.update('attempts', now.id, now.version, { planId });
    }
  }
  return String(found.get('label')).replace(/^remove /, '');
}
