import { randomUUID } from 'node:crypto';
import { Router, type Response } from 'express';
import type { ChangedEvent } from '../../contract/event';
import { Refusal } from '../http/refusal';
import type { Store, Told } from '../store/store';

/** Tabs that listen at once: every device there may be, and some with several. */
const mostListeners = 1000;
/** Tabs of one device: none can take the room of all the others. */
const mostOfOne = 20;
/** What may wait for a listener that takes nothing, bytes: one that sleeps is cut off, and asks anew. */
const mostWaiting = 256 * 1024;
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
 * Tells every tab of every change as it reaches the disk, by server-sent events. A tab says the
 * last change it knows of and is told the rest; one that missed too much, or that knew another run
 * of the server, is told that everything may be different.
 */
export class Events {
  private readonly run = randomUUID().slice(0, 8);
  /** Who listens, with the device it is on. */
  private readonly listening = new Map<Response, string>();
  private readonly past: Entry[] = [];
  private number = 0;

  constructor(store: Store) {
    store.listen((told) => {
      const entry = { number: ++this.number, text: JSON.stringify(eventOf(told)) };
      this.past.push(entry);
      if (this.past.length > remembered) this.past.shift();
      this.tellAll(this.written(entry));
    });
    setInterval(() => this.tellAll(': still here\n\n'), pulseMs).unref();
  }

  private tellAll(text: string): void {
    for (const response of this.listening.keys()) {
      if (response.writableLength > mostWaiting) response.destroy();
      else response.write(text);
    }
  }

  /** The last change there was; a page that is loaded now knows everything until it. */
  get last(): string {
    return `${this.run}-${this.number}`;
  }

  /**
   * @param device which device listens, '' for the computer itself
   * @throws Refusal 503 when too many listen already
   */
  listen(response: Response, device: string, known: string | undefined): void {
    const ofOne = [...this.listening.values()].filter((one) => one === device).length;
    if (this.listening.size >= mostListeners || (device !== '' && ofOne >= mostOfOne)) {
      throw new Refusal(503, 'busy', `${ofOne} tabs listen here already; close some.`);
    }
    response
      .set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' })
      .flushHeaders();
    response.write(`retry: 1000\n: listening\n\n${this.missedSince(known)}`);
    this.listening.set(response, device);
    response.on('close', () => this.listening.delete(response));
  }

  private missedSince(known: string | undefined): string {
    const [, run, heard] = /^([0-9a-f]{8})-(\d{1,15})$/.exec(known ?? '') ?? [];
    const missed = this.past.filter((entry) => entry.number > Number(heard));
    if (run === this.run && missed.length === this.number - Number(heard)) {
      return missed.map((entry) => this.written(entry)).join('');
    }
    const all: ChangedEvent = { tab: '', records: null };
    return `id: ${this.last}\n${known === undefined ? ':' : 'data:'} ${JSON.stringify(all)}\n\n`;
  }

  private written({ number, text }: Entry): string {
    return `id: ${this.run}-${number}\ndata: ${text}\n\n`;
  }
}

/** The line on which tabs are told of changes. */
export function eventRoutes(events: Events): Router {
  const router = Router();
  router.get('/events', (request, response) => {
    const { since } = request.query;
    const last = request.headers['last-event-id'];
    const known = typeof last === 'string' ? last : since;
    const heard = typeof known === 'string' && known !== '' ? known : undefined;
    events.listen(response, String(response.locals['device'] ?? ''), heard);
  });
  return router;
}
