// A disk that fills up, one that can only be read, and a folder that is taken away.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../scripts/prepare.mjs';
import { ask, expect, json, thread, newFolder, underAttack } from './server-under-attack.mjs';

/** Whether this machine lets a test have a small disk of its own. */
const canMount = () =>
  spawnSync('unshare', ['-rm', 'mount', '-t', 'tmpfs', '-o', 'size=1m', 'none', '/mnt']).status ===
  0;

const script = join(root, 'hostile', 'small-disk.mjs');

/** In a world of its own, on a disk of six megabytes. */
export async function fullDisk() {
  if (!canMount()) {
    console.log('  no small disk can be had here; left out');
    return 'left out';
  }
  const folder = newFolder();
  try {
    const inside = spawn(
      'unshare',
      [
        '-rm',
        'sh',
        '-c',
        `mount -t tmpfs -o size=6m none "$1" && exec "$2" "$3" "$1"`,
        'sh',
        folder,
        process.execPath,
        script,
      ],
      { stdio: ['ignore', 'inherit', 'inherit'] },
    );
    const code = await new Promise((done) => inside.on('exit', done));
    expect(code === 0, `the walk on a small disk ended with ${code}`);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The folder is moved away under the running server: it says so, and makes no new one. */
export async function folderGone() {
  const folder = join(newFolder(), 'data');
  mkdirSync(folder);
  await underAttack(async ({ api }) => {
    expect(
      (await ask(`${api}/threads`, json('POST', thread(1)))).status === 201,
      'not written before',
    );
    renameSync(folder, `${folder}-away`);
    const { status, text } = await ask(`${api}/health`);
    expect(status === 503 && text.includes('folder-gone'), `health says ${status} ${text}`);
    const write = await ask(`${api}/threads`, json('POST', thread(2)));
    expect(
      write.status === 503 && write.text.includes('moved or deleted'),
      `a write says ${write.status} ${write.text}`,
    );
    mkdirSync(folder);
    writeFileSync(join(folder, 'pin-margin.sqlite'), '');
    expect(
      (await ask(`${api}/health`)).status === 503,
      'another file under the name was taken for ours',
    );
    rmSync(folder, { recursive: true });
    renameSync(`${folder}-away`, folder);
    expect((await ask(`${api}/health`)).status === 200, 'not healthy when it is back');
    expect(
      (await ask(`${api}/threads`, json('POST', thread(3)))).status === 201,
      'not written when it is back',
    );
  }, folder);
}
