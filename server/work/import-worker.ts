import { parentPort, workerData } from 'node:worker_threads';
import { mappedFile } from '../database/mapped';
import { defineModels } from '../database/models';
import { judgeFile, type Judged } from '../exchange/judged';
import { storedIn } from '../exchange/stored';
import type { KeptPhoto } from '../photos/keep-photo';
import { lotsOf, type FromThread, type ToThread } from './importer';
import { heard, told, type Told } from './told-refusal';

/** A thread's whole life: a file in, what would become of it out, and then its rows, lot by lot. */
const { database } = workerData as { database: string };
const sequelize = mappedFile(database);
const stored = storedIn(defineModels(sequelize));
const say = (message: FromThread) => parentPort?.postMessage(message);
let lots: Iterator<Judged['rows']> | null = null;
let unpacked: ((result: Told<KeptPhoto>) => void) | null = null;

parentPort?.on('message', (message: ToThread) => {
  if (message.is === 'look') void look(Buffer.from(message.bytes));
  else if (message.is === 'picture') unpacked?.(message.result);
  else {
    const next = lots?.next();
    say({ is: 'lot', rows: !next || next.done ? null : next.value });
  }
});

async function sent(picture: Buffer, path: string): Promise<KeptPhoto> {
  const result = new Promise<Told<KeptPhoto>>((done) => (unpacked = done));
  say({ is: 'picture', bytes: picture, path });
  return heard(await result);
}

async function look(bytes: Buffer): Promise<void> {
  lots = null;
  const result = await told(() =>
    judgeFile(bytes, { ...stored, sent }, (done, total) => say({ is: 'progress', done, total })),
  );
  if ('refused' in result) return say({ is: 'judged', result });
  lots = lotsOf(result.ok);
  const { rows: _rows, ...ok } = result.ok;
  say({ is: 'judged', result: { ok } });
}
