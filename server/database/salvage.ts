import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { archivedTables } from '../archive/layout';
import { Connection, type RawRow } from './connection';
import { closedMark } from './file-header';
import { lockFolder } from './folder-lock';
import { migrate, migrations, seenBy } from './migrate';
import { databaseName } from './open';

/** What could be copied of each table, and how many rows could not be read. */
export interface Salvaged {
  readonly file: string;
  readonly tables: readonly {
    readonly table: string;
    readonly kept: number;
    readonly lost: number;
  }[];
}

/** Rows asked for at once; where one of them can't be read, they are asked for one by one. */
const rowsAtOnce = 50;
/** So many rows in a row that can't be read are the end of a table. */
const patience = 5_000;

/** Reads what can be read of a table, by its row numbers. */
async function readRows(
  from: Connection,
  table: string,
  keep: (row: RawRow) => Promise<void>,
): Promise<{ kept: number; lost: number }> {
  let kept = 0;
  let lost = 0;
  let at = 0;
  let misses = 0;
  while (misses < patience) {
    try {
      const rows = await from.rows(
        `SELECT rowid AS "row number", * FROM "${table}" WHERE rowid > ${at} ORDER BY rowid LIMIT ${rowsAtOnce}`,
      );
      if (rows.length === 0) break;
      for (const { 'row number': number, ...row } of rows) {
        await keep(row);
        at = Number(number);
        kept++;
      }
      misses = 0;
    } catch {
      try {
        const [row] = await from.rows(`SELECT * FROM "${table}" WHERE rowid = ${at + 1}`);
        if (row) {
          await keep(row);
          kept++;
          misses = 0;
        }
      } catch {
        lost++;
        misses++;
      }
      at++;
    }
  }
  return { kept, lost: Math.max(0, lost - misses) };
}

/**
 * Copies what can still be read of a damaged database into a new file beside it, which is whole;
 * the damaged one stays as it is.
 *
 * @throws FolderTrouble while the app runs, Error when not even its tables can be told
 */
export async function salvage(folder: string, now = new Date()): Promise<Salvaged> {
  const damaged = join(folder, databaseName);
  if (!existsSync(damaged)) throw new Error(`There is no “${damaged}” to salvage.`);
  const lock = await lockFolder(folder);
  const file = join(folder, `salvaged-${now.toISOString().replace(/[:.]/g, '-')}.sqlite`);
  const from = await Connection.open(damaged, 'read');
  const into = await Connection.open(file, 'create');
  try {
    const seen = await seenBy(from).catch(() => []);
    await migrate(into, seen.at(-1) ?? migrations.at(-1)!.name);
    await into.run('PRAGMA foreign_keys = OFF');
    const tables: Salvaged['tables'][number][] = [];
    await into.whole(async () => {
      for (const table of [...archivedTables, 'photos']) {
        const known = await into.rows<{ name: string }>('SELECT name FROM pragma_table_info(?)', [
          table,
        ]);
        if (known.length === 0) continue;
        const keep = async (row: RawRow) => {
          const names = known.map(({ name }) => name).filter((name) => name in row);
          const marks = names.map(() => '?').join(', ');
          await into.run(
            `INSERT OR IGNORE INTO "${table}" (${names.map((name) => `"${name}"`).join(', ')}) VALUES (${marks})`,
            names.map((name) => row[name] ?? null),
          );
        };
        tables.push({ table, ...(await readRows(from, table, keep)) });
      }
    });
    await letGoOfLoose(into);
    await migrate(into);
    await into.run(`PRAGMA application_id = ${closedMark}`);
    return { file, tables };
  } finally {
    await into.close();
    await from.close();
    await lock.release();
  }
}

/** A record whose parent is lost can't be reached; it goes, until none is left. */
async function letGoOfLoose(connection: Connection): Promise<void> {
  for (;;) {
    const loose = await connection.rows<{ table: string; rowid: number }>(
      'PRAGMA foreign_key_check',
    );
    if (loose.length === 0) return;
    for (const { table, rowid } of loose) {
      // A scrap stands by itself when its plan is lost.
      await connection.run(
        table === 'attempts'
          ? `UPDATE attempts SET planId = NULL WHERE rowid = ${rowid}`
          : `DELETE FROM "${table}" WHERE rowid = ${rowid}`,
      );
    }
  }
}
