import { statSync } from 'node:fs';
import type { Database } from './open';
import { troubleIn, troubleOf, type FolderTrouble } from './trouble';

/** Whether a database can be read and written, by what was last seen of it. */
export class Health {
  private seen: FolderTrouble | null = null;
  constructor(private readonly database: Database) {}

  /** What stands in the way of writing now, as far as one can know without trying. */
  get trouble(): FolderTrouble | null {
    return this.missing() ?? this.seen;
  }

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

  /** Looks whether the file can be read. */
  async look(): Promise<FolderTrouble | null> {
    const trouble = this.trouble;
    if (trouble) return trouble;
    try {
      await this.database.watch.rows('SELECT count(*) FROM SequelizeMeta');
      return null;
    } catch (error) {
      const found = this.failed(error);
      if (!found) throw error;
      return found;
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
