import { Transaction } from 'sequelize';
import { singular, type RecordTable } from '../database/models';
import { Health } from '../database/health';
import type { Database } from '../database/open';
import type { RowOf, StoredPhoto } from '../database/rows';
import { nobody, type Author } from '../http/author';
import { Refusal, notFound } from '../http/refusal';
import type { Compute } from '../work/compute';
import { keepSound } from './invariants';
import { Change, rowsAtOnce } from './change';
import { bringTo, joined, writeDown, type Step } from './journal';

/** What a change touched, told once it is on the disk. */
export interface Told {
  readonly by: Author;
  /** The records; null when everything may be different. */
  readonly records: readonly (readonly [table: RecordTable, id: string])[] | null;
}

/** Reads and writes records; every write is journalled and can be undone by whoever made it. */
export class Store {
  readonly health: Health;
  /** Writes go one after another: the file has one writer, and undo needs one order. */
  private last: Promise<unknown> = Promise.resolve();
  private readonly listeners = new Set<(told: Told) => void>();
  constructor(
    readonly database: Database,
    readonly sums: Compute,
  ) {
    this.health = new Health(database);
  }

  async find<T extends RecordTable>(table: T, id: string): Promise<RowOf<T>> {
    const row = await this.database.reading.find(table, id);
    if (!row) throw notFound(singular[table], id);
    return row;
  }

  list<T extends RecordTable>(
    table: T,
    where: Record<string, string> = {},
    page = { limit: -1, offset: 0 },
  ): Promise<RowOf<T>[]> {
    return this.database.reading.list(table, where, page);
  }

  /** The records of a table that come after an id, in the order of their ids; so many at once. */
  after<T extends RecordTable>(table: T, id: string): Promise<RowOf<T>[]> {
    return this.database.reading.after(table, id, rowsAtOnce);
  }

  /** The bytes of a photo; null when there is none. */
  async photo(id: string): Promise<Buffer | null> {
    const [row] = await this.database.reading.rows<{ bytes: Buffer }>(
      'SELECT bytes FROM photos WHERE id = ?',
      [id],
    );
    return row?.bytes ?? null;
  }

  /** How many records of a table there are. */
  count(
    table: RecordTable,
    where: Readonly<Record<string, string | readonly string[]>> = {},
  ): Promise<number> {
    return this.database.reading.count(table, where);
  }

  /** Calls back after every change that reached the disk. @returns what ends it */
  listen(listener: (told: Told) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /**
   * Makes a change whole or not at all.
   *
   * @param label what undo will call it, or a function of the result
   * @param by the person who makes it
   * @returns what `work` returned, once it is on the disk
   */
  async change<T>(
    label: string | ((result: T) => string),
    work: (change: Change) => Promise<T>,
    by: Author = nobody,
  ): Promise<T> {
    let steps: readonly Step[] = [];
    const result = await this.inTurn(async (transaction) => {
      const change = new Change(this.database, transaction, this.sums);
      const made = await work(change);
      await keepSound(change);
      if (change.steps.length > 0) {
        const words = typeof label === 'string' ? label : label(made);
        steps = joined(change.steps);
        await writeDown(this.database, words, by.person, steps, transaction);
      }
      return made;
    });
    this.tell(by, steps);
    return result;
  }

  /** Reads through a change that writes nothing. */
  reading<T>(work: (change: Change) => Promise<T>): Promise<T> {
    return this.inTurn((transaction) => work(new Change(this.database, transaction, this.sums)));
  }

  /** Keeps photos; not journalled, since a photo nobody points at harms nobody. */
  keepPhotos(photos: readonly StoredPhoto[]): Promise<void> {
    return this.inTurn((transaction) =>
      new Change(this.database, transaction, this.sums).keepPhotos(photos),
    );
  }

  /** The labels of what undo and redo would do for a person. */
  async history(by = ''): Promise<{ undo: string | null; redo: string | null }> {
    const label = async (undone: 0 | 1, order: 'DESC' | 'ASC') => {
      const [row] = await this.database.reading.rows<{ label: string }>(
        `SELECT label FROM changes WHERE "by" = ? AND undone = ${undone} ORDER BY id ${order} LIMIT 1`,
        [by],
      );
      return row?.label ?? null;
    };
    const [undo, redo] = await Promise.all([label(0, 'DESC'), label(1, 'ASC')]);
    return { undo, redo };
  }

  undo(by: Author = nobody): Promise<string> {
    return this.travel('before', by);
  }

  redo(by: Author = nobody): Promise<string> {
    return this.travel('after', by);
  }

  private async travel(side: 'before' | 'after', by: Author): Promise<string> {
    let steps: readonly Step[] = [];
    const label = await this.inTurn(async (transaction) => {
      const undoing = side === 'before';
      const change = await this.database.models.changes.findOne({
        where: { by: by.person, undone: !undoing },
        order: [['id', undoing ? 'DESC' : 'ASC']],
        transaction,
      });
      if (!change) {
        const word = undoing ? 'undo' : 'redo';
        throw new Refusal(409, `nothing-to-${word}`, `There is nothing to ${word}.`);
      }
      const back = new Change(this.database, transaction, this.sums);
      const id = Number(change.get('id'));
      back.steps.push(...(await bringTo(this.database, side, id, transaction)));
      await keepSound(back);
      steps = back.steps;
      await change.update({ undone: undoing }, { transaction });
      return String(change.get('label'));
    });
    this.tell(by, steps);
    return label;
  }

  /** Tells everybody that all may be different: the database was filled anew. */
  tellAll(): void {
    this.tell(nobody, null);
  }

  private tell(by: Author, steps: readonly Step[] | null): void {
    if (steps?.length === 0) return;
    const records = steps && steps.map(({ table, id }) => [table, id] as const);
    this.listeners.forEach((listener) => listener({ by, records }));
  }

  /** Does something alone, when every write before it has ended. */
  alone<T>(work: () => Promise<T>): Promise<T> {
    const run = this.last.then(work);
    this.last = run.catch(() => undefined);
    return run;
  }

  private inTurn<T>(work: (transaction: Transaction) => Promise<T>): Promise<T> {
    return this.alone(async () => {
      this.health.refuseWriting();
      try {
        const result = await this.database.sequelize.transaction(
          { type: Transaction.TYPES.IMMEDIATE },
          work,
        );
        this.health.wrote();
        return result;
      } catch (error) {
        throw this.health.failed(error) ?? error;
      }
    });
  }

  /** Waits until every write that was begun has ended. */
  async settle(): Promise<void> {
    await this.last;
  }
}
