// `npm run hostile`: the server attacked for long. With `short`, as a part of `npm test`, for less
// than ninety seconds. Its last lines say what held.
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { backedUp } from '../hostile/backup.mjs';
import { bombed } from '../hostile/bombs.mjs';
import { crowded } from '../hostile/crowd.mjs';
import { folderGone, fullDisk } from '../hostile/disk.mjs';
import { fuzz } from '../hostile/fuzz.mjs';
import { killed } from '../hostile/kills.mjs';
import { attackedAtTheDoor } from '../hostile/pairing.mjs';
import { build, root } from './prepare.mjs';

const short = process.argv.includes('short');
build();
const attacks = {
  'a backup of 20,000 scraps and 500 photos': backedUp,
  // Speed is claimed where nothing else runs; beside the other tests it is only told.
  fuzz: () => fuzz(short ? 5_000 : 100_000, !short),
  // Two folders beside each other, one for each core.
  kills: () => Promise.all(['thread', 'needle'].map((seed) => killed(short ? 10 : 100, seed))),
  // Guesses at the door wait for their turn more than they work.
  'a door on the home network': attackedAtTheDoor,
  'a full disk': fullDisk,
  'a folder taken away': folderGone,
  bombs: () => bombed(!short),
  'many devices': () => crowded(short),
};
let passed = 0;
const failed = [];

async function attacked([name, attack]) {
  const begun = performance.now();
  try {
    // One that this machine does not let us try has not held.
    if ((await attack()) !== 'left out') passed++;
  } catch (error) {
    failed.push(`${name}: ${error.message}`);
    console.error(failed.at(-1));
  }
  console.log(`— ${name}: ${((performance.now() - begun) / 1000).toFixed(1)} s`);
}

// One after another where the clock counts; three beside each other where it does not.
const waiting = Object.entries(attacks);
const lane = async () => {
  for (let next = waiting.shift(); next; next = waiting.shift()) await attacked(next);
};
await Promise.all(Array.from({ length: short ? 3 : 1 }, lane));
mkdirSync(join(root, 'test-results'), { recursive: true });
writeFileSync(join(root, 'test-results', 'hostile.json'), JSON.stringify({ passed, failed }));
console.log(`${passed} held, ${failed.length} did not`);
process.exitCode = failed.length > 0 ? 1 : 0;
