import { createServer, type Server } from 'node:http';
import { createRequire } from 'node:module';
import type { AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { pino } from 'pino';
import { createApp } from './app';
import { openDatabase } from './database/open';
import { fillWhenEmpty } from './demo/fill';
import { keepDaily } from './store/keep-daily';
import { settingsFrom } from './settings';
import { homeAddresses, homeNames } from './sharing/addresses';
import { Devices } from './sharing/devices';
import { deviceGate } from './sharing/gate';
import { PairingCode } from './sharing/pairing-code';
import { networkServer } from './sharing/share';
import { picturesApart } from './photos/pictures';
import { Store } from './store/store';
import { computeOnThreads } from './work/compute';
import { importOnThread } from './work/importer';

/**
 * A connection is left open so long after its last answer. After the five seconds that are usual, one is often closed just as
 * a client that was busy takes it for its next request, which then fails.
 */
const idleMs = 65_000;

/** Starts the server, prints its address, and stops it gracefully when asked to. */
async function main(): Promise<void> {
  const settings = settingsFrom(process.env, process.argv.slice(2));
  const log = pino({ level: settings.logLevel });
  const { evenWithoutWal } = settings;
  const database = await openDatabase(settings.dataFolder, { evenWithoutWal });
  const beside = (name: string) => resolve(import.meta.dirname, name);
  const compute = computeOnThreads(beside('compute-worker.js'));
  const store = new Store(database, compute);
  await fillWhenEmpty(store, { demo: !settings.empty });
  const endDaily = keepDaily(store, log);

  const clientFolder = resolve(import.meta.dirname, '../client');
  const fontFile = createRequire(import.meta.url).resolve(
    '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff',
  );
  const pictures = picturesApart(beside('picture-process.js'));
  const importer = importOnThread(beside('import-worker.js'), database, pictures);
  const { certificate, shareOn } = settings;
  const shared = shareOn === null ? [] : homeAddresses(shareOn);
  if (shareOn !== null && shared.length === 0) {
    throw new Error(
      'This machine has no address on a home network to share on. Join the network first, or start without --share.',
    );
  }
  const scheme = certificate ? 'https' : 'http';
  const addresses: string[] = [];
  const code = new PairingCode();
  const devices = new Devices(settings.dataFolder);
  const isPrivate = certificate !== null;
  const parts = {
    ...{ store, log, host: settings.host, clientFolder, fontFile, compute, pictures, importer },
    sharing: { devices, code, addresses, isPrivate },
  };
  const servers: Server[] = [];
  const listen = (server: Server, host: string, port: number, onPort: (port: number) => void) => {
    servers.push(server);
    server.keepAliveTimeout = idleMs;
    server.on('error', (error: NodeJS.ErrnoException) => {
      const hint = error.code === 'EADDRINUSE' ? ' Something else listens there; set PORT.' : '';
      console.error(`Pin Margin cannot listen on ${host}:${port}.${hint}`);
      process.exit(1);
    });
    server.listen(port, host, () => onPort((server.address() as AddressInfo).port));
  };
  const at = (host: string) => (host.includes(':') ? `[${host}]` : host);
  listen(createServer(createApp(parts)), settings.host, settings.port, (port) => {
    console.log(`Pin Margin is at http://${at(settings.host)}:${port}/`);
    if (shared.length === 0) return;
    const gate = deviceGate({ devices, code, isPrivate });
    const app = createApp(parts, { gate, names: homeNames(shared), scheme });
    for (const host of shared) {
      listen(networkServer(app, certificate), host, port, () => {
        addresses.push(`${scheme}://${at(host)}:${port}`);
        console.log(`Shared with the home network at ${scheme}://${at(host)}:${port}/`);
      });
    }
  });

  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    pictures.close();
    endDaily();
    void Promise.all(
      servers.map((server) => new Promise<void>((closed) => server.close(() => closed()))),
    )
      .then(() => store.settle())
      .then(() => database.close())
      .finally(() => process.exit(0));
    for (const server of servers) server.closeIdleConnections();
    // A browser may hold its connection open for minutes; nobody waits that long.
    setTimeout(() => servers.forEach((server) => server.closeAllConnections()), 2000).unref();
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
