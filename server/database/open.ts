import { existsSync, mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Sequelize } from 'sequelize';
import { Connection } from './connection';
import { durable } from './durable-sqlite';
import { closedMark, headerOf, openMark } from './file-header';
import { lockFolder, type FolderLock } from './folder-lock';
import { mappedFile } from './mapped';
import { migrate, migrations, refuseNewer, seenBy } from './migrate';
import { defineModels, type Models } from './models';
import { Reading } from './reading';
import { FolderTrouble, troubleIn, troubleOf } from './trouble';
import { takeSnapshot } from './snapshots';

/** What the file in a data folder is called. */
export const databaseName = 'pin-margin.sqlite';

export interface Database {
  readonly folder: string;
  readonly file: string;
  readonly sequelize: Sequelize;
  readonly models: Models;
  /** For what only SQLite itself can do. */
  readonly connection: Connection;
  /** For reading what is stored, which waits behind no write. */
  readonly reading: Reading;
  /** For looking whether all is well, which must not wait behind anything else. */
  readonly watch: Connection;
  /** Which file was opened; another one under its name is another database. */
  readonly inode: bigint;
  close(): Promise<void>;
}

export interface OpeningWishes {
  /** Opens a file that was copied without its log, with what is in it. */
  readonly evenWithoutWal?: boolean;
}

/**
 * Opens the database file of a data folder, creating both when they are not there, and brings its
 * tables up to date; what was there before is kept as a snapshot.
 *
 * @throws FolderTrouble that says which file, what is wrong and what to do
 */
export async function openDatabase(
  dataFolder: string,
  { evenWithoutWal = false }: OpeningWishes = {},
): Promise<Database> {
  const file = join(dataFolder, databaseName);
  let lock: FolderLock | null = null;
  try {
    mkdirSync(dataFolder, { recursive: true });
    lock = await lockFolder(dataFolder);
    const connection = await soundConnection(dataFolder, file, evenWithoutWal);
    return await openedBeside(dataFolder, file, connection, lock);
  } catch (error) {
    await lock?.release();
    throw troubleIn(error, existsSync(file) ? file : dataFolder) ?? error;
  }
}

async function openedBeside(
  folder: string,
  file: string,
  connection: Connection,
  lock: FolderLock,
): Promise<Database> {
  const sequelize = mappedFile(file);
  await sequelize.query('SELECT 1');
  const watch = await Connection.open(file, 'read');
  const readingConnection = await Connection.open(file, 'read');
  const models = defineModels(sequelize);
  return {
    ...{ folder, file, sequelize, connection, watch, models },
    reading: new Reading(readingConnection, models),
    inode: statSync(file, { bigint: true }).ino,
    async close() {
      await sequelize.close();
      await watch.close();
      await readingConnection.close();
      await closeInOrder(connection).catch(() => undefined);
      await connection.close();
      await lock.release();
    },
  };
}

/** Leaves the file whole by itself, so that a copy of it alone is a copy of everything. */
async function closeInOrder(connection: Connection): Promise<void> {
  await connection.run(`PRAGMA application_id = ${closedMark}`);
  await connection.run('PRAGMA wal_checkpoint(TRUNCATE)');
}

/**
 * A connection to a file that was looked at before anything was written to it. A file that is not
 * there yet is made under another name and gets its own when it is whole.
 */
async function soundConnection(folder: string, file: string, even: boolean): Promise<Connection> {
  if (existsSync(file)) await refuseUnsound(file, even);
  else await makeEmpty(file);
  const connection = await Connection.open(file, 'write');
  try {
    await connection.exec(durable);
    const seen = await seenBy(connection);
    if (seen.length > 0) await refuseDamaged(connection, file);
    await connection.run('PRAGMA journal_mode = WAL');
    if (seen.length > 0 && migrations.some(({ name }) => !seen.includes(name))) {
      await takeSnapshot(connection, folder, 'before-update');
    }
    await migrate(connection);
    // From here on the file is not whole without what stands beside it, and says so.
    await connection.run(`PRAGMA application_id = ${openMark}`);
    await connection.run('PRAGMA wal_checkpoint(PASSIVE)');
    return connection;
  } catch (error) {
    await connection.close();
    throw error;
  }
}

/** Makes a database with all its tables and nothing in them. */
export async function makeEmpty(file: string): Promise<void> {
  // What belonged to a file that is gone must not be taken for a part of the new one.
  for (const left of ['-wal', '-shm', '-journal']) rmSync(`${file}${left}`, { force: true });
  const part = `${file}.part`;
  for (const left of ['', '-journal']) rmSync(`${part}${left}`, { force: true });
  const connection = await Connection.open(part, 'create');
  try {
    await connection.exec(durable);
    await migrate(connection);
  } finally {
    await connection.close();
  }
  renameSync(part, file);
}

/** Looks at a file without writing a byte to it. @throws FolderTrouble */
async function refuseUnsound(file: string, evenWithoutWal: boolean): Promise<void> {
  const header = headerOf(file);
  // A file of no bytes was made and never written; whatever opens it begins it.
  if (header === null) return;
  if (!header.isDatabase) throw troubleOf('corrupt', file);
  const alone = !existsSync(`${file}-wal`);
  if (alone && header.applicationId === openMark && !evenWithoutWal) throw withoutWal(file);
  // With no log beside it nothing changes under the reader, who then needs no files of its own.
  const address = alone ? `${pathToFileURL(file).href}?immutable=1` : file;
  const connection = await Connection.open(address, 'read');
  try {
    refuseNewer(await seenBy(connection), header.schema, file);
    const [{ many } = { many: 0 }] = await connection.rows<{ many: number }>(
      'SELECT count(*) AS many FROM sqlite_master',
    );
    // Older apps kept all of a first day in the log; their file alone holds no table.
    if (alone && many === 0 && !evenWithoutWal) throw withoutWal(file);
  } finally {
    await connection.close();
  }
}

function withoutWal(file: string): FolderTrouble {
  return new FolderTrouble(
    'without-wal',
    file,
    `“${file}” was copied while the app was running, without the “${databaseName}-wal” that belongs to it, so what was kept last is missing. Copy both files, or go back to one of the snapshots; with PIN_MARGIN_WITHOUT_WAL=1 it is opened as it is.`,
  );
}

/** @throws FolderTrouble when pages of the file can't be read */
export async function refuseDamaged(connection: Connection, file: string): Promise<void> {
  const found = await connection.rows<{ quick_check: string }>('PRAGMA quick_check(1)');
  if (found[0]?.quick_check !== 'ok') throw troubleOf('corrupt', file);
}
