// Answers a second, beside a bare Express in the same run: reading an edge, the book's first page of
// twenty thousand scraps, and how even the answers are under fifty connections.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import autocannon from 'autocannon';

const bareScript = `
  import express from 'express';
  const app = express();
  const edge = JSON.parse(process.argv[1]);
  app.get('/edge', (request, response) => response.json(edge));
  const server = app.listen(0, '127.0.0.1', () => console.log(server.address().port));
`;

/** An Express that does nothing but answer one record, in a process of its own. */
async function bareExpress(record) {
  const child = spawn(
    process.execPath,
    ['--input-type=module', '-e', bareScript, JSON.stringify(record)],
    { stdio: ['ignore', 'pipe', 'inherit'], env: { ...process.env, NODE_ENV: 'production' } },
  );
  const [port] = await once(child.stdout, 'data');
  return { address: `http://127.0.0.1:${String(port).trim()}`, stop: () => child.kill() };
}

/** @returns answers a second, and the median and the 99th percentile of their time, ms */
async function fire(url, connections, seconds = 4) {
  await autocannon({ url, connections, duration: 1 });
  const { requests, latency, non2xx } = await autocannon({ url, connections, duration: seconds });
  if (non2xx > 0) throw new Error(`${non2xx} refused answers of ${url}`);
  return { perSecond: requests.average, p50: latency.p50, p99: latency.p99 };
}

/**
 * Puts the measures of the server into the table.
 *
 * @param address a server whose book has twenty thousand scraps
 */
export async function benchServer({ address, row }) {
  const edge = await (await fetch(`${address}/api/edges/edge-shirt`)).json();
  const bare = await bareExpress(edge);
  const [whole, read, page, many] = [
    await fire(`${bare.address}/edge`, 10),
    await fire(`${address}/api/edges/edge-shirt`, 10),
    await fire(`${address}/api/book`, 10),
    // Longer: of four seconds one pause to collect garbage is the slowest of a hundred.
    await fire(`${address}/api/edges/edge-shirt`, 50, 12),
  ];
  bare.stop();
  row('a bare Express answering an edge', whole.perSecond, '/s', null);
  row(
    'reading an edge: share of a bare Express',
    read.perSecond / whole.perSecond,
    '×',
    null,
    0.35,
  );
  row(
    'the book’s first page of 20,000: share of a bare Express',
    page.perSecond / whole.perSecond,
    '×',
    null,
    0.1,
  );
  row('50 connections: slowest of a hundred against the median', many.p99 / many.p50, '×', 5);
}
