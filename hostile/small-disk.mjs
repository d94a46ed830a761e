// Run on a disk of its own: fills it up, sees what is said, makes room, and goes on.
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { spawnServer } from '../scripts/spawn-server.mjs';
import { ask, expect, json, thread } from './server-under-attack.mjs';

const disk = process.argv[2];
const folder = join(disk, 'data');
mkdirSync(folder);
const server = await spawnServer(folder);
const api = `${server.address}/api`;
try {
  const written = [];
  const write = async (i) => {
    const { status, text } = await ask(`${api}/threads`, json('POST', thread(i)));
    if (status === 201) written.push(JSON.parse(text).id);
    return { status, text };
  };
  expect((await write(0)).status === 201, 'not written while there was room');
  let left = 6 * 1024 * 1024;
  for (let i = 0; left > 512; i++) {
    try {
      writeFileSync(join(disk, `filler-${i}`), Buffer.alloc(left));
    } catch {
      rmSync(join(disk, `filler-${i}`), { force: true });
      left = Math.floor(left / 2);
    }
  }
  let full = null;
  for (let i = 1; i < 2000 && !full; i++) {
    const answer = await write(i);
    if (answer.status !== 201) full = answer;
  }
  expect(full?.status === 503, `a full disk says ${full?.status} ${full?.text}`);
  expect(full.text.includes('The disk is full, nothing of this change was kept.'), full.text);
  for (let i = 0; ; i++) {
    rmSync(join(disk, `filler-${i}`), { force: true });
    if (i > 40) break;
  }
  expect((await write(9999)).status === 201, 'not written when there was room again');
  expect((await ask(`${api}/health`)).status === 200, 'not healthy when there was room again');
  for (const id of written)
    expect((await ask(`${api}/threads/${id}`)).status === 200, `${id} was lost`);
  console.log(`  ${written.length} kept, the full disk told, and on it went`);
} finally {
  await server.kill();
}
