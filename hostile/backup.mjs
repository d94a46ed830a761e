// A book of many scraps and photos goes out as an archive, into an empty folder, and out again: the
// same bytes, and memory that does not grow with it.
import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, readFileSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import seedrandom from 'seedrandom';
import sharp from 'sharp';
import sqlite3 from 'sqlite3';
import { spawnServer } from '../scripts/spawn-server.mjs';
import { expect, newFolder } from './server-under-attack.mjs';

/** A photo like no other, as the app keeps them: noise, which a JPEG can't make small. */
async function photo(i) {
  const raw = { width: 240, height: 180, channels: 3 };
  const bytes = await sharp(noise.subarray(i * 3, i * 3 + 240 * 180 * 3), { raw })
    .jpeg({ quality: 80 })
    .toBuffer();
  return { id: createHash('sha256').update(bytes).digest('hex'), bytes };
}

/** Enough of it that every photo begins elsewhere in it. */
const noise = Buffer.alloc(240 * 180 * 3 + 3 * 1_000);
const random = seedrandom('noise');
for (let i = 0; i < noise.length; i++) noise[i] = 50 + random() * 140;

/** Puts scraps and photos into a folder's database while no server has it open. */
async function fill(folder, scraps, photos) {
  const database = new sqlite3.Database(join(folder, 'pin-margin.sqlite'));
  const run = (sql, values = []) =>
    new Promise((done, failed) =>
      database.all(sql, values, (error, rows) => (error ? failed(error) : done(rows))),
    );
  await run('BEGIN');
  const ids = [];
  for (let i = 0; i < photos; i++) {
    const { id, bytes } = await photo(i);
    ids.push(id);
    await run('INSERT INTO photos (id, bytes, widthPx, heightPx) VALUES (?, ?, 240, 180)', [
      id,
      bytes,
    ]);
  }
  const columns = (await run(`SELECT name FROM pragma_table_info('attempts')`)).map(
    ({ name }) => name,
  );
  const own = {
    id: `'many-' || n.i`,
    planId: 'NULL',
    number: 'n.i + 1',
    sewnOn: `date('2010-01-01', (n.i % 5800) || ' days')`,
    note: `'scrap ' || n.i`,
    photoId: `(SELECT value FROM json_each(?1) WHERE key = n.i / ${scraps / photos})`,
  };
  await run(
    `INSERT INTO attempts (${columns.map((name) => `"${name}"`)})
     WITH RECURSIVE n(i) AS (SELECT 0 UNION ALL SELECT i + 1 FROM n WHERE i < ${scraps - 1}),
       known AS (SELECT *, row_number() OVER () - 1 AS at FROM attempts),
       many AS (SELECT count(*) AS all_of_them FROM attempts)
     SELECT ${columns.map((name) => own[name] ?? `known."${name}"`)}
     FROM n, many JOIN known ON known.at = n.i % many.all_of_them`,
    [JSON.stringify(ids)],
  );
  await run('COMMIT');
  await new Promise((done) => database.close(done));
}

const digestOf = async (file) => {
  const hash = createHash('sha256');
  for await (const part of createReadStream(file)) hash.update(part);
  return hash.digest('hex');
};

/** The most memory a process has had, MB. */
const peakMb = (pid) =>
  Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;

async function out(server, file) {
  const answer = await fetch(`${server.address}/api/archive`);
  expect(answer.status === 200, `the archive was answered with ${answer.status}`);
  await pipeline(Readable.fromWeb(answer.body), createWriteStream(file));
}

/**
 * What is no longer held is swept up when there is need of room, so what a server with all the room
 * of the machine takes says little of what it holds. These have room for what is under way, and end
 * when they hold the rows of the large book.
 */
const littleRoom = { NODE_OPTIONS: '--max-old-space-size=72' };

/** @returns peak memory of the server that wrote and of the one that read, MB */
async function roundTrip(scraps, photos) {
  const [from, into] = [newFolder(), newFolder()];
  const [first, second] = [join(from, 'first.tar'), join(into, 'second.tar')];
  try {
    await (await spawnServer(from)).stop();
    await fill(from, scraps, photos);
    let server = await spawnServer(from, 0, littleRoom);
    await out(server, first);
    const wrote = peakMb(server.pid);
    await server.stop();
    server = await spawnServer(into, 0, littleRoom);
    const answer = await fetch(`${server.address}/api/archive`, {
      method: 'POST',
      headers: { 'content-type': 'application/x-tar' },
      body: createReadStream(first),
      duplex: 'half',
    });
    expect(answer.status === 200, `taking it in: ${answer.status} ${await answer.text()}`);
    await out(server, second);
    const read = peakMb(server.pid);
    await server.stop();
    expect((await digestOf(first)) === (await digestOf(second)), 'what came out again differs');
    return { wrote, read, mb: statSync(first).size / 1e6 };
  } finally {
    for (const folder of [from, into]) rmSync(folder, { recursive: true, force: true });
  }
}

/** How much more memory a twentyfold archive may take, MB: what is under way, not what is in it. */
const mostMoreMb = 120;

export async function backedUp() {
  const small = await roundTrip(1_000, 25);
  const large = await roundTrip(20_000, 500);
  const told = (name) => `${small[name].toFixed(0)} → ${large[name].toFixed(0)} MB`;
  console.log(`  archive ${told('mb')}; memory writing ${told('wrote')}, reading ${told('read')}`);
  expect(large.wrote - small.wrote < mostMoreMb, 'writing takes memory with the size');
  expect(large.read - small.read < mostMoreMb, 'reading takes memory with the size');
}
