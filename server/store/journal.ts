import { Op, type Model, type ModelStatic, type Transaction } from 'sequelize';
import type { Database } from '../database/open';
import { recordTables, singular, type Models, type RecordTable } from '../database/models';
import { Refusal } from '../http/refusal';

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

/** How many changes can be taken back; older ones are forgotten. */
const keptChanges = 2000;
/** What was taken out can be brought back for so long, however much was changed since. */
export const keptRemovalDays = 30;

/** The moment before which a removal is final. */
export const removalsSince = (now: Date): string =>
  new Date(now.getTime() - keptRemovalDays * 86_400_000).toISOString();

/** Writes down a change so that its person can undo it; what that person had undone can't be redone. */
export async function writeDown(
  { models }: Database,
  label: string,
  by: string,
  steps: readonly Step[],
  transaction: Transaction,
): Promise<void> {
  await models.changes.destroy({ where: { undone: true, by }, transaction });
  const now = new Date();
  const removal = steps.some(({ after }) => after === null);
  const change = await models.changes.create(
    { at: now.toISOString(), label, undone: false, removal, by },
    { transaction },
  );
  const newest = Number(change.get('id'));
  await writeSteps(models, newest, steps, transaction);
  await models.changes.sequelize?.query(
    'DELETE FROM changes WHERE id <= ? AND (removal = 0 OR at < ?)',
    { replacements: [newest - keptChanges, removalsSince(now)], transaction },
  );
}

async function writeSteps(
  models: Models,
  changeId: number,
  steps: readonly Step[],
  transaction: Transaction,
): Promise<void> {
  let position = 0;
  for (const some of inParts(steps)) {
    await models.steps.bulkCreate(
      some.map(({ table, id, before, after }) => ({
        ...{ changeId, position: position++, table, recordId: id, before, after },
      })),
      { transaction },
    );
  }
}

/** Which steps of a change: those of a table with a state on the sides that are named, and on no other. */
interface Which {
  readonly table: RecordTable;
  readonly before: boolean;
  readonly after: boolean;
}

const isThere = (yes: boolean) => (yes ? { [Op.not]: null } : { [Op.is]: null });

/** The steps of a change, a part at a time. */
async function* stepsOf(
  { steps }: Models,
  changeId: number,
  { table, before, after }: Which,
  transaction: Transaction,
): AsyncGenerator<Step[]> {
  let last = -1;
  for (;;) {
    const rows = await steps.findAll({
      where: {
        ...{ changeId, table, position: { [Op.gt]: last } },
        ...{ before: isThere(before), after: isThere(after) },
      },
      order: [['position', 'ASC']],
      limit: partSize,
      transaction,
    });
    if (rows.length === 0) return;
    last = Number(rows.at(-1)!.get('position'));
    yield rows.map((row) => stepOf(row.get({ plain: true }) as StoredStep));
  }
}

interface StoredStep extends Omit<Step, 'id'> {
  readonly recordId: string;
}

const stepOf = ({ table, recordId, before, after }: StoredStep): Step => ({
  ...{ table, id: recordId, before: before ?? null, after: after ?? null },
});

/** All steps of a change at once, for one that is known to be short. */
export async function allSteps(
  { models }: Database,
  changeId: number,
  transaction: Transaction,
): Promise<Step[]> {
  const rows = await models.steps.findAll({
    where: { changeId },
    order: [['position', 'ASC']],
    transaction,
  });
  return rows.map((row) => stepOf(row.get({ plain: true }) as StoredStep));
}

/**
 * Brings the records of a change to how they were before it, or after it.
 *
 * Of a record that is there on both sides only the fields that the change wrote go back, and only
 * where they still stand as it left them.
 *
 * @returns what was done, as the steps of a change
 * @throws Refusal 409 where somebody built on it since
 */
export async function bringTo(
  { models }: Database,
  side: 'before' | 'after',
  changeId: number,
  transaction: Transaction,
): Promise<Step[]> {
  const done: Step[] = [];
  const other = side === 'before' ? 'after' : 'before';
  // A record that is changed may point at one that comes back only after it.
  await models.changes.sequelize?.query('PRAGMA defer_foreign_keys = ON', { transaction });
  const write = async (table: RecordTable, which: Omit<Which, 'table'>) => {
    for await (const some of stepsOf(models, changeId, { table, ...which }, transaction)) {
      done.push(...(await writeBack(models[table], table, side, some, transaction)));
    }
  };
  // What stays lets go first of what is taken away.
  for (const table of recordTables) await write(table, { before: true, after: true });
  for (const table of [...recordTables].reverse()) {
    const which = { table, before: other === 'before', after: other === 'after' };
    for await (const some of stepsOf(models, changeId, which, transaction)) {
      const present = await presentOf(models[table], some, transaction);
      for (const step of some) {
        const now = present.get(step.id);
        if (!now) continue;
        refuseBuiltOn(table, now, step[other], fieldsOf(now, step[other]));
        done.push({ table, id: step.id, before: now, after: null });
      }
      await models[table].destroy({ where: { id: some.map(({ id }) => id) }, transaction });
    }
  }
  for (const table of recordTables) {
    await write(table, { before: side === 'before', after: side === 'after' });
  }
  return done;
}

/** A record that one change wrote several times, as one step from its first state to its last. */
export function joined(steps: readonly Step[]): Step[] {
  const byRecord = new Map<string, Step>();
  for (const step of steps) {
    const key = `${step.table}/${step.id}`;
    const first = byRecord.get(key);
    byRecord.set(key, first ? { ...step, before: first.before } : step);
  }
  return [...byRecord.values()].filter(({ before, after }) => before !== null || after !== null);
}

/** An import can hold thousands of records: they are asked for by so many at once. */
const partSize = 200;

function inParts<T>(all: readonly T[]): T[][] {
  return Array.from({ length: Math.ceil(all.length / partSize) }, (_, i) =>
    all.slice(i * partSize, (i + 1) * partSize),
  );
}

async function presentOf(
  model: ModelStatic<Model>,
  steps: readonly Step[],
  transaction: Transaction,
): Promise<Map<string, Row>> {
  const found = await model.findAll({ where: { id: steps.map(({ id }) => id) }, transaction });
  return new Map(found.map((row) => [String(row.get('id')), row.get({ plain: true }) as Row]));
}

const same = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/** The fields in which a record differs from how a change left it. */
function fieldsOf(now: Row, left: Row | null): string[] {
  return left ? Object.keys(draftOfRow(now)).filter((field) => !same(now[field], left[field])) : [];
}

/** @throws Refusal 409 that names what somebody has changed since */
function refuseBuiltOn(
  table: RecordTable,
  now: Row,
  left: Row | null,
  fields: readonly string[],
): void {
  if (!left || fields.length === 0) return;
  const name = typeof now['name'] === 'string' ? ` “${now['name']}”` : '';
  throw new Refusal(
    409,
    'built-on',
    `This can't be taken back: ${fields.join(', ')} of ${singular[table]}${name} was changed since by somebody else.`,
  );
}

async function writeBack(
  model: ModelStatic<Model>,
  table: RecordTable,
  side: 'before' | 'after',
  steps: readonly Step[],
  transaction: Transaction,
): Promise<Step[]> {
  const present = await presentOf(model, steps, transaction);
  const done: Step[] = [];
  const missing: Row[] = [];
  for (const step of steps) {
    const there = present.get(step.id) ?? null;
    const wanted = step[side]!;
    const left = step[side === 'before' ? 'after' : 'before'];
    const wrote = left
      ? Object.keys(wanted).filter(
          (field) => !rowFields.includes(field) && !same(wanted[field], left[field]),
        )
      : Object.keys(wanted);
    if (there && left) {
      refuseBuiltOn(
        table,
        there,
        left,
        wrote.filter((field) => !same(there[field], left[field])),
      );
    }
    // A version never comes back: whoever still holds the old one must be told it is stale.
    const version = Math.max(there?.version ?? 0, highest(step)) + 1;
    const fields = Object.fromEntries(wrote.map((field) => [field, wanted[field]]));
    const now = new Date().toISOString();
    const after = (
      there ? { ...there, ...fields, id: step.id, version, updatedAt: now } : { ...wanted, version }
    ) as Row;
    if (there) await model.update(after, { where: { id: step.id }, transaction });
    else missing.push(after);
    done.push({ table, id: step.id, before: there, after });
  }
  await model.bulkCreate(missing, { transaction });
  return done;
}

/** What every row has, whatever it holds. */
const rowFields = ['id', 'version', 'createdAt', 'updatedAt'];

function highest({ before, after }: Step): number {
  return Math.max(before?.version ?? 0, after?.version ?? 0);
}
