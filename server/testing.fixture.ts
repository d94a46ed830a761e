import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { pino } from 'pino';
import supertest from 'supertest';
import { createApp } from './app';
import { databaseName, openDatabase } from './database/open';
import { fillWhenEmpty } from './demo/fill';
import { picturesHere } from './photos/pictures';
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

/** A database as a new user finds it, made once for a test file: filling one takes longer than copying it. */
let template: Promise<string> | null = null;
async function filledOnce(): Promise<string> {
  const folder = newFolder();
  await (await opened(folder)).database.close();
  return folder;
}
afterAll(async () => {
  if (template) rmSync(await template, { recursive: true, force: true });
});

async function filledFolder(): Promise<string> {
  const from = await (template ??= filledOnce());
  const folder = newFolder();
  copyFileSync(join(from, databaseName), join(folder, databaseName));
  return folder;
}

/** A real server on a real database file, for one test file. */
export async function startServer(given?: string, clientFolder: string | null = null) {
  const dataFolder = given ?? (await filledFolder());
  const { database, store } = await opened(dataFolder);
  const fontFile = resolve(
    'node_modules/@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff',
  );
  const log = pino({ level: 'silent' });
  const server = createServer(
    createApp({
      ...{ store, log, host: '127.0.0.1', clientFolder, fontFile },
      ...{ compute: computeHere, pictures: picturesHere },
      importer: importHere(database, picturesHere),
    }),
  );
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const { port } = server.address() as AddressInfo;
  return {
    dataFolder,
    store,
    address: `http://127.0.0.1:${port}`,
    http: supertest(`http://127.0.0.1:${port}`),
    /** Closes the server; the data folder goes too unless it is still wanted. */
    async stop(keepData = false) {
      const closed = new Promise((done) => server.close(done));
      server.closeAllConnections();
      await closed;
      await database.close();
      if (!keepData) rmSync(dataFolder, { recursive: true, force: true });
    },
  };
}

export type RunningServer = Awaited<ReturnType<typeof startServer>>;
