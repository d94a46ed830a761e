import { copyFileSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Connection } from './connection';
import { migrations } from './migrate';

const folder = join(__dirname, 'versions');

/** A new folder of a test's own. */
export const emptyFolder = () => mkdtempSync(join(tmpdir(), 'pin-margin-'));

const made = new Map<number, Promise<string>>();

async function makeOnce(version: number): Promise<string> {
  const file = join(emptyFolder(), `v${version}`);
  const connection = await Connection.open(file, 'create');
  await connection.exec(readFileSync(join(folder, `v${version}.sql`), 'utf8'));
  await connection.close();
  return file;
}

/** Makes a database as the app of a version left it, with a little of everything in it. */
export async function makeVersion(file: string, version: number): Promise<void> {
  const first = made.get(version) ?? makeOnce(version);
  made.set(version, first);
  copyFileSync(await first, file);
}

/** A connection that waits for no disk: what is tried is order, not the disk. */
export async function quickConnection(file: string): Promise<Connection> {
  const connection = await Connection.open(file, 'create');
  await connection.run('PRAGMA synchronous = OFF');
  return connection;
}

/**
 * What apps that were not yet whole or nothing ran, by migration; what lay in one transaction is
 * one statement here.
 */
export function earlierStatements(): Readonly<Record<string, readonly string[]>> {
  const text = readFileSync(join(folder, 'earlier-statements.sql'), 'utf8');
  const parts = text.split(/^-- (\d{4}-[a-z-]+)$/m).slice(1);
  return Object.fromEntries(
    migrations.flatMap(({ name }) => {
      const at = parts.indexOf(name);
      if (at < 0) return [];
      const whole = parts[at + 1]!.trim().split(/(BEGIN;[^]*?COMMIT;)/);
      return [
        [
          name,
          whole
            .flatMap((part) =>
              part.startsWith('BEGIN') ? [part] : part.split(/;\n|;$/).map((one) => one.trim()),
            )
            .filter(Boolean),
        ],
      ];
    }),
  );
}

/** Everything in a database, table by table; the index of words is made from the rest. */
export async function contentsOf(connection: Connection): Promise<Record<string, unknown[]>> {
  const tables = await connection.rows<{ name: string }>(
    `SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'
     AND name NOT LIKE 'attempts_words%' ORDER BY name`,
  );
  const contents: Record<string, unknown[]> = {};
  for (const { name } of tables) {
    const rows = await connection.rows(`SELECT * FROM "${name}" ORDER BY 1`);
    contents[name] = rows.map((row) =>
      Object.fromEntries(Object.entries(row).sort(([a], [b]) => (a < b ? -1 : 1))),
    );
  }
  return contents;
}
