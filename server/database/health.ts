import { rmSync, statSync, writeFileSync } from 'node:fs';
import type { Database } from './open';
import { troubleIn, troubleOf, type FolderTrouble } from './trouble';

/** Room for a change of the usual size. */
const triedBytes = 64 * 1024;

/** Whether a database can be read and written, by what was last seen of it. */
export class Health {
  private seen: FolderTrouble | null = null;
  constructor(private readonly database: Database) {}

  /** @throws FolderTrouble where writing would only make things worse */
  refuseWriting(): void {
    const missing = this.missing();
    if (missing) throw missing;
    if (this.seen?.kind === 'corrupt') throw this.seen;
  }

  /** Takes note of how something ended; trouble of a disk is over when a write goes through. */
  wrote(): void {
    if (this.seen?.kind !== 'corrupt') this.seen = null;
  }

  /** What an error says of the folder, kept until something goes well again. */
  failed(error: unknown): FolderTrouble | null {
    const trouble = troubleIn(error, this.database.file);
    if (trouble && this.seen?.kind !== 'corrupt') this.seen = trouble;
    return trouble;
  }

  /** Looks whether the file can be read, and whether what stood in the way of writing is gone. */
  async look(): Promise<FolderTrouble | null> {
    const missing = this.missing();
    if (missing) return missing;
    try {
      await this.database.watch.rows('SELECT count(*) FROM SequelizeMeta');
      if (this.seen && this.seen.kind !== 'corrupt') {
        this.tryTheDisk();
        this.seen = null;
      }
    } catch (error) {
      if (!this.failed(error)) throw error;
    }
    return this.seen;
  }

  /** Writes a little beside the database, as nobody else writes just now. @throws Error of the system */
  private tryTheDisk(): void {
    const file = `${this.database.file}-try`;
    try {
      writeFileSync(file, Buffer.alloc(triedBytes));
    } finally {
      rmSync(file, { force: true });
    }
  }

  /** Another file under the name of the one that was opened is not ours. */
  private missing(): FolderTrouble | null {
    const { file, inode } = this.database;
    try {
      if (statSync(file, { bigint: true }).ino === inode) return null;
    } catch {
      // Told below, however it came about.
    }
    return troubleOf('folder-gone', file);
  }
}
