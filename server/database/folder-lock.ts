import { closeSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Connection } from './connection';
import { FolderTrouble } from './trouble';

/** Who has a folder in use, and since when. */
interface Owner {
  readonly process: number;
  readonly since: string;
}

/** The folder, in use by this process until it is let go or the process ends. */
export interface FolderLock {
  release(): Promise<void>;
}

function ownerIn(file: string): Owner | null {
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as Owner;
  } catch {
    return null;
  }
}

/**
 * Takes a folder into use, so that no second server writes into it.
 *
 * The lock is one that the system itself keeps on an empty file and lets go of when its process
 * ends, however it ends; what is written beside it is for people to read, and never decides.
 *
 * @throws FolderTrouble that names the owner, when another server has the folder
 * @throws Error of the system when the folder can't be written
 */
export async function lockFolder(folder: string): Promise<FolderLock> {
  const owner = join(folder, 'in-use.json');
  const file = join(folder, 'in-use');
  // The system says why a file can't be made; SQLite says only that it can't.
  closeSync(openSync(file, 'a'));
  const lock = await Connection.open(file, 'create');
  try {
    await lock.run('BEGIN EXCLUSIVE');
  } catch (error) {
    await lock.close();
    if ((error as { code?: string }).code !== 'SQLITE_BUSY') throw error;
    const who = ownerIn(owner);
    const named = who
      ? `process ${who.process}, since ${who.since.replace('T', ' ').slice(0, 16)} UTC`
      : 'another process';
    throw new FolderTrouble(
      'in-use',
      folder,
      `“${folder}” is in use by another Pin Margin (${named}). Use that one, or end it first; two at once would overwrite each other.`,
    );
  }
  const mine: Owner = { process: process.pid, since: new Date().toISOString() };
  try {
    writeFileSync(owner, `${JSON.stringify(mine)}\n`);
  } catch (error) {
    await lock.close();
    throw error;
  }
  return {
    async release() {
      rmSync(owner, { force: true });
      await lock.close();
    },
  };
}
