// Starts the built server in a process of its own, on a free port.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './prepare.mjs';

/**
 * @param {string} dataFolder
 * @param {number} port 0 takes a free one
 * @param {Record<string, string>} more of its environment
 * @returns the address, what it said, and ways to stop it gently or at once
 */
export async function spawnServer(dataFolder, port = 0, more = {}) {
  const child = spawn(process.execPath, [join(root, 'dist', 'server', 'main.js')], {
    cwd: root,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      PORT: String(port),
      HOST: '127.0.0.1',
      PIN_MARGIN_DATA: dataFolder,
      LOG_LEVEL: 'error',
      ...more,
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let text = '';
  const address = await new Promise((found, failed) => {
    child.stdout.on('data', (chunk) => {
      text += chunk;
      const match = /at (http:\/\/\S+?)\/?\s/.exec(text);
      if (match) found(match[1]);
    });
    child.on('exit', (code) => failed(new Error(`The server ended with code ${code}.`)));
  });
  const ended = new Promise((done) => child.on('exit', done));
  const end = (signal) => {
    child.kill(signal);
    return ended;
  };
  return {
    ...{ address, pid: child.pid, said: () => text },
    ...{ stop: () => end('SIGTERM'), kill: () => end('SIGKILL') },
  };
}
