import { randomUUID } from 'node:crypto';
import { Router, type Response } from 'express';
import type { ChangedEvent } from '../../contract/event';
import { Refusal } from '../http/refusal';
import type { Store, Told } from '../store/store';

/** Tabs that listen at once; more than this are no household. */
const mostListeners = 200;
/** Changes that are remembered for a tab that slept. */
const remembered = 500;
/** A change of more records than this is told as one of everything. */
const mostNamed = 200;
/** Proxies and sleeping laptops end a line on which nothing is said, ms. */
const pulseMs = 20_000;

interface Entry {
  readonly number: number;
  readonly text: string;
}

function eventOf({ by, records }: Told): ChangedEvent {
  return {
    tab: by.tab,
    records:
      records && records.length <= mostNamed ? records.map(([table, id]) => [table, id]) : null,
  };
}

/**
 * Tells every tab of every change as it reaches the disk, by server-sent events. A tab that comes
 * back says the last one it heard and is told the rest; one that missed too much, or that knew
 * another run of the server, is told that everything may be different.
 */
export function eventRoutes(store: Store): Router {
  const router = Router();
  const run = randomUUID().slice(0, 8);
  const listening = new Set<Response>();
  const past: Entry[] = [];
  let number = 0;

  const written = ({ number: id, text }: Entry) => `id: ${run}-${id}\ndata: ${text}\n\n`;
  store.listen((told) => {
    const entry = { number: ++number, text: JSON.stringify(eventOf(told)) };
    past.push(entry);
    if (past.length > remembered) past.shift();
    for (const response of listening) response.write(written(entry));
  });
  setInterval(() => {
    for (const response of listening) response.write(': still here\n\n');
  }, pulseMs).unref();

  router.get('/events', (request, response) => {
    if (listening.size >= mostListeners) {
      throw new Refusal(503, 'busy', `${mostListeners} tabs listen already; close some.`);
    }
    response
      .set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' })
      .flushHeaders();
    const last = request.headers['last-event-id'];
    const [, sameRun, heard] = /^([0-9a-f]{8})-(\d{1,15})$/.exec(String(last ?? '')) ?? [];
    const missed = past.filter((entry) => entry.number > Number(heard));
    const all: ChangedEvent = { tab: '', records: null };
    response.write(`retry: 1000\nid: ${run}-${number}\n`);
    if (last === undefined) response.write(': listening\n\n');
    else if (sameRun === run && missed.length === number - Number(heard)) {
      response.write(`: back\n\n${missed.map(written).join('')}`);
    } else response.write(`data: ${JSON.stringify(all)}\n\n`);
    listening.add(response);
    response.on('close', () => listening.delete(response));
  });
  return router;
}
