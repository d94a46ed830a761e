import { copyFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Connection } from '../database/connection';
import { openMark } from '../database/file-header';
import { migrate } from '../database/migrate';
import { refuseDamaged } from '../database/open';
import { snapshotFile, takeSnapshot, type SnapshotReason } from '../database/snapshots';
import { notFound } from '../http/refusal';
import type { Store } from '../store/store';

/** Where a database is made ready before it takes the place of the one in use. */
export const incomingFile = (folder: string, what: 'archive' | 'snapshot') =>
  join(folder, `incoming-${what}.sqlite`);

/**
 * Puts a whole database in the place of the one in use, in one piece or not at all; what was there
 * is a snapshot afterwards, so that it can be gone back to.
 *
 * @returns that snapshot's id
 */
export function replaceWith(store: Store, file: string, reason: SnapshotReason): Promise<string> {
  const { connection, folder } = store.database;
  return store.alone(async () => {
    store.health.refuseWriting();
    const before = await takeSnapshot(connection, folder, reason);
    await connection.fillFrom(file);
    await connection.run(`PRAGMA application_id = ${openMark}`);
    await connection.run('PRAGMA wal_checkpoint(PASSIVE)');
    store.tellAll();
    return before;
  });
}

/**
 * Goes back to a snapshot, bringing it up to date on the way where it is older than the app.
 *
 * @returns the id of the snapshot of what was there before
 * @throws Refusal 404 without it, FolderTrouble when it is damaged
 */
export async function goBackTo(store: Store, id: string): Promise<string> {
  const { folder } = store.database;
  const from = snapshotFile(folder, id);
  if (!from) throw notFound('snapshot', id);
  const file = incomingFile(folder, 'snapshot');
  copyFileSync(from, file);
  try {
    const connection = await Connection.open(file, 'write');
    try {
      await refuseDamaged(connection, from);
      await migrate(connection);
    } finally {
      await connection.close();
    }
    return await replaceWith(store, file, 'before-going-back');
  } finally {
    rmSync(file, { force: true });
  }
}
