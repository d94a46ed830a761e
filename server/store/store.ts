import { randomUUID } from 'node:crypto';
import { Transaction } from 'sequelize';
import type { RecordTable } from '../database/models';
import type { Database } from '../database/open';
import { Refusal, notFound } from '../http/refusal';
import type { KeptPhoto } from '../photos/keep-photo';
import { bringTo, writeDown, type Row, type Step } from './journal';

/** What a table's rows are called in messages. */
export const singular: Record<RecordTable, string> = {
  cloths: 'cloth',
  machines: 'machine',
  feet: 'foot',
  needles: 'needle',
  threads: 'thread',
  projects: 'project',
  edges: 'edge',
  plans: 'plan',
  attempts: 'attempt',
  preferences: 'preferences',
};

/** The writes of one change; they are kept together, undone together. */
export class Change {
  readonly steps: Step[] = [];
  constructor(
    private readonly database: Database,
    private readonly transaction: Transaction,
  ) {}

  async find(table: RecordTable, id: string): Promise<Row | null> {
    const row = await this.database.models[table].findByPk(id, { transaction: this.transaction });
    return row ? (row.get({ plain: true }) as Row) : null;
  }

  async hasPhoto(id: string): Promise<boolean> {
    const { photos } = this.database.models;
    return (await photos.count({ where: { id }, transaction: this.transaction })) > 0;
  }

  async list(table: RecordTable, where: Record<string, string> = {}): Promise<Row[]> {
    const rows = await this.database.models[table].findAll({
      where,
      transaction: this.transaction,
      order: [
        ['createdAt', 'ASC'],
        ['id', 'ASC'],
      ],
    });
    return rows.map((row) => row.get({ plain: true }) as Row);
  }

  /** The greatest number in a column, 0 when there is none. */
  async greatest(
    table: RecordTable,
    column: string,
    where: Record<string, string>,
  ): Promise<number> {
    const { transaction } = this;
    const most = await this.database.models[table].max(column, { where, transaction });
    return Number(most ?? 0);
  }

  async create(
    table: RecordTable,
    draft: Record<string, unknown>,
    id: string = randomUUID(),
  ): Promise<Row> {
    const now = new Date().toISOString();
    const after: Row = { ...draft, id, version: 1, createdAt: now, updatedAt: now };
    await this.database.models[table].create(after, { transaction: this.transaction });
    this.steps.push({ table, id, before: null, after });
    return after;
  }

  /** Creates many records of a table at once; each brings its id, and its day where it has one. */
  async createMany(
    table: RecordTable,
    drafts: readonly (Record<string, unknown> & { readonly id: string })[],
  ): Promise<void> {
    const now = new Date().toISOString();
    const rows = drafts.map((draft): Row => ({
      createdAt: now,
      ...draft,
      version: 1,
      updatedAt: now,
    }));
    await this.database.models[table].bulkCreate(rows, { transaction: this.transaction });
    for (const after of rows) this.steps.push({ table, id: after.id, before: null, after });
  }

  /** Puts a record back that was taken out, under a version nobody holds. */
  async restore(table: RecordTable, before: Row): Promise<Row> {
    const after: Row = { ...before, version: before.version + 1 };
    await this.database.models[table].create(after, { transaction: this.transaction });
    this.steps.push({ table, id: after.id, before: null, after });
    return after;
  }

  /** Keeps photos under their hashes; one that is there already is left alone. */
  async keepPhotos(photos: readonly KeptPhoto[]): Promise<void> {
    await this.database.models.photos.bulkCreate(
      photos.map((photo) => ({ ...photo })),
      { ignoreDuplicates: true, transaction: this.transaction },
    );
  }

  /** @throws Refusal 404 without the record, 409 when `version` is not the stored one */
  async update(
    table: RecordTable,
    id: string,
    version: number,
    patch: Record<string, unknown>,
  ): Promise<Row> {
    const before = await this.current(table, id, version);
    const after: Row = {
      ...before,
      ...patch,
      id,
      version: version + 1,
      updatedAt: new Date().toISOString(),
    };
    await this.database.models[table].update(after, {
      where: { id },
      transaction: this.transaction,
    });
    this.steps.push({ table, id, before, after });
    return after;
  }

  /** @throws Refusal 404 without the record, 409 when `version` is not the stored one */
  async remove(table: RecordTable, id: string, version: number): Promise<void> {
    const before = await this.current(table, id, version);
    await this.database.models[table].destroy({ where: { id }, transaction: this.transaction });
    this.steps.push({ table, id, before, after: null });
  }

  /** @throws Refusal 404 without the record, 409 when `version` is not the stored one */
  async current(table: RecordTable, id: string, version: number): Promise<Row> {
    const row = await this.find(table, id);
    if (!row) throw notFound(singular[table], id);
    if (row.version !== version) {
      throw new Refusal(
        409,
        'stale',
        `This ${singular[table]} was changed elsewhere: you have version ${version}, it is now at ${row.version}. Nothing was overwritten; load it again.`,
        [{ path: 'version', message: `It is ${row.version}.` }],
      );
    }
    return row;
  }
}

/** Reads and writes records; every write is journalled and can be undone. */
export class Store {
  /** Writes go one after another: the file has one writer, and undo needs one order. */
  private last: Promise<unknown> = Promise.resolve();
  constructor(readonly database: Database) {}

  async find(table: RecordTable, id: string): Promise<Row> {
    const row = await this.database.models[table].findByPk(id);
    if (!row) throw notFound(singular[table], id);
    return row.get({ plain: true }) as Row;
  }

  async list(table: RecordTable, where: Record<string, string> = {}): Promise<Row[]> {
    const rows = await this.database.models[table].findAll({
      where,
      order: [
        ['createdAt', 'ASC'],
        ['id', 'ASC'],
      ],
    });
    return rows.map((row) => row.get({ plain: true }) as Row);
  }

  /**
   * Makes a change whole or not at all.
   *
   * @param label what undo will call it, or a function of the result
   * @returns what `work` returned, once it is on the disk
   */
  change<T>(
    label: string | ((result: T) => string),
    work: (change: Change) => Promise<T>,
  ): Promise<T> {
    return this.inTurn(async (transaction) => {
      const change = new Change(this.database, transaction);
      const result = await work(change);
      if (change.steps.length > 0) {
        const words = typeof label === 'string' ? label : label(result);
        await writeDown(this.database, words, change.steps, transaction);
      }
      return result;
    });
  }

  /** Reads through a change that writes nothing. */
  reading<T>(work: (change: Change) => Promise<T>): Promise<T> {
    return this.inTurn((transaction) => work(new Change(this.database, transaction)));
  }

  /** Keeps photos; not journalled, since a photo nobody points at harms nobody. */
  keepPhotos(photos: readonly KeptPhoto[]): Promise<void> {
    return this.inTurn((transaction) => new Change(this.database, transaction).keepPhotos(photos));
  }

  /** The labels of what undo and redo would do. */
  async history(): Promise<{ undo: string | null; redo: string | null }> {
    const { changes } = this.database.models;
    const [done, undone] = await Promise.all([
      changes.findOne({ where: { undone: false }, order: [['id', 'DESC']] }),
      changes.findOne({ where: { undone: true }, order: [['id', 'ASC']] }),
    ]);
    const label = (change: typeof done) => (change ? String(change.get('label')) : null);
    return { undo: label(done), redo: label(undone) };
  }

  undo(): Promise<string> {
    return this.travel('before');
  }

  redo(): Promise<string> {
    return this.travel('after');
  }

  private travel(side: 'before' | 'after'): Promise<string> {
    return this.inTurn(async (transaction) => {
      const undoing = side === 'before';
      const change = await this.database.models.changes.findOne({
        where: { undone: !undoing },
        order: [['id', undoing ? 'DESC' : 'ASC']],
        transaction,
      });
      if (!change) {
        const word = undoing ? 'undo' : 'redo';
        throw new Refusal(409, `nothing-to-${word}`, `There is nothing to ${word}.`);
      }
      await bringTo(this.database, side, change.get('steps') as Step[], transaction);
      await change.update({ undone: undoing }, { transaction });
      return String(change.get('label'));
    });
  }

  private inTurn<T>(work: (transaction: Transaction) => Promise<T>): Promise<T> {
    const run = this.last.then(() =>
      this.database.sequelize.transaction({ type: Transaction.TYPES.IMMEDIATE }, work),
    );
    this.last = run.catch(() => undefined);
    return run;
  }

  /** Waits until every write that was begun has ended. */
  async settle(): Promise<void> {
    await this.last;
  }
}
