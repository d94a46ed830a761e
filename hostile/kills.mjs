// The server is killed at random while scraps are recorded; what it acknowledged must be there.
import { rmSync } from 'node:fs';
import seedrandom from 'seedrandom';
import { spawnServer } from '../scripts/spawn-server.mjs';
import { ask, expect, json, newFolder } from './server-under-attack.mjs';

export async function killed(rounds, seed = 'thread') {
  const random = seedrandom(seed);
  const folder = newFolder();
  const acknowledged = new Map();
  let number = 0;
  try {
    for (let round = 0; round < rounds; round++) {
      const server = await spawnServer(folder);
      const api = `${server.address}/api`;
      expect((await ask(`${api}/health`)).status === 200, `round ${round}: not healthy`);
      for (const [id, note] of acknowledged) {
        const { status, text } = await ask(`${api}/threads/${id}`);
        expect(status === 200 && JSON.parse(text).note === note, `round ${round}: ${id} was lost`);
      }
      const until = performance.now() + 100 + random() * 400;
      const write = async () => {
        while (performance.now() < until) {
          const note = `written ${++number}`;
          const draft = {
            name: `Thread ${number}`,
            use: 'fine',
            fibre: null,
            tex: null,
            colour: '',
            note,
          };
          const { status, text } = await ask(`${api}/threads`, json('POST', draft));
          if (status === 201) acknowledged.set(JSON.parse(text).id, note);
        }
      };
      const writers = [write(), write(), write()];
      await new Promise((done) => setTimeout(done, Math.max(0, until - performance.now() - 15)));
      await server.kill();
      await Promise.all(writers);
    }
    console.log(`  ${rounds} kills, ${acknowledged.size} acknowledged writes`);
    expect(acknowledged.size > rounds, 'hardly anything was written');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
