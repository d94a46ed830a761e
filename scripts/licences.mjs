// `docs/licences.md` from what the lock file brings along; with `check`, whether it still says so.
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './prepare.mjs';

/** Licences under which a package may be used here and given on. */
const allowed =
  /^\(?(MIT|MIT\*|ISC|0BSD|BSD-[23]-Clause|Apache-2\.0|BlueOak-1\.0\.0|OFL-1\.1|MPL-2\.0|WTFPL|Unlicense|CC0-1\.0|Python-2\.0|CC-BY-4\.0)( (OR|AND) [\w.-]+)*\)?$/;

const lock = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8')).packages;
// What is only for one system, or only for building, differs from machine to machine.
const shipped = new Set(
  Object.entries(lock)
    .filter(([path, it]) => path && !it.dev && !it.optional && !it.devOptional)
    .map(([path, it]) => `${path.split('node_modules/').at(-1)}@${it.version}`),
);
const found = JSON.parse(
  execFileSync(
    join(root, 'node_modules', '.bin', 'license-checker-rseidelsohn'),
    ['--production', '--json', '--excludePrivatePackages'],
    {
      cwd: root,
      encoding: 'utf8',
      maxBuffer: 64 * 1024 * 1024,
      stdio: ['ignore', 'pipe', 'ignore'],
    },
  ),
);
const byLicence = new Map();
for (const [name, { licenses }] of Object.entries(found)) {
  if (!shipped.has(name)) continue;
  const licence = String(licenses);
  byLicence.set(licence, [...(byLicence.get(licence) ?? []), name]);
}
const text = `# Licences

Pin Margin itself is under the MIT licence (LICENSE). It stands on the packages below, by their
licences; \`node scripts/licences.mjs\` writes this list from the lock file. The picture library
brings libvips with it, under LGPL-3.0-or-later, as a library of its own that may be exchanged.

${[...byLicence]
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(
    ([licence, names]) =>
      `## ${licence}\n\n${names
        .sort()
        .map((name) => `- ${name}`)
        .join('\n')}\n`,
  )
  .join('\n')}`;
const file = join(root, 'docs', 'licences.md');
const foreign = [...byLicence.keys()].filter((licence) => !allowed.test(licence));
if (foreign.length > 0) console.error(`Not allowed here: ${foreign.join(', ')}.`);
if (process.argv.includes('check')) {
  const same = readFileSync(file, 'utf8') === text;
  if (!same) console.error('docs/licences.md is not what the lock file brings; write it anew.');
  process.exitCode = same && foreign.length === 0 ? 0 : 1;
} else writeFileSync(file, text);
