import type { Model, ModelStatic, Transaction } from 'sequelize';
import type { Database } from '../database/open';
import type { RecordTable } from '../database/models';

/** A stored record as plain data. */
export type Row = Record<string, unknown> & { readonly id: string; readonly version: number };

/** A stored row without the columns that every row has. */
export function draftOfRow(row: Row): Record<string, unknown> {
  const { id: _id, version: _version, createdAt: _created, updatedAt: _updated, ...draft } = row;
  return draft;
}

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
/** What was taken out can be brought back for so long, however much was changed since. */
export const keptRemovalDays = 30;

/** The moment before which a removal is final. */
export const removalsSince = (now: Date): string =>
  new Date(now.getTime() - keptRemovalDays * 86_400_000).toISOString();

/** Writes down a change so that it can be undone; whatever had been undone can't be redone. */
export async function writeDown(
  { models }: Database,
  label: string,
  steps: readonly Step[],
  transaction: Transaction,
): Promise<void> {
  await models.changes.destroy({ where: { undone: true }, transaction });
  const now = new Date();
  const removal = steps.some(({ after }) => after === null);
  const change = await models.changes.create(
    { at: now.toISOString(), label, steps, undone: false, removal },
    { transaction },
  );
  const newest = Number(change.get('id'));
  await models.changes.sequelize?.query(
    'DELETE FROM changes WHERE id <= ? AND (removal = 0 OR at < ?)',
    { replacements: [newest - keptChanges, removalsSince(now)], transaction },
  );
}

/** Brings the records of a change to how they were before it, or after it. */
export async function bringTo(
  { models }: Database,
  side: 'before' | 'after',
  steps: readonly Step[],
  transaction: Transaction,
): Promise<void> {
  const removed = steps.filter((step) => step[side] === null);
  const written = steps.filter((step) => step[side] !== null);
  for (const table of [...writingOrder].reverse()) {
    const ids = removed.filter((step) => step.table === table).map(({ id }) => id);
    for (const some of inParts(ids)) {
      await models[table].destroy({ where: { id: some }, transaction });
    }
  }
  for (const table of writingOrder) {
    const steps = written.filter((step) => step.table === table);
    for (const some of inParts(steps)) await writeBack(models[table], side, some, transaction);
  }
}

/** An import can hold thousands of records: they are asked for by so many at once. */
const partSize = 500;

function inParts<T>(all: readonly T[]): T[][] {
  return Array.from({ length: Math.ceil(all.length / partSize) }, (_, i) =>
    all.slice(i * partSize, (i + 1) * partSize),
  );
}

async function writeBack(
  model: ModelStatic<Model>,
  side: 'before' | 'after',
  steps: readonly Step[],
  transaction: Transaction,
): Promise<void> {
  const found = await model.findAll({ where: { id: steps.map(({ id }) => id) }, transaction });
  const present = new Map(found.map((row) => [String(row.get('id')), row]));
  const missing: Row[] = [];
  for (const step of steps) {
    const there = present.get(step.id);
    // A version never comes back: whoever still holds the old one must be told it is stale.
    const known = Math.max(Number(there?.get('version') ?? 0), highest(step));
    const row = { ...step[side], version: known + 1 } as Row;
    if (there) await there.update(row, { transaction });
    else missing.push(row);
  }
  await model.bulkCreate(missing, { transaction });
}

function highest({ before, after }: Step): number {
  return Math.max(before?.version ?? 0, after?.version ?? 0);
}
