import { rmSync } from 'node:fs';
import type { Readable } from 'node:stream';
import type { ArchiveAbout } from '../../contract/archive';
import { issuesOf } from '../../contract/error';
import { photoFields } from '../../contract/photo';
import { bookEntry } from '../../contract/records';
import { Impossible } from '../../core/impossible';
import { Connection, type Value } from '../database/connection';
import { mappedFile } from '../database/mapped';
import { closedMark } from '../database/file-header';
import { migrate } from '../database/migrate';
import { defineModels, recordTables, singular, type RecordTable } from '../database/models';
import type { Pictures } from '../photos/pictures';
import { draftOfRow, type Row } from '../store/journal';
import { refuseImplausible, resources } from '../store/resources';
import { columnsOf, type ArchivedTable, type StoredColumn } from './layout';
import { readArchive, refuseArchive, type ArchiveSink } from './read-archive';

/** A database that was made from an archive, in a file of its own. */
export interface Built {
  readonly about: ArchiveAbout;
  readonly counts: Readonly<Record<string, number>>;
}

/** Rows that are looked at at once. */
const rowsAtOnce = 200;

function storedValue(value: unknown, { name, isJson }: StoredColumn, place: string): Value {
  if (value === null || value === undefined) return null;
  if (isJson) return JSON.stringify(value);
  if (typeof value === 'string' || typeof value === 'number') return value;
  return refuseArchive(`“${name}” of ${place} is neither a text nor a number.`);
}

/** Writes the rows of an archive as they come, into tables as they were when it was written. */
class Builder implements ArchiveSink {
  made: ArchiveAbout | null = null;
  /** Photos that are kept under another id than they came with. */
  readonly renamed = new Map<string, string>();
  private readonly columns = new Map<ArchivedTable, readonly StoredColumn[]>();
  constructor(
    private readonly connection: Connection,
    private readonly pictures: Pictures,
    private readonly client: string,
  ) {}

  async about(about: ArchiveAbout): Promise<void> {
    this.made = about;
    await migrate(this.connection, about.schema);
    await this.connection.run('PRAGMA foreign_keys = OFF');
    await this.connection.run('BEGIN');
  }

  async row(table: ArchivedTable, row: Record<string, unknown>, place: string): Promise<void> {
    const columns = this.columns.get(table) ?? (await columnsOf(this.connection, table));
    this.columns.set(table, columns);
    const unknown = Object.keys(row).find((name) => !columns.some((one) => one.name === name));
    if (unknown !== undefined) {
      refuseArchive(`${place}: there is no “${unknown.slice(0, 60)}” in ${table}.`);
    }
    const known = columns.filter(({ name }) => Object.hasOwn(row, name));
    const names = known.map(({ name }) => `"${name}"`).join(', ');
    const marks = known.map(() => '?').join(', ');
    try {
      await this.connection.kept(
        `INSERT INTO "${table}" (${names}) VALUES (${marks})`,
        known.map((column) => storedValue(row[column.name], column, place)),
      );
    } catch (error) {
      if ((error as { code?: string }).code !== 'SQLITE_CONSTRAINT') throw error;
      refuseArchive(`${place} can’t be kept: it is there twice, or something of it is missing.`);
    }
  }

  async photo(id: string, bytes: Buffer): Promise<void> {
    const place = `photos/${id}`;
    const photo = await this.pictures.run('sent', bytes, place, this.client);
    if (photo.sentId !== id) refuseArchive(`${place} is another picture than its name says.`);
    if (photo.id !== id) this.renamed.set(id, photo.id);
    await this.connection.run(
      'INSERT OR IGNORE INTO photos (id, bytes, widthPx, heightPx) VALUES (?, ?, ?, ?)',
      [photo.id, photo.bytes, photo.widthPx, photo.heightPx],
    );
  }
}

/** @throws Refusal at the first record that could not have been stored by the app itself */
async function refuseUnsound(file: string): Promise<void> {
  const sequelize = mappedFile(file);
  try {
    const models = defineModels(sequelize);
    for (const table of recordTables) {
      for (let offset = 0; ; offset += rowsAtOnce) {
        const rows = await models[table].findAll({ order: ['id'], limit: rowsAtOnce, offset });
        rows.forEach((row) => refuseRow(table, row.get({ plain: true }) as Row));
        if (rows.length < rowsAtOnce) break;
      }
    }
  } finally {
    await sequelize.close();
  }
}

function refuseRow(table: RecordTable, row: Row): void {
  const schema = table === 'attempts' ? bookEntry : resources[table].draft;
  const name = `The ${singular[table]} “${row.id.slice(0, 64)}”`;
  const parsed = schema.safeParse(draftOfRow(row));
  if (!parsed.success) {
    const [first] = issuesOf(parsed.error);
    return refuseArchive(`${name} in the archive is not sound. ${first?.path}: ${first?.message}`);
  }
  if (table !== 'cloths') return;
  try {
    refuseImplausible(parsed.data as never);
  } catch (error) {
    if (!(error instanceof Impossible)) throw error;
    refuseArchive(`${name} in the archive is not sound. ${error.message}`);
  }
}

/** Points at photos under the ids they are kept by here. */
async function followRenamed(connection: Connection, renamed: ReadonlyMap<string, string>) {
  for (const table of ['cloths', 'attempts']) {
    // An older archive's tables have not all of them.
    const known = (await columnsOf(connection, table)).map(({ name }) => name);
    for (const field of photoFields.filter((one) => known.includes(one))) {
      for (const [from, to] of renamed) {
        const sql = `UPDATE "${table}" SET "${field}" = ? WHERE "${field}" = ?`;
        await connection.run(sql, [to, from]);
      }
    }
  }
}

/**
 * Makes a database from an archive: read entry by entry into a file beside, brought up to date,
 * and looked through record by record. Until all of that is done nothing else is touched.
 *
 * @throws Refusal 400 that names what is wrong with the archive
 */
export async function buildFromArchive(
  input: Readable,
  file: string,
  pictures: Pictures,
  client: string,
): Promise<Built> {
  rmSync(file, { force: true });
  const connection = await Connection.open(file, 'create');
  try {
    await connection.exec('PRAGMA journal_mode = MEMORY; PRAGMA synchronous = OFF;');
    const builder = new Builder(connection, pictures, client);
    const counts = await readArchive(input, builder);
    await followRenamed(connection, builder.renamed);
    await connection.run('COMMIT');
    const [loose] = await connection.rows('PRAGMA foreign_key_check');
    if (loose)
      refuseArchive(`A record of “${String(loose['table'])}” points at one that is missing.`);
    await migrate(connection);
    await connection.run(`PRAGMA application_id = ${closedMark}`);
    await connection.close();
    await refuseUnsound(file);
    return { about: builder.made!, counts };
  } catch (error) {
    await connection.close().catch(() => undefined);
    throw error;
  }
}
