import { rmSync } from 'node:fs';

/** Ends what the tests of the interface were given. */
export default async function serversEnded() {
  for (const { stop, folder } of globalThis.serversForPages) {
    await stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
