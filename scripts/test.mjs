// `npm test`: installs what is missing, then everything that can find fault, and one last line
// that adds it all up.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, installFromDebian, installPackages, root, run } from './prepare.mjs';

let passed = 0;
let failed = 0;

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
  else failed++;
  console.log(ok ? `${name}: passed` : `${name}: failed`);
  return ok;
}

const bin = (name) => join(root, 'node_modules', '.bin', name);
const tool = (name, ...args) => run(bin(name), args) === 0;

function findChromium() {
  const named = process.env.CHROMIUM;
  const candidates = [named, '/usr/bin/chromium', '/usr/bin/chromium-browser'].filter(Boolean);
  return candidates.find((path) => existsSync(path));
}

/** Counts the tests of a runner by its own report; without a report the run itself failed. */
function countReport(name, file, read) {
  if (!existsSync(file)) {
    failed++;
    console.log(`${name}: no report was written`);
    return;
  }
  const [good, bad] = read(JSON.parse(readFileSync(file, 'utf8')));
  passed += good;
  failed += bad;
  if (good + bad === 0) failed++;
}

function unitTests() {
  const report = join(root, 'test-results', 'unit.json');
  run(bin('jest'), ['--json', `--outputFile=${report}`]);
  countReport('unit tests', report, (found) => [
    found.numPassedTests,
    found.numFailedTests + found.numRuntimeErrorTestSuites,
  ]);
}

function hostileTests() {
  const report = join(root, 'test-results', 'hostile.json');
  run(process.execPath, [join(root, 'scripts', 'hostile.mjs'), 'short']);
  countReport('hostile suite', report, (found) => [found.passed, found.failed]);
}

/** Runs browser tests and reads how it went; null where no report was written. */
function runBrowserTests(...args) {
  const report = join(root, 'test-results', 'browser.json');
  rmSync(report, { force: true });
  run(bin('playwright'), ['test', ...args], { env: { ...process.env, CHROMIUM: findChromium() } });
  if (!existsSync(report)) return null;
  const { stats, errors } = JSON.parse(readFileSync(report, 'utf8'));
  return { good: stats.expected, bad: stats.unexpected + stats.flaky + errors.length };
}

/**
 * All browser tests, two beside each other. What fails is run once more alone, since a machine
 * that is busy with something else can be too slow for a page to be asked in time; what fails
 * again has failed, and what does not is told.
 */
function browserTests() {
  const first = runBrowserTests();
  if (!first || first.good + first.bad === 0) {
    failed++;
    console.log('browser tests: no report was written');
    return;
  }
  passed += first.good;
  if (first.bad === 0) return;
  console.log(`\n— ${first.bad} browser tests once more, alone`);
  const second = runBrowserTests('--last-failed', '--workers=1');
  const stillBad = second && second.good + second.bad > 0 ? second.bad : first.bad;
  failed += stillBad;
  passed += first.bad - stillBad;
  console.log(`${first.bad - stillBad} of ${first.bad} passed alone.`);
}

try {
  installPackages();
  if (!findChromium()) {
    console.log('Installing a browser for the browser tests.');
    installFromDebian(['chromium']);
  }
  rmSync(join(root, 'test-results'), { recursive: true, force: true });
  mkdirSync(join(root, 'test-results'), { recursive: true });

  check('formatting', () => tool('prettier', '--check', '--log-level', 'warn', '.'));
  check('lint', () => tool('eslint', '.', '--max-warnings', '0'));
  check('types', () => tool('tsc', '-p', 'tsconfig.json'));
  check('types of the core alone', () => tool('tsc', '-p', 'core/tsconfig.json'));
  check('floor rules', () =>
    tool('depcruise', 'core', 'contract', 'server', 'web', '--output-type', 'err'),
  );
  check('nothing unused', () => tool('knip'));
  check('no package downloads at install', onlyKnownInstallScripts);
  check(
    'licences',
    () => run(process.execPath, [join(root, 'scripts', 'licences.mjs'), 'check']) === 0,
  );
  console.log('\n— unit tests');
  unitTests();
  if (
    check('build', () => {
      build();
      return true;
    })
  ) {
    console.log('\n— hostile suite');
    hostileTests();
    console.log('\n— browser tests');
    if (findChromium()) browserTests();
    else {
      failed++;
      console.log('There is no Chromium and it could not be installed; set CHROMIUM to its path.');
    }
  }
} catch (error) {
  failed++;
  console.error(error.message);
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

console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
