// The sample book with twenty thousand scraps: its pages, its filters and its charts, beside a raw
// read of the same rows from the same file.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sqlite3 from 'sqlite3';
import { benchServer } from './bench-server.mjs';
import { spawnServer } from './spawn-server.mjs';

const scraps = 20_000;
const sorted = (numbers) => [...numbers].sort((a, b) => a - b);
const median = (numbers) => sorted(numbers)[Math.floor(numbers.length / 2)];

/** Twenty thousand scraps, made from the demo's: other days, other counts, other cloths. */
function manyFrom(entries) {
  return Array.from({ length: scraps }, (_, i) => {
    const entry = entries[i % entries.length];
    const day = new Date(Date.UTC(2010, 0, 1 + Math.floor((i * 5800) / scraps)));
    return {
      ...entry,
      id: `bench-${i}`,
      planId: null,
      clothId: `cloth-bench-${i % 400}`,
      names: { ...entry.names, cloth: `Cloth ${i % 400} of the bench` },
      sewnOn: day.toISOString().slice(0, 10),
      createdAt: day.toISOString(),
      counts: entry.counts.map((count) => ({ ...count, short: i % 4, over: 0 })),
      note: i % 50 === 0 ? 'starched first' : '',
      verdict: ['keep', 'nearly', 'no'][i % 3],
    };
  });
}

/** Puts the measures of the book into the table. */
export async function benchBook({ browser, row }) {
  const dataFolder = mkdtempSync(join(tmpdir(), 'pin-margin-bench-book-'));
  const { address, stop } = await spawnServer(dataFolder);
  const file = await (await fetch(`${address}/api/export/sample-book.json`)).json();
  const body = JSON.stringify({ ...file, photos: [], attempts: manyFrom(file.attempts) });
  const send = async (path) => {
    const headers = { 'content-type': 'application/octet-stream' };
    const answer = await fetch(`${address}/api/${path}`, { method: 'POST', headers, body });
    if (!answer.ok) throw new Error((await answer.text()).slice(0, 500));
    return answer.json();
  };
  let start = performance.now();
  const { digest } = await send('import/preview');
  await send(`import?digest=${digest}`);
  row('20,000 scraps looked at and taken in', performance.now() - start, 'ms', null);

  /** The median time of an answer, read whole. */
  const timed = async (path) => {
    const times = [];
    for (let i = 0; i < 21; i++) {
      start = performance.now();
      await (await fetch(`${address}/api/${path}`)).arrayBuffer();
      times.push(performance.now() - start);
    }
    return median(times.slice(1));
  };
  const database = new sqlite3.Database(join(dataFolder, 'pin-margin.sqlite'));
  /** The median time of reading rows raw from the file, in this process. */
  const raw = async (sql) => {
    const times = [];
    for (let i = 0; i < 21; i++) {
      start = performance.now();
      await new Promise((done, failed) =>
        database.all(sql, (error, rows) => (error ? failed(error) : done(rows))),
      );
      times.push(performance.now() - start);
    }
    return median(times.slice(1));
  };
  const columns = `id, planId, number, finish, clothId, machineId, footId, verdict, sewnOn, pinned,
    names, counts, settings, dialValues, symptoms, photoId, note`;
  row('20,000 scraps: the first page from the server', await timed('book'), 'ms', 100);
  row(
    'the same rows raw from SQLite',
    await raw(`SELECT ${columns} FROM attempts ORDER BY sewnOn DESC, createdAt DESC LIMIT 50`),
    'ms',
    null,
  );
  const filter = 'book?q=starched&verdict=keep&finish=blind-hem';
  row('narrowed by words, verdict and finish', await timed(filter), 'ms', 150);
  row(
    'the same rows raw from SQLite',
    await raw(`SELECT ${columns} FROM attempts WHERE note LIKE '%starched%' AND verdict = 'keep'
      AND finish = 'blind-hem' ORDER BY sewnOn DESC, createdAt DESC LIMIT 50`),
    'ms',
    null,
  );
  row(
    'narrowed by words alone, sorted by faults',
    await timed('book?q=bench&sort=faults'),
    'ms',
    150,
  );
  row('what it can be narrowed to', await timed('book/choices'), 'ms', 150);
  row('what the charts show, from the server', await timed('book/skill'), 'ms', 200);
  row(
    'the scraps of the charts raw from SQLite',
    await raw(`SELECT finish, clothId, settings, counts, setUp FROM attempts
      WHERE footId = 'foot-blind-fixed' ORDER BY sewnOn DESC LIMIT 300`),
    'ms',
    null,
  );
  await benchServer({ address, row });
  row('what worked before, for a new plan', await timed('plans/plan-trousers/worked'), 'ms', 200);

  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${address}/book`);
  await page.locator('tbody tr').nth(20).waitFor();
  // From the choice to the rows, in the page, by its own clock.
  const shown = async (choose, until) => {
    await page.evaluate((selector) => {
      window.seenAt = null;
      const from = performance.now();
      const look = () => {
        if (document.querySelector(selector)) window.seenAt = performance.now() - from;
        else requestAnimationFrame(look);
      };
      window.begin = () => requestAnimationFrame(look);
    }, until);
    await page.evaluate(() => window.begin());
    await choose();
    await page.waitForFunction(() => window.seenAt !== null);
    return page.evaluate(() => window.seenAt);
  };
  const cards = await shown(
    () => page.getByRole('radio', { name: 'Your hand' }).click(),
    'canvas[role=img]',
  );
  row('from a click to the charts on the screen', cards, 'ms', null);
  await page.close();
  database.close();
  await stop();
  rmSync(dataFolder, { recursive: true, force: true });
}
