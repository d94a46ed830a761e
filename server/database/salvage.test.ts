import { closeSync, openSync, renameSync, rmSync, writeSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { databaseName, openDatabase } from './open';
import { salvage } from './salvage';
import { emptyFolder } from './versions.fixture';

const folder = emptyFolder();
const file = join(folder, databaseName);
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const many = 400;

test('what can be read of a damaged file is copied into a new one that opens', async () => {
  const whole = await openDatabase(folder);
  await whole.connection.whole(async () => {
    for (let i = 0; i < many; i++) {
      await whole.connection.run(
        `INSERT INTO threads (id, version, createdAt, updatedAt, name, "use", note)
         VALUES (?, 1, '2026-01-01', '2026-01-01', ?, 'fine', ?)`,
        [`t${i}`, `Thread ${i}`, 'x'.repeat(300)],
      );
    }
  });
  await whole.close();
  // A handful of pages in the middle are lost.
  const page = 4096;
  const middle = Math.floor(statSync(file).size / page / 2);
  const descriptor = openSync(file, 'r+');
  writeSync(descriptor, Buffer.alloc(page * 4, 0x5a), 0, page * 4, (middle + 6) * page);
  closeSync(descriptor);
  await expect(openDatabase(folder)).rejects.toMatchObject({ kind: 'corrupt' });

  const salvaged = await salvage(folder);
  const threads = salvaged.tables.find(({ table }) => table === 'threads')!;
  expect(threads.kept).toBeGreaterThan(many / 2);
  renameSync(salvaged.file, file);
  const opened = await openDatabase(folder);
  const [row] = await opened.connection.rows<{ many: number }>(
    'SELECT count(*) AS many FROM threads',
  );
  expect(row!.many).toBe(threads.kept);
  await opened.close();
});

test('where there is nothing, that is said', async () => {
  await expect(salvage(emptyFolder())).rejects.toThrow(/There is no “.*pin-margin.sqlite”/);
});
