import { Router } from 'express';
import type { SnapshotEntry } from '../../contract/archive';
import { goBackTo } from '../archive/replace';
import { Connection } from '../database/connection';
import { recordTables } from '../database/models';
import { listSnapshots, snapshotFile, takeSnapshot } from '../database/snapshots';
import type { Store } from '../store/store';

type Counts = Record<string, number>;

async function countsIn(connection: Connection): Promise<Counts> {
  const counts: Counts = {};
  for (const table of recordTables) {
    if (table === 'preferences') continue;
    const [there] = await connection.rows(
      `SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?`,
      [table],
    );
    // Older apps had no table for some of it.
    if (!there) continue;
    const [row] = await connection.rows<{ many: number }>(
      `SELECT count(*) AS many FROM "${table}"`,
    );
    counts[table] = row?.many ?? 0;
  }
  return counts;
}

/** The snapshots there are, what is in each, and going back to one. */
export function snapshotRoutes(store: Store): Router {
  const router = Router();
  const { folder, connection } = store.database;
  // A snapshot never changes, so each is counted once.
  const counted = new Map<string, Counts>();

  const countsOf = async (id: string): Promise<Counts> => {
    const known = counted.get(id);
    if (known) return known;
    const file = snapshotFile(folder, id);
    if (!file) return {};
    const snapshot = await Connection.open(file, 'read');
    try {
      const counts = await countsIn(snapshot);
      counted.set(id, counts);
      return counts;
    } finally {
      await snapshot.close();
    }
  };

  router.get('/snapshots', async (_request, response) => {
    const now = await countsIn(connection);
    const entries: SnapshotEntry[] = [];
    for (const snapshot of listSnapshots(folder)) {
      const counts = await countsOf(snapshot.id);
      const moreNow = Object.fromEntries(
        Object.entries(now).map(([table, many]) => [table, many - (counts[table] ?? 0)]),
      );
      entries.push({ ...snapshot, counts, moreNow });
    }
    response.json(entries);
  });

  router.post('/snapshots', async (_request, response) => {
    const id = await store.alone(() => takeSnapshot(connection, folder, 'by-hand'));
    response.status(201).json({ id });
  });

  router.post('/snapshots/:id/restore', async (request, response) => {
    const before = await goBackTo(store, request.params.id);
    response.json({ before });
  });
  return router;
}
