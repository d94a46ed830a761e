import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { literal, type Transaction } from 'sequelize';
import { singular, type RecordTable } from '../database/models';
import type { Database } from '../database/open';
import { plainRow, type Kept, type RowOf, type StoredPhoto } from '../database/rows';
import { Refusal, notFound } from '../http/refusal';
import type { Compute } from '../work/compute';
import { allSteps, type Row, type Step } from './journal';

/** Between two lots of rows others get their turn. */
export const rowsAtOnce = 200;
/** SQLite takes so many values in one question without being asked. */
const idsAtOnce = 500;

/** Columns of a table that are to hold these values. */
export type Where<T extends RecordTable> = Partial<Record<keyof Kept[T], string | number>>;

/** A record that was asked to be made, and whether it was there already. */
export interface Created<T extends RecordTable> {
  readonly row: RowOf<T>;
  readonly existed: boolean;
}

/** Whether a record has every field of a patch as it would set it; null is a field without a value. */
const standsAlready = (row: Row, patch: object) =>
  Object.entries(patch).every(([field, value]) =>
    isDeepStrictEqual(row[field] ?? null, (value as unknown) ?? null),
  );

/** The writes of one change; they are kept together, undone together. */
export class Change {
  readonly steps: Step[] = [];
  constructor(
    private readonly database: Database,
    private readonly transaction: Transaction,
    readonly sums: Compute,
  ) {}

  async find<T extends RecordTable>(table: T, id: string): Promise<RowOf<T> | null> {
    const row = await this.database.models[table].findByPk(id, { transaction: this.transaction });
    return row && plainRow(table, row);
  }

  /** What a change of the journal wrote. */
  stepsOf(changeId: number): Promise<Step[]> {
    return allSteps(this.database, changeId, this.transaction);
  }

  async hasPhoto(id: string): Promise<boolean> {
    const { photos } = this.database.models;
    return (await photos.count({ where: { id }, transaction: this.transaction })) > 0;
  }

  async list<T extends RecordTable>(table: T, where: Where<T> = {}): Promise<RowOf<T>[]> {
    const rows = await this.database.models[table].findAll({
      where,
      transaction: this.transaction,
      order: [
        ['createdAt', 'ASC'],
        ['id', 'ASC'],
      ],
    });
    return rows.map((row) => plainRow(table, row));
  }

  /** Scrap numbers that a plan has more than once. */
  async numberedTwice(planIds: readonly string[]): Promise<{ planId: string; number: number }[]> {
    const found: { planId: string; number: number }[] = [];
    for (let at = 0; at < planIds.length; at += idsAtOnce) {
      const rows = await this.database.models.attempts.findAll({
        where: { planId: planIds.slice(at, at + idsAtOnce) },
        attributes: ['planId', 'number'],
        group: ['planId', 'number'],
        having: literal('count(*) > 1'),
        transaction: this.transaction,
      });
      found.push(
        ...rows.map((row) => ({
          planId: String(row.get('planId')),
          number: Number(row.get('number')),
        })),
      );
    }
    return found;
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

  async create<T extends RecordTable>(
    table: T,
    draft: Kept[T],
    id: string = randomUUID(),
  ): Promise<RowOf<T>> {
    const now = new Date().toISOString();
    const after: RowOf<T> = { ...draft, id, version: 1, createdAt: now, updatedAt: now };
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
    for (let at = 0; at < rows.length; at += rowsAtOnce) {
      const some = rows.slice(at, at + rowsAtOnce);
      await this.database.models[table].bulkCreate(some, { transaction: this.transaction });
    }
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
  async keepPhotos(photos: readonly StoredPhoto[]): Promise<void> {
    await this.database.models.photos.bulkCreate(
      photos.map(({ id, bytes, widthPx, heightPx }) => ({ id, bytes, widthPx, heightPx })),
      { ignoreDuplicates: true, transaction: this.transaction },
    );
  }

  /**
   * Sets fields of a record. What stands there already is no change: nothing is written then, so that a
   * request that arrives twice is taken back by one undo.
   *
   * @throws Refusal 404 without the record, 409 when `version` is not the stored one
   */
  async update<T extends RecordTable>(
    table: T,
    id: string,
    version: number,
    patch: Partial<Kept[T]>,
  ): Promise<RowOf<T>> {
    const before = await this.current(table, id, version);
    if (standsAlready(before, patch)) return before;
    const after: RowOf<T> = {
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
  async current<T extends RecordTable>(table: T, id: string, version: number): Promise<RowOf<T>> {
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
