// `npm test`: installs what is missing, then everything that can find fault, and one last line
// that adds it all up.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join, relative } from 'node:path';
import { installFromDebian, installPackages, root, run } from './prepare.mjs';

let passed = 0;
/** What failed, by name: told once more at the end, where nobody has to look for it. */
const failed = [];

/** Counts one check; a thrown error fails it. */
function check(name, work) {
  console.log(`\n— ${name}`);
  let ok = false;
  try {
    ok = work();
  } catch (error) {
    console.error(error.message);
  }
  if (ok) passed++;
  else failed.push(name);
  console.log(ok ? `${name}: passed` : `${name}: failed`);
  return ok;
}

const bin = (name) => join(root, 'node_modules', '.bin', name);

const typesOf = (project) => [
  ...[process.execPath, join(root, 'node_modules', 'typescript-native', 'bin', 'tsc')],
  ...['-p', project],
];

/**
 * Checks that only read the sources; as many beside each other as there are processors, the longest
 * first. Linter, formatter and the compiler that checks types are native programs.
 */
const readings = {
  lint: [bin('oxlint'), '--type-aware', '--deny-warnings', '.'],
  types: typesOf('tsconfig.json'),
  // No reading, and it needs nothing of theirs: it takes its turn among them.
  build: [process.execPath, join(root, 'scripts', 'build.mjs')],
  formatting: [bin('oxfmt'), '--check', '.'],
  'types of the core alone': typesOf('core/tsconfig.json'),
  'floor rules': [
    bin('depcruise'),
    ...['core', 'contract', 'server', 'web', '--output-type', 'err'],
  ],
  'nothing unused': [bin('knip')],
  licences: [process.execPath, join(root, 'scripts', 'licences.mjs'), 'check'],
};

/** @returns what a command printed, and whether it found nothing */
function reading([command, ...args]) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let text = '';
    for (const out of [child.stdout, child.stderr]) out.on('data', (part) => (text += part));
    child.on('error', (error) => done({ text: error.message, ok: false }));
    child.on('close', (code) => done({ text, ok: code === 0 }));
  });
}

/** @returns whether the app could be built */
async function readSources() {
  const waiting = Object.entries(readings);
  let isBuilt = false;
  const lane = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const [name, command] = next;
      const { text, ok } = await reading(command);
      check(name, () => {
        if (text.trim()) console.log(text.trim());
        return ok;
      });
      if (name === 'build') isBuilt = ok;
    }
  };
  await Promise.all(Array.from({ length: availableParallelism() }, lane));
  return isBuilt;
}

function findChromium() {
  const named = process.env.CHROMIUM;
  const candidates = [
    // Debian's headless one has no windows to draw, and takes a quarter less time.
    ...[named, '/usr/bin/chromium-headless-shell'],
    ...['/usr/bin/chromium', '/usr/bin/chromium-browser'],
  ].filter(Boolean);
  return candidates.find((path) => existsSync(path));
}

/**
 * Counts the tests of a runner by its own report; without a report the run itself failed.
 *
 * @param read of the report how many passed, and the names of those that failed
 */
function countReport(name, file, read) {
  if (!existsSync(file)) {
    failed.push(`${name}: no report was written`);
    return;
  }
  const [good, bad] = read(JSON.parse(readFileSync(file, 'utf8')));
  passed += good;
  failed.push(...bad);
  if (good + bad.length === 0) failed.push(`${name}: none was run`);
}

/** A file whose tests failed, or that could not be run at all. */
function failedOf({ name, assertionResults, status }) {
  const titles = assertionResults.filter((it) => it.status === 'failed').map((it) => it.fullName);
  const file = relative(root, name);
  if (titles.length > 0) return titles.map((title) => `${file} › ${title}`);
  return status === 'failed' ? [`${file} could not be run`] : [];
}

function unitTests() {
  const report = join(root, 'test-results', 'unit.json');
  run(process.execPath, [
    // Sums and pages make much that is soon forgotten: with more room for it, a twelfth less work.
    ...['--min-semi-space-size=16', '--max-semi-space-size=64'],
    ...[join(root, 'node_modules', 'jest', 'bin', 'jest.js'), '--json', `--outputFile=${report}`],
  ]);
  countReport('unit tests', report, (found) => [
    found.numPassedTests,
    found.testResults.flatMap(failedOf),
  ]);
}

function hostileTests() {
  const report = join(root, 'test-results', 'hostile.json');
  run(process.execPath, [join(root, 'scripts', 'hostile.mjs'), 'short']);
  countReport('hostile suite', report, (found) => [found.passed, found.failed]);
}

/** Browser tests that failed at first and passed alone, as the run before this one left them. */
const flakyFile = join(root, '.flaky-browser-tests.json');
const flakyBefore = () => {
  try {
    return JSON.parse(readFileSync(flakyFile, 'utf8'));
  } catch {
    return [];
  }
};

/** The titles of the tests that failed, under the suites they stand in. */
function failedIn({ suites = [], specs = [], title = '' }) {
  return [
    ...specs.filter(({ ok }) => !ok).map((spec) => `${title} › ${spec.title}`),
    ...suites.flatMap(failedIn),
  ];
}

/** Runs browser tests and reads how it went; null where no report was written. */
function runBrowserTests(...args) {
  const report = join(root, 'test-results', 'browser.json');
  rmSync(report, { force: true });
  run(bin('playwright'), ['test', ...args], { env: { ...process.env, CHROMIUM: findChromium() } });
  if (!existsSync(report)) return null;
  const found = JSON.parse(readFileSync(report, 'utf8'));
  const outside = found.errors.map(({ message }) => `browser tests: ${message}`);
  return { good: found.stats.expected, names: found.suites.flatMap(failedIn), outside };
}

/**
 * All browser tests beside each other. What fails is run once more alone: a machine that is busy
 * with something else can be too slow for a page to be asked in time. That is an exception with a
 * name: more than one of them fails, and so does one that was one in the run before.
 */
function browserTests() {
  const first = runBrowserTests();
  if (!first || first.good + first.names.length + first.outside.length === 0) {
    failed.push('browser tests: no report was written');
    return;
  }
  passed += first.good;
  // What belongs to no test is not run once more, and never excused.
  failed.push(...first.outside);
  if (first.names.length === 0) {
    rmSync(flakyFile, { force: true });
    return;
  }
  console.log(`\n— ${first.names.length} browser tests once more, alone`);
  const second = runBrowserTests('--last-failed', '--workers=1');
  const names = second ? first.names.filter((name) => !second.names.includes(name)) : [];
  const again = names.filter((name) => flakyBefore().includes(name));
  writeFileSync(flakyFile, JSON.stringify(names, null, 2));
  const isExcused = names.length === 1 && again.length === 0;
  if (isExcused) passed++;
  failed.push(...first.names.filter((name) => !(isExcused && names.includes(name))));
  for (const name of names) console.log(`Passed only alone: ${name}`);
  if (names.length > 1) console.log('More than one passed only alone; none of them is excused.');
  for (const name of again) console.log(`So did it the time before, which is no chance: ${name}`);
}

try {
  installPackages();
  if (!findChromium()) {
    console.log('Installing a browser for the browser tests.');
    // Where there is no headless one, the whole browser does.
    if (!installFromDebian(['chromium-headless-shell'])) installFromDebian(['chromium']);
  }
  rmSync(join(root, 'test-results'), { recursive: true, force: true });
  mkdirSync(join(root, 'test-results'), { recursive: true });

  const built = await readSources();
  check('no package downloads at install', onlyKnownInstallScripts);
  console.log('\n— unit tests, and parts of the interface');
  unitTests();
  if (built) {
    console.log('\n— hostile suite');
    hostileTests();
    console.log('\n— browser tests');
    if (findChromium()) browserTests();
    else
      failed.push('There is no Chromium and it could not be installed; set CHROMIUM to its path.');
  }
} catch (error) {
  failed.push(error.message);
}

/** sqlite3 compiles itself; the other two only look for what their packages ship. */
function onlyKnownInstallScripts() {
  const known = ['node_modules/sqlite3', 'node_modules/@swc/core', 'node_modules/@parcel/watcher'];
  const lock = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));
  const others = Object.entries(lock.packages)
    .filter(([path, { hasInstallScript }]) => hasInstallScript && !known.includes(path))
    .map(([path]) => path)
    .filter((path) => !path.includes('fsevents'));
  if (others.length > 0) console.error(`Packages with an install script: ${others.join(', ')}`);
  return others.length === 0;
}

if (failed.length > 0) console.log(`\nFailed:\n${failed.map((name) => `- ${name}`).join('\n')}`);
console.log(`\n${passed} passed, ${failed.length} failed`);
process.exitCode = failed.length > 0 ? 1 : 0;
