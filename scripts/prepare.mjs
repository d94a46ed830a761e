// What both commands need before anything of the project can run: packages, and a way to build
// them. Uses nothing but Node itself.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync } from 'node:zlib';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command in the project's folder with its output shown; returns its exit code. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (error) console.error(`${command}: ${error.message}`);
  return status ?? 1;
}

const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;

/** Installs Debian packages where that is possible; returns whether it worked. */
export function installFromDebian(packages) {
  if (!has('apt-get')) return false;
  const asRoot = process.getuid?.() === 0 ? [] : has('sudo') ? ['sudo'] : null;
  if (!asRoot) return false;
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, 'apt-get', ...args];
    return run(command, rest, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } }) === 0;
  };
  apt('update', '-qq');
  return apt('install', '-y', '-qq', '--no-install-recommends', ...packages);
}

function sqliteLoads() {
  try {
    createRequire(join(root, 'package.json'))('sqlite3');
    return true;
  } catch {
    return false;
  }
}

/** Installs the packages of the lock file unless that very file was installed before. */
export function installPackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.installed-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  const tools = ['python3', 'make', 'g++'].filter((tool) => !has(tool));
  if (tools.length > 0) installFromDebian(tools);
  console.log('Installing packages; the database driver is compiled here, about three minutes.');
  const env = { ...process.env, JOBS: process.env.JOBS ?? 'max' };
  // Not `npm ci`: it refuses a lock file whose optional binaries for other systems could not be
  // looked up when it was written. `install --no-save` keeps to the lock file and leaves it alone.
  if (run('npm', ['install', '--no-save', '--no-audit', '--no-fund'], { env }) !== 0) {
    throw new Error('The packages could not be installed; see above.');
  }
  if (!sqliteLoads() && run('npm', ['rebuild', 'sqlite3', '--foreground-scripts'], { env }) !== 0) {
    throw new Error('The database driver could not be compiled; it needs python3, make and g++.');
  }
  writeFileSync(stamp, lock);
}

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesBelow(path) : [path];
  });
}

/** A fingerprint of everything that goes into the build. */
function sourcesPrint() {
  const files = ['core', 'contract', 'server', 'web'].flatMap((room) =>
    filesBelow(join(root, room)),
  );
  const loose = ['package-lock.json', 'vite.config.ts', 'vite.server.config.ts'];
  const hash = createHash('sha256');
  for (const file of [...files, ...loose.map((name) => join(root, name))].sort()) {
    const { mtimeMs, size } = statSync(file);
    hash.update(`${file} ${mtimeMs} ${size}\n`);
  }
  return hash.digest('hex');
}

/** Lays a packed copy beside every script and style sheet, so that no visit waits for the packing. */
function packAssets(folder) {
  for (const file of filesBelow(folder).filter((name) => /\.(js|css)$/.test(name))) {
    writeFileSync(`${file}.br`, brotliCompressSync(readFileSync(file)));
  }
}

/** Builds client and server unless the sources are the ones last built. */
export function build() {
  const stamp = join(root, 'dist', '.built-from');
  const print = sourcesPrint();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === print) return;
  const vite = join(root, 'node_modules', 'vite', 'bin', 'vite.js');
  for (const config of ['vite.config.ts', 'vite.server.config.ts']) {
    const args = [vite, 'build', '--logLevel', 'warn', '--config', config];
    // Whoever builds, tests included: what is built is what people get.
    if (run(process.execPath, args, { env: { ...process.env, NODE_ENV: 'production' } }) !== 0) {
      throw new Error('The build failed; see above.');
    }
  }
  packAssets(join(root, 'dist', 'client', 'assets'));
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, print);
}
