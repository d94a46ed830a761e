import { createServer } from 'node:http';
import { createRequire } from 'node:module';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { pino } from 'pino';
import { createApp } from './app';
import { openDatabase } from './database/open';
import { fillWhenEmpty } from './demo/fill';
import { keepDaily } from './store/keep-daily';
import { settingsFrom } from './settings';
import { picturesApart } from './photos/pictures';
import { Store } from './store/store';
import { computeOnThreads } from './work/compute';
import { importOnThread } from './work/importer';

/** Starts the server, prints its address, and stops it gracefully when asked to. */
async function main(): Promise<void> {
  const settings = settingsFrom(process.env);
  const log = pino({ level: settings.logLevel });
  const { evenWithoutWal } = settings;
  const database = await openDatabase(settings.dataFolder, { evenWithoutWal });
  const beside = (name: string) => resolve(import.meta.dirname, name);
  const compute = computeOnThreads(beside('compute-worker.js'));
  const store = new Store(database, compute);
  await fillWhenEmpty(store);
  const endDaily = keepDaily(store, log);

  const clientFolder = resolve(import.meta.dirname, '../client');
  const fontFile = createRequire(import.meta.url).resolve(
    '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff',
  );
  const pictures = picturesApart(beside('picture-process.js'));
  const importer = importOnThread(beside('import-worker.js'), database, pictures);
  const parts = {
    store,
    log,
    host: settings.host,
    clientFolder,
    fontFile,
    compute,
    pictures,
    importer,
  };
  const server = createServer(createApp(parts));
  server.on('error', (error: NodeJS.ErrnoException) => {
    const hint = error.code === 'EADDRINUSE' ? ' Something else listens there; set PORT.' : '';
    console.error(`Pin Margin cannot listen on ${settings.host}:${settings.port}.${hint}`);
    process.exit(1);
  });
  server.listen(settings.port, settings.host, () => {
    const { port } = server.address() as AddressInfo;
    const host = settings.host.includes(':') ? `[${settings.host}]` : settings.host;
    console.log(`Pin Margin is at http://${host}:${port}/`);
  });

  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    pictures.close();
    endDaily();
    server.close(() => {
      void store
        .settle()
        .then(() => database.close())
        .finally(() => process.exit(0));
    });
    server.closeIdleConnections();
    // A browser may hold its connection open for minutes; nobody waits that long.
    setTimeout(() => server.closeAllConnections(), 2000).unref();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

main().catch((error: unknown) => {
  console.error(
    `Pin Margin cannot start: ${error instanceof Error ? error.message : String(error)}`,
  );
  process.exit(1);
});
