import { createHash } from 'node:crypto';
import type { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import tar from 'tar-stream';
import {
  archiveFormat,
  archiveVersion,
  type ArchiveAbout,
  type ArchiveManifest,
} from '../../contract/archive';
import { Connection, type RawRow } from '../database/connection';
import { schemaName } from '../database/migrate';
import {
  aboutName,
  archivedTables,
  bytesInPart,
  columnsOf,
  manifestName,
  partName,
  photoName,
  type ArchivedTable,
  type StoredColumn,
} from './layout';

/** What of each table goes into an archive: a condition on its rows, or all of them. */
export type Share = Partial<Readonly<Record<ArchivedTable | 'photos', string>>>;

/** Nothing in an archive tells when it was made: the same records give the same bytes. */
const noTime = new Date(0);

class Pack {
  private readonly pack = tar.pack();
  private readonly sha256: Record<string, string> = {};
  readonly counts: Record<string, number> = {};
  readonly sent: Promise<void>;
  constructor(out: Writable) {
    this.sent = pipeline(this.pack, out);
    // Whoever writes is told by the write; a reader that left is no error of ours.
    this.sent.catch(() => undefined);
  }

  /** Writes an entry and waits until it has been taken, so that nothing piles up. */
  async add(name: string, bytes: Buffer): Promise<void> {
    this.sha256[name] = createHash('sha256').update(bytes).digest('hex');
    const written = new Promise<void>((done, failed) => {
      const entry = this.pack.entry({ name, size: bytes.length, mtime: noTime, mode: 0o644 });
      entry.on('finish', done);
      entry.on('error', failed);
      entry.on('close', () => done());
      entry.end(bytes);
    });
    await Promise.race([
      written,
      this.sent.then(() => {
        throw new Error('The reader left.');
      }),
    ]);
  }

  async end(): Promise<void> {
    const manifest: ArchiveManifest = { counts: this.counts, sha256: { ...this.sha256 } };
    await this.add(manifestName, Buffer.from(`${JSON.stringify(manifest, null, 1)}\n`));
    this.pack.finalize();
    await this.sent;
  }
}

function lineOf(row: RawRow, columns: readonly StoredColumn[]): string {
  const fields = columns.map(({ name, isJson }) => {
    const value = row[name];
    return [name, isJson && typeof value === 'string' ? (JSON.parse(value) as unknown) : value];
  });
  return `${JSON.stringify(Object.fromEntries(fields))}\n`;
}

async function addTable(
  pack: Pack,
  connection: Connection,
  table: ArchivedTable,
  where: string,
): Promise<void> {
  const columns = await columnsOf(connection, table);
  const names = columns.map(({ name }) => `"${name}"`).join(', ');
  let lines: string[] = [];
  let size = 0;
  let part = 0;
  pack.counts[table] = 0;
  const flush = async () => {
    if (lines.length === 0) return;
    await pack.add(partName(table, ++part), Buffer.from(lines.join('')));
    lines = [];
    size = 0;
  };
  const order = table === 'steps' ? 'changeId, position' : 'id';
  const sql = `SELECT ${names} FROM "${table}" WHERE ${where} ORDER BY ${order}`;
  await connection.each(sql, async (row) => {
    const line = lineOf(row, columns);
    lines.push(line);
    size += line.length;
    pack.counts[table]!++;
    if (size >= bytesInPart) await flush();
  });
  await flush();
}

/**
 * Writes an archive of a database as it is at this moment, row by row, whatever is written to it
 * meanwhile.
 *
 * @param share what goes in; all of it when left out
 * @throws Error when the reader goes before the end
 */
export async function writeArchive(file: string, out: Writable, share?: Share): Promise<void> {
  const connection = await Connection.open(file, 'read');
  try {
    await connection.run('BEGIN');
    const pack = new Pack(out);
    const about: ArchiveAbout = {
      format: archiveFormat,
      version: archiveVersion,
      schema: schemaName,
      holds: share ? 'project' : 'everything',
    };
    await pack.add(aboutName, Buffer.from(`${JSON.stringify(about, null, 1)}\n`));
    for (const table of archivedTables) {
      const where = share ? share[table] : '1';
      if (where !== undefined) await addTable(pack, connection, table, where);
    }
    pack.counts['photos'] = 0;
    const photos = `SELECT id, bytes FROM photos WHERE ${share?.photos ?? '1'} ORDER BY id`;
    await connection.each<{ id: string; bytes: Buffer }>(photos, async ({ id, bytes }) => {
      pack.counts['photos']!++;
      await pack.add(photoName(id), bytes);
    });
    await pack.end();
  } finally {
    await connection.close();
  }
}
