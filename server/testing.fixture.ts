import { copyFileSync, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { pino } from 'pino';
import supertest from 'supertest';
import { createApp } from './app';
import { databaseName, openDatabase } from './database/open';
import { fillWhenEmpty } from './demo/fill';
import { picturesHere } from './photos/pictures';
import { Devices } from './sharing/devices';
import { deviceGate } from './sharing/gate';
import { PairingCode } from './sharing/pairing-code';
import { Store } from './store/store';
import { computeHere } from './work/compute';
import { importHere } from './work/importer';

const newFolder = () => mkdtempSync(join(tmpdir(), 'pin-margin-'));

async function opened(dataFolder: string) {
  const database = await openDatabase(dataFolder);
  const store = new Store(database, computeHere);
  await fillWhenEmpty(store);
  return { database, store };
}

/**
 * A database as a new user finds it. It is made by whoever needs one first: filling one takes longer
 * than copying it.
 */
async function filledFolder(): Promise<string> {
  const folder = newFolder();
  const file = join(folder, databaseName);
  const template = join(process.env['PIN_MARGIN_TEMPLATE']!, databaseName);
  if (existsSync(template)) copyFileSync(template, file);
  else {
    await (await opened(folder)).database.close();
    // Others may look for it meanwhile: it is there whole or not at all.
    const own = `${template}-${process.pid}`;
    copyFileSync(file, own);
    renameSync(own, template);
  }
  return folder;
}

/** What a server answers, as it came: for what is no JSON. */
export async function bytesOf(
  { http }: Pick<RunningServer, 'http'>,
  path: string,
): Promise<Buffer> {
  const { body } = await http
    .get(path)
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('end', () => done(null, Buffer.concat(parts)));
    })
    .expect(200);
  return body as Buffer;
}

/** A real server on a real database file, for one test file. */
export async function startServer(given?: string, clientFolder: string | null = null) {
  const dataFolder = given ?? (await filledFolder());
  const { database, store } = await opened(dataFolder);
  const fontFile = resolve(
    'node_modules/@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff',
  );
  const log = pino({ level: 'silent' });
  const [devices, code, addresses] = [new Devices(dataFolder), new PairingCode(), [] as string[]];
  const parts = {
    ...{ store, log, host: '127.0.0.1', clientFolder, fontFile },
    ...{ compute: computeHere, pictures: picturesHere },
    importer: importHere(database, picturesHere),
    sharing: { devices, code, addresses, isPrivate: false },
  };
  const shared: Server[] = [];
  const server = createServer(createApp(parts));
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const { port } = server.address() as AddressInfo;
  return {
    dataFolder,
    store,
    address: `http://127.0.0.1:${port}`,
    http: supertest(`http://127.0.0.1:${port}`),
    devices,
    code,
    /** Opens it to a network as well, as far as a test needs one: behind the gate of devices. */
    async share() {
      const gate = deviceGate({ devices, code, isPrivate: false, pause: () => Promise.resolve() });
      const names = ['127.0.0.1', 'sewing-room.local'];
      const open = createServer(createApp(parts, { gate, names, scheme: 'http' }));
      await new Promise<void>((listening) => open.listen(0, '127.0.0.1', listening));
      shared.push(open);
      const address = `http://127.0.0.1:${(open.address() as AddressInfo).port}`;
      addresses.push(address);
      return { address, http: supertest(address) };
    },
    /** Closes the server; the data folder goes too unless it is still wanted. */
    async stop(keepData = false) {
      for (const one of [server, ...shared]) {
        const closed = new Promise((done) => one.close(done));
        one.closeAllConnections();
        await closed;
      }
      await database.close();
      if (!keepData) rmSync(dataFolder, { recursive: true, force: true });
    },
  };
}

export type RunningServer = Awaited<ReturnType<typeof startServer>>;
