import { Op } from 'sequelize';
import type { RemovedEntry } from '../../contract/book';
import { Refusal, notFound } from '../http/refusal';
import { removalsSince, type Row, type Step } from './journal';
import { singular, type Change, type Store } from './store';

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

/** What was taken out within thirty days and is not back, the latest first. */
export async function listRemoved(store: Store): Promise<RemovedEntry[]> {
  const changes = await store.database.models.changes.findAll({
    where: { removal: true, undone: false, at: { [Op.gte]: removalsSince(new Date()) } },
    order: [['id', 'DESC']],
  });
  const entries: RemovedEntry[] = [];
  for (const change of changes) {
    const steps = takenOut(change.get('steps') as Step[]);
    const gone: Step[] = [];
    for (const step of steps) {
      const there = await store.database.models[step.table].count({ where: { id: step.id } });
      if (there === 0) gone.push(step);
    }
    if (gone.length === 0) continue;
    const counts: Record<string, number> = {};
    for (const { table } of gone) counts[table] = (counts[table] ?? 0) + 1;
    entries.push({
      id: Number(change.get('id')),
      at: String(change.get('at')),
      label: String(change.get('label')).replace(/^remove /, ''),
      counts,
    });
  }
  return entries;
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
  const steps = found.get('steps') as Step[];
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
    if (now && now['planId'] === null) {
      await change.update('attempts', now.id, now.version, { planId: before['planId'] });
    }
  }
  return String(found.get('label')).replace(/^remove /, '');
}
