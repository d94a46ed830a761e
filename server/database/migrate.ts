import type { Connection } from './connection';
import type { Migration } from './migration';
import { firstTables } from './migrations/0001-first-tables';
import { catalogueColumns } from './migrations/0002-catalogue';
import { crossingsColumn } from './migrations/0003-crossings';
import { shelfAndDrawer } from './migrations/0004-shelf-and-drawer';
import { sampleBook } from './migrations/0005-sample-book';
import { whatAnEdgeIsFor } from './migrations/0006-what-an-edge-is-for';
import { trueSettings } from './migrations/0007-true-settings';
import { theFloor } from './migrations/0008-the-floor';
import { bookInOrder } from './migrations/0009-book-in-order';
import { measuredEdges } from './migrations/0010-measured-edges';
import { levellingPlates } from './migrations/0011-levelling-plates';
import { bindings } from './migrations/0012-bindings';
import { garments } from './migrations/0013-garments';
import { bothFaces } from './migrations/0014-both-faces';
import { Tables } from './tables';
import { FolderTrouble } from './trouble';

// Listed here rather than found in a folder, so that a bundle holds them all.
export const migrations: readonly Migration[] = [
  firstTables,
  catalogueColumns,
  crossingsColumn,
  shelfAndDrawer,
  sampleBook,
  whatAnEdgeIsFor,
  trueSettings,
  theFloor,
  bookInOrder,
  measuredEdges,
  levellingPlates,
  bindings,
  garments,
  bothFaces,
];

/** The number of the tables as this app knows them; it stands in the head of the file too. */
export const schemaNumber = migrations.length;
export const schemaName = migrations[migrations.length - 1]!.name;

/** Which migrations a database has seen, in order; none for an empty one. */
export async function seenBy(connection: Connection): Promise<string[]> {
  const [table] = await connection.rows(
    `SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'SequelizeMeta'`,
  );
  if (!table) return [];
  const rows = await connection.rows<{ name: string }>(
    'SELECT name FROM SequelizeMeta ORDER BY name',
  );
  return rows.map(({ name }) => name);
}

/** @throws FolderTrouble that names what a newer app wrote */
export function refuseNewer(seen: readonly string[], number: number, file: string): void {
  const unknown = seen.filter((name) => !migrations.some((known) => known.name === name)).at(-1);
  if (unknown === undefined && number <= schemaNumber) return;
  const theirs = unknown === undefined ? `version ${number}` : `version “${unknown}”`;
  throw new FolderTrouble(
    'newer',
    file,
    `“${file}” was written by a newer Pin Margin (${theirs}; this one knows up to “${schemaName}”). Nothing in it was changed. Start the newer app, or name another folder with PIN_MARGIN_DATA.`,
  );
}

/**
 * Runs the migrations that a database has not seen, each whole or not at all with its own row.
 *
 * @param until the last one to run, by its name
 */
export async function migrate(connection: Connection, until = schemaName): Promise<void> {
  await connection.run(
    'CREATE TABLE IF NOT EXISTS SequelizeMeta (name VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)',
  );
  const seen = await seenBy(connection);
  const last = migrations.findIndex(({ name }) => name === until);
  const tables = new Tables(connection);
  // A table that is built anew is dropped while others point at it; only outside a transaction
  // can SQLite be told to bear that.
  await connection.run('PRAGMA foreign_keys = OFF');
  for (const [i, { name, up }] of migrations.slice(0, last + 1).entries()) {
    if (seen.includes(name)) continue;
    await connection.whole(async () => {
      await up(tables);
      await connection.run('INSERT INTO SequelizeMeta (name) VALUES (?)', [name]);
      await connection.run(`PRAGMA user_version = ${i + 1}`);
    });
  }
  const [{ user_version: number } = { user_version: 0 }] = await connection.rows<{
    user_version: number;
  }>('PRAGMA user_version');
  if (number < last + 1) await connection.run(`PRAGMA user_version = ${last + 1}`);
  await connection.run('PRAGMA foreign_keys = ON');
}
