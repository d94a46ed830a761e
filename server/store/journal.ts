import type { Transaction } from 'sequelize';
import type { Database } from '../database/open';
import type { RecordTable } from '../database/models';

/** A stored record as plain data. */
export type Row = Record<string, unknown> & { readonly id: string; readonly version: number };

/** One record before and after a change; null where it did not exist. */
export interface Step {
  readonly table: RecordTable;
  readonly id: string;
  readonly before: Row | null;
  readonly after: Row | null;
}

/** Parents before children, so that rows are put back in an order the foreign keys allow. */
const writingOrder: readonly RecordTable[] = [
  'preferences',
  'cloths',
  'machines',
  'feet',
  'needles',
  'threads',
  'projects',
  'edges',
  'plans',
  'attempts',
];

/** How many changes can be taken back; older ones are forgotten. */
const keptChanges = 2000;

/** Writes down a change so that it can be undone; whatever had been undone can't be redone. */
export async function writeDown(
  { models }: Database,
  label: string,
  steps: readonly Step[],
  transaction: Transaction,
): Promise<void> {
  await models.changes.destroy({ where: { undone: true }, transaction });
  const change = await models.changes.create(
    { at: new Date().toISOString(), label, steps, undone: false },
    { transaction },
  );
  const newest = Number(change.get('id'));
  await models.changes.sequelize?.query('DELETE FROM changes WHERE id <= ?', {
    replacements: [newest - keptChanges],
    transaction,
  });
}

/** Brings the records of a change to how they were before it, or after it. */
export async function bringTo(
  { models }: Database,
  side: 'before' | 'after',
  steps: readonly Step[],
  transaction: Transaction,
): Promise<void> {
  const rank = (step: Step) => writingOrder.indexOf(step.table);
  const removed = steps.filter((step) => step[side] === null);
  const written = steps.filter((step) => step[side] !== null);
  for (const { table, id } of [...removed].sort((a, b) => rank(b) - rank(a))) {
    await models[table].destroy({ where: { id }, transaction });
  }
  for (const step of [...written].sort((a, b) => rank(a) - rank(b))) {
    const model = models[step.table];
    const present = await model.findByPk(step.id, { transaction });
    // A version never comes back: whoever still holds the old one must be told it is stale.
    const known = Math.max(Number(present?.get('version') ?? 0), highest(step));
    const row = { ...step[side], version: known + 1 };
    if (present) await present.update(row, { transaction });
    else await model.create(row, { transaction });
  }
}

function highest({ before, after }: Step): number {
  return Math.max(before?.version ?? 0, after?.version ?? 0);
}
