import { refuseDamaged } from '../database/open';
import { takeDaily } from '../database/snapshots';
import type { Store } from './store';

const hourMs = 3_600_000;

/**
 * Once a day, while the app runs: looks whether every page can still be read, and copies the whole
 * beside itself. A copy of a damaged file would push the good ones out, so none is taken of it.
 */
export function keepDaily(store: Store): void {
  const { connection, folder, file } = store.database;
  const look = async () => {
    try {
      await refuseDamaged(connection, file);
      await takeDaily(connection, folder);
    } catch (error) {
      if (!store.health.failed(error)) throw error;
    }
  };
  void look();
  setInterval(() => void look(), hourMs).unref();
}
