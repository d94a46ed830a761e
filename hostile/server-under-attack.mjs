// The built server on a folder of its own, and what is asked of it while it is attacked.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawnServer } from '../scripts/spawn-server.mjs';

export const newFolder = () => mkdtempSync(join(tmpdir(), 'pin-margin-hostile-'));

/** Runs `work` with a server, and cleans up whatever happens. */
export async function underAttack(work, folder = newFolder(), more = {}) {
  const server = await spawnServer(folder, 0, more);
  try {
    return await work({ ...server, api: `${server.address}/api`, folder });
  } finally {
    await server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Sends a request, whatever it is; no answer at all is status 0. */
export async function ask(url, { method = 'GET', body, headers = {} } = {}) {
  const begun = performance.now();
  try {
    const response = await fetch(url, {
      method,
      body,
      headers,
      signal: AbortSignal.timeout(20_000),
    });
    const text = await response.text();
    return { status: response.status, text, response, ms: performance.now() - begun };
  } catch (error) {
    return { status: 0, text: String(error), response: null, ms: performance.now() - begun };
  }
}

export const json = (method, value) => ({
  method,
  body: JSON.stringify(value),
  headers: { 'content-type': 'application/json' },
});

/** Asks for the server's health over and over until it is ended; tells the slowest of a hundred. */
export function watchHealth(api) {
  const times = [];
  let on = true;
  const done = (async () => {
    while (on) {
      const { ms, status } = await ask(`${api}/health`);
      times.push(status === 200 ? ms : Infinity);
      await new Promise((next) => setTimeout(next, 5));
    }
  })();
  return async () => {
    on = false;
    await done;
    times.sort((a, b) => a - b);
    return { asked: times.length, p99: times[Math.floor(times.length * 0.99)] ?? 0 };
  };
}

/** @throws Error with the words when something does not hold */
export function expect(holds, words) {
  if (!holds) throw new Error(words);
}

/** A record of two kilobytes, as it is sent. */
export const thread = (i) => ({
  name: `Thread ${i}`,
  use: 'fine',
  fibre: null,
  tex: null,
  colour: '',
  note: 'x'.repeat(1900),
});
