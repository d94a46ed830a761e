import type { Logger } from 'pino';
import { refuseDamaged } from '../database/open';
import { takeDaily } from '../database/snapshots';
import type { Store } from './store';

const hourMs = 3_600_000;

/**
 * Once a day, while the app runs: looks whether every page can still be read, and copies the whole
 * beside itself. A copy of a damaged file would push the good ones out, so none is taken of it.
 *
 * @returns what ends it
 */
export function keepDaily(store: Store, log: Logger): () => void {
  const { connection, folder, file } = store.database;
  const look = async () => {
    try {
      await refuseDamaged(connection, file);
      await takeDaily(connection, folder);
    } catch (error) {
      if (!store.health.failed(error)) log.error({ err: error }, 'the daily look failed');
    }
  };
  // The file was looked through when it was opened.
  takeDaily(connection, folder).catch((error: unknown) =>
    log.error({ err: error }, 'the daily snapshot failed'),
  );
  const clock = setInterval(() => void look(), hourMs).unref();
  return () => clearInterval(clock);
}
