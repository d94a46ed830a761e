import { createHash } from 'node:crypto';
import type { Readable } from 'node:stream';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import tar from 'tar-stream';
import {
  archiveAbout,
  archiveManifest,
  archiveVersion,
  type ArchiveAbout,
  type ArchiveManifest,
} from '../../contract/archive';
import { migrations } from '../database/migrate';
import { deepestNesting, isNestedDeeper } from '../http/nesting';
import { Refusal } from '../http/refusal';
import { entryKind, type ArchivedTable } from './layout';

/** No entry of ours is larger: rows lie in parts, and a photo is small. */
const mostEntryBytes = 16 * 1024 * 1024;

/** Where the contents of an archive go. */
export interface ArchiveSink {
  about(about: ArchiveAbout): Promise<void>;
  row(table: ArchivedTable, row: Record<string, unknown>, place: string): Promise<void>;
  photo(id: string, bytes: Buffer): Promise<void>;
}

export function refuseArchive(message: string): never {
  throw new Refusal(400, 'bad-archive', message, [{ path: 'file', message }]);
}

function parsed<T>(
  schema: { safeParse(value: unknown): { success: boolean; data?: T } },
  bytes: Buffer,
  name: string,
): T {
  let value: unknown;
  try {
    value = JSON.parse(bytes.toString('utf8'));
  } catch {
    return refuseArchive(`“${name}” in the archive is no whole JSON.`);
  }
  const result = schema.safeParse(value);
  if (!result.success) return refuseArchive(`“${name}” in the archive is not as it should be.`);
  return result.data as T;
}

/** @throws Refusal when this app can't read what wrote the archive */
function refuseForeign(about: ArchiveAbout): void {
  if (about.version > archiveVersion || !migrations.some(({ name }) => name === about.schema)) {
    refuseArchive(
      `This archive was written by a newer Pin Margin (layout ${about.version}, tables “${about.schema}”). Update the app, and nothing of it is lost.`,
    );
  }
}

/** Counts the bytes that go through, and stops at more than were promised. */
function atMost(bytes: number, name: string): Transform {
  let seen = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      seen += chunk.length;
      if (seen > bytes) {
        done(new Refusal(413, 'too-large', `“${name.slice(0, 80)}” in the archive is too large.`));
      } else done(null, chunk);
    },
  });
}

async function bytesOf(entry: Readable, name: string): Promise<Buffer> {
  const parts: Buffer[] = [];
  for await (const part of entry.pipe(atMost(mostEntryBytes, name))) parts.push(part as Buffer);
  return Buffer.concat(parts);
}

function rowOf(line: string, place: string): Record<string, unknown> {
  let row: unknown;
  try {
    row = JSON.parse(line);
  } catch {
    return refuseArchive(`${place} in the archive is no whole JSON.`);
  }
  if (typeof row !== 'object' || row === null || Array.isArray(row)) {
    return refuseArchive(`${place} in the archive is no record.`);
  }
  if (isNestedDeeper(row, deepestNesting)) {
    return refuseArchive(`${place} in the archive is nested deeper than anything here.`);
  }
  return row as Record<string, unknown>;
}

/** One archive as it is read: what was promised, and what came. */
class Reading {
  about: ArchiveAbout | null = null;
  manifest: ArchiveManifest | null = null;
  readonly counts: Record<string, number> = {};
  private readonly sha256 = new Map<string, string>();
  constructor(private readonly sink: ArchiveSink) {}

  async entry(name: string, bytes: Buffer): Promise<void> {
    const kind = entryKind(name);
    const said = name.slice(0, 80);
    if (!kind) return refuseArchive(`“${said}” is nothing of an archive of Pin Margin.`);
    if (this.manifest) return refuseArchive(`“${said}” comes after the end of the archive.`);
    if (kind.is === 'manifest') {
      this.manifest = parsed(archiveManifest, bytes, name);
      return;
    }
    if (this.sha256.has(name)) return refuseArchive(`“${said}” is in the archive twice.`);
    this.sha256.set(name, createHash('sha256').update(bytes).digest('hex'));
    if (kind.is === 'about') {
      this.about = parsed(archiveAbout, bytes, name);
      refuseForeign(this.about);
      await this.sink.about(this.about);
      return;
    }
    if (!this.about)
      return refuseArchive('This is no archive of Pin Margin: it does not begin so.');
    if (kind.is === 'photo') {
      this.count('photos');
      await this.sink.photo(kind.id, bytes);
      return;
    }
    let number = 0;
    for (const line of bytes.toString('utf8').split('\n')) {
      if (line === '') continue;
      const place = `${name}, line ${++number}`;
      this.count(kind.table);
      await this.sink.row(kind.table, rowOf(line, place), place);
    }
  }

  /** @throws Refusal when the archive is not whole, or not as it was written */
  finish(): void {
    const { manifest } = this;
    if (!manifest) return refuseArchive('The archive ends early; it may have been cut short.');
    for (const [name, hash] of Object.entries(manifest.sha256)) {
      const found = this.sha256.get(name);
      if (found === hash) continue;
      refuseArchive(
        found === undefined
          ? `“${name.slice(0, 80)}” is missing in the archive.`
          : `“${name.slice(0, 80)}” is not as it was written: its checksum is another.`,
      );
    }
    for (const name of this.sha256.keys()) {
      if (!Object.hasOwn(manifest.sha256, name)) {
        refuseArchive(`“${name.slice(0, 80)}” is in the archive, and its list does not know it.`);
      }
    }
    for (const [what, count] of Object.entries(manifest.counts)) {
      if ((this.counts[what] ?? 0) !== count) {
        refuseArchive(
          `The archive should hold ${count} ${what}, and holds ${this.counts[what] ?? 0}.`,
        );
      }
    }
  }

  private count(what: string): void {
    this.counts[what] = (this.counts[what] ?? 0) + 1;
  }
}

/**
 * Reads an archive entry by entry, never holding more than one; what it is told of is only sure
 * when this has ended without an error.
 *
 * @returns how many rows of each table there were
 * @throws Refusal 400 that names what is wrong with the archive
 */
export async function readArchive(
  input: Readable,
  sink: ArchiveSink,
): Promise<Readonly<Record<string, number>>> {
  const reading = new Reading(sink);
  const extract = tar.extract();
  const fed = pipeline(input, extract);
  fed.catch(() => undefined);
  try {
    for await (const entry of extract) {
      const { name, size = 0, type } = entry.header;
      if (type !== 'file') refuseArchive(`“${name.slice(0, 80)}” in the archive is no file.`);
      if (size > mostEntryBytes) {
        throw new Refusal(413, 'too-large', `“${name.slice(0, 80)}” in the archive is too large.`);
      }
      await reading.entry(name, await bytesOf(entry as unknown as Readable, name));
    }
    await fed;
  } catch (error) {
    extract.destroy();
    if (error instanceof Refusal) throw error;
    const { code, message } = error as NodeJS.ErrnoException;
    // What the reader of the container says; what the database says is not its business.
    if (code?.startsWith('SQLITE')) throw error;
    refuseArchive(`This is no whole archive: ${message.slice(0, 120)}`);
  }
  reading.finish();
  return reading.counts;
}
