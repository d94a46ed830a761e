import {
  copyFileSync,
  existsSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { openSync, closeSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { Connection } from './connection';
import { schemaNumber } from './migrate';
import { databaseName, openDatabase } from './open';
import { listSnapshots } from './snapshots';
import { emptyFolder, makeVersion } from './versions.fixture';

const folders: string[] = [];
const folderOf = () => {
  const folder = emptyFolder();
  folders.push(folder);
  return { folder, file: join(folder, databaseName) };
};
afterAll(() => folders.forEach((folder) => rmSync(folder, { recursive: true, force: true })));

const change = async (file: string, sql: string) => {
  const connection = await Connection.open(file, 'create');
  await connection.exec(sql);
  await connection.close();
};

describe('a newer database', () => {
  test.each([
    [
      'by the name of its migration',
      `INSERT INTO SequelizeMeta VALUES ('0042-later')`,
      '0042-later',
    ],
    ['by its number', `PRAGMA user_version = ${schemaNumber + 3}`, `version ${schemaNumber + 3}`],
  ])('is refused %s, and left as it is', async (_how, sql, named) => {
    const { folder, file } = folderOf();
    await (await openDatabase(folder)).close();
    await change(file, sql);
    const before = readFileSync(file);
    await expect(openDatabase(folder)).rejects.toMatchObject({
      kind: 'newer',
      message: expect.stringContaining(named),
    });
    expect(readFileSync(file).equals(before)).toBe(true);
    expect(existsSync(`${file}-wal`)).toBe(false);
    expect(listSnapshots(folder)).toEqual([]);
  });
});

describe('two servers on one folder', () => {
  test('the second is refused and told whose it is; when the first ends it may', async () => {
    const { folder } = folderOf();
    const first = await openDatabase(folder);
    await expect(openDatabase(folder)).rejects.toMatchObject({
      kind: 'in-use',
      message: expect.stringMatching(`process ${process.pid}, since \\d{4}-\\d\\d-\\d\\d`),
    });
    await first.close();
    await (await openDatabase(folder)).close();
  });

  test('a lock that a killed server left is seen through', async () => {
    const { folder } = folderOf();
    writeFileSync(join(folder, 'in-use'), '');
    writeFileSync(join(folder, 'in-use.json'), '{"process":1,"since":"2026-01-01T00:00:00.000Z"}');
    await (await openDatabase(folder)).close();
  });
});

describe('a copy', () => {
  test('of the file alone, made while the app ran, is noticed', async () => {
    const { folder, file } = folderOf();
    const running = await openDatabase(folder);
    const copy = folderOf();
    copyFileSync(file, copy.file);
    await expect(openDatabase(copy.folder)).rejects.toMatchObject({
      kind: 'without-wal',
      message: expect.stringContaining(`${databaseName}-wal`),
    });
    await running.close();
    const anyway = await openDatabase(copy.folder, { evenWithoutWal: true });
    await anyway.close();
  });

  test('of the file and its log, made while the app ran, is everything', async () => {
    const { folder, file } = folderOf();
    const running = await openDatabase(folder);
    await running.connection.run(
      `INSERT INTO projects (id, version, createdAt, updatedAt, name, note) VALUES ('p', 1, '2026-01-01', '2026-01-01', 'Lanterns', '')`,
    );
    const copy = folderOf();
    for (const part of ['', '-wal']) copyFileSync(file + part, copy.file + part);
    await running.close();
    const opened = await openDatabase(copy.folder);
    expect(await opened.connection.rows('SELECT name FROM projects')).toEqual([
      { name: 'Lanterns' },
    ]);
    await opened.close();
  });

  test('made after the app was ended in good order needs nothing else', async () => {
    const { folder, file } = folderOf();
    await (await openDatabase(folder)).close();
    expect(existsSync(`${file}-wal`)).toBe(false);
    const copy = folderOf();
    copyFileSync(file, copy.file);
    await (await openDatabase(copy.folder)).close();
  });

  test('of an older app that kept a first day in its log is no fresh demo', async () => {
    const { folder, file } = folderOf();
    const old = await Connection.open(file, 'create');
    await old.run('PRAGMA journal_mode = WAL');
    await old.close();
    await expect(openDatabase(folder)).rejects.toMatchObject({ kind: 'without-wal' });
  });
});

describe('a folder that can’t be used says what is wrong with which file', () => {
  test('a file in the place of the folder', async () => {
    const { folder } = folderOf();
    const file = join(folder, 'a-file');
    writeFileSync(file, 'hello');
    await expect(openDatabase(file)).rejects.toMatchObject({
      kind: 'not-a-folder',
      message: expect.stringContaining(file),
    });
  });

  test('something else under the name of the database', async () => {
    const { folder, file } = folderOf();
    writeFileSync(file, 'a letter to a friend, longer than the head of a database is. '.repeat(4));
    await expect(openDatabase(folder)).rejects.toMatchObject({ kind: 'corrupt' });
    expect(readFileSync(file, 'utf8')).toContain('a letter to a friend');
  });

  test.each([
    ['pages written over', (file: string) => overwrite(file, 4096 * 3, 4096 * 6)],
    ['an end that is missing', (file: string) => truncateSync(file, 4096 * 5)],
  ])('%s', async (_what, damage) => {
    const { folder, file } = folderOf();
    await makeVersion(file, 7);
    await (await openDatabase(folder)).close();
    damage(file);
    await expect(openDatabase(folder)).rejects.toMatchObject({
      kind: 'corrupt',
      message: expect.stringContaining('npm run salvage'),
    });
  });
});

function overwrite(file: string, from: number, to: number): void {
  const descriptor = openSync(file, 'r+');
  writeSync(descriptor, Buffer.alloc(to - from, 0x5a), 0, to - from, from);
  closeSync(descriptor);
}

test('an update keeps what was there before as a snapshot', async () => {
  const { folder, file } = folderOf();
  await makeVersion(file, 5);
  await (await openDatabase(folder)).close();
  const [snapshot] = listSnapshots(folder);
  expect(snapshot).toMatchObject({ reason: 'before-update' });
  const copy = await Connection.open(join(folder, 'snapshots', `${snapshot!.id}.sqlite`), 'read');
  expect(await copy.rows('SELECT max(name) AS last FROM SequelizeMeta')).toEqual([
    { last: '0005-sample-book' },
  ]);
  await copy.close();
});
