import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { migrate, migrations, schemaNumber } from './migrate';
import {
  contentsOf,
  earlierStatements,
  emptyFolder,
  makeVersion,
  quickConnection,
} from './versions.fixture';

const folder = emptyFolder();
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Brings a database up to date and says what is in it then. */
async function upToDate(file: string): Promise<Record<string, unknown[]>> {
  const connection = await quickConnection(file);
  await migrate(connection);
  const contents = await contentsOf(connection);
  await connection.close();
  return contents;
}

/** What a kill leaves of a database: the file, and what is written beside it. */
const leavings = ['', '-wal', '-journal'];

/** The bytes that lie on the disk, as one short text. */
function onDisk(file: string): string {
  const bytes = createHash('sha256');
  for (const part of leavings) {
    bytes.update(`${part}:`);
    if (existsSync(file + part)) bytes.update(readFileSync(file + part));
  }
  return bytes.digest('hex');
}

/**
 * Updates a database and copies it, whenever a statement is about to begin, as it lies on the disk:
 * what a kill at that moment leaves behind. Until a transaction ends that is mostly the same; each
 * such state is copied once.
 */
async function leftByKills(file: string): Promise<{ copies: string[]; statements: number }> {
  const connection = await quickConnection(file);
  await connection.run('PRAGMA journal_mode = WAL');
  const run = connection.run.bind(connection);
  const copies = new Map<string, string>();
  let statements = 0;
  connection.run = (sql, values) => {
    statements++;
    const state = onDisk(file);
    if (!copies.has(state)) {
      const copy = `${file}-left-${copies.size}`;
      for (const part of leavings) {
        if (existsSync(file + part)) copyFileSync(file + part, copy + part);
      }
      copies.set(state, copy);
    }
    return run(sql, values);
  };
  await migrate(connection);
  await connection.close();
  return { copies: [...copies.values()], statements };
}

const versions = migrations.map((_, i) => i).filter((version) => version < schemaNumber);

describe.each(versions)('an update from version %i', (version) => {
  test('killed at any statement goes on at the next start, with the same data', async () => {
    const whole = join(folder, `whole-${version}`);
    if (version > 0) await makeVersion(whole, version);
    const expected = await upToDate(whole);
    const file = join(folder, `from-${version}`);
    if (version > 0) await makeVersion(file, version);
    const { copies, statements } = await leftByKills(file);
    for (const copy of copies) expect(await upToDate(copy)).toEqual(expected);
    expect(statements).toBeGreaterThan(5);
    // Before the first migration, and after each one that was done.
    expect(copies.length).toBeGreaterThan(schemaNumber - version);
  });
});

describe('a folder that an older app was killed over', () => {
  const earlier = Object.entries(earlierStatements());

  test('is told of every migration there was then', () => {
    expect(earlier.map(([name]) => name)).toEqual(
      migrations.slice(0, earlier.length).map(({ name }) => name),
    );
    for (const [, statements] of earlier) expect(statements.length).toBeGreaterThan(0);
  });

  test.each(earlier)('half way through %s is repaired', async (name, statements) => {
    const version = migrations.findIndex((it) => it.name === name);
    const whole = join(folder, `repaired-${version}`);
    if (version > 0) await makeVersion(whole, version);
    const expected = await upToDate(whole);
    for (let done = 1; done <= statements.length; done++) {
      const file = join(folder, `half-${version}-${done}`);
      if (version > 0) await makeVersion(file, version);
      const connection = await quickConnection(file);
      for (const statement of statements.slice(0, done)) await connection.exec(statement);
      await connection.close();
      expect(await upToDate(file)).toEqual(expected);
    }
  });
});

test('text that was written down as JSON within JSON is JSON again', async () => {
  const file = join(folder, 'mended');
  await makeVersion(file, 7);
  const { plans, preferences, edges } = await upToDate(file);
  for (const row of plans as Record<string, string>[]) {
    expect([row['schools'], row['ticks']]).toEqual(['{}', '[]']);
  }
  expect(preferences).toMatchObject([{ schools: '{}' }]);
  for (const row of edges as Record<string, string>[]) expect(row['crossings']).toBe('[]');
});
