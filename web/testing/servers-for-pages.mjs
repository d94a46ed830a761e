import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from '../../scripts/prepare.mjs';
import { spawnServer } from '../../scripts/spawn-server.mjs';

/** The built server on a data folder of its own, and a snapshot of it as the demo was filled in. */
async function filledServer() {
  const folder = mkdtempSync(join(tmpdir(), 'pin-margin-part-'));
  const server = await spawnServer(folder);
  const made = await fetch(`${server.address}/api/snapshots`, { method: 'POST' });
  return { ...server, folder, filled: (await made.json()).id };
}

/**
 * The parts of the interface are tried beside the built server. A worker runs one test file at a
 * time, so each has one server for all of its files: starting it takes longer than most tests.
 */
export default async function serversForPages({ maxWorkers }) {
  build();
  const servers = await Promise.all(Array.from({ length: maxWorkers }, filledServer));
  globalThis.serversForPages = servers;
  process.env['PIN_MARGIN_SERVERS'] = JSON.stringify(
    servers.map(({ address, filled }) => ({ address, filled })),
  );
}
