import { Readable } from 'node:stream';
import { Worker } from 'node:worker_threads';
import type { Database } from '../database/open';
import type { JudgedRow } from '../exchange/judge-rows';
import { judgeFile, type Judged } from '../exchange/judged';
import { storedIn } from '../exchange/stored';
import { Refusal } from '../http/refusal';
import type { KeptPhoto } from '../photos/keep-photo';
import type { Pictures } from '../photos/pictures';
import { FairQueue } from './fair-queue';
import { soon } from './soon';
import { heard, type Told, type ToldRefusal } from './told-refusal';

/** A file that was looked at; its rows come in lots, so that no lot keeps others waiting. */
export interface Looked {
  readonly digest: string;
  readonly preview: string;
  readonly label: string;
  readonly refusal: ToldRefusal | null;
  readonly photos: readonly KeptPhoto[];
  lots(): AsyncIterable<readonly JudgedRow[]>;
}

export interface Looking {
  readonly bytes: Buffer;
  readonly client: string;
  readonly gone: AbortSignal;
  /** Told now and then how many of how many rows are judged. */
  progress(done: number, total: number): void;
}

/** Reads files that somebody sent, and says what would become of them. */
export interface Importer {
  /**
   * @param use what is done with the result, while its lots can be had
   * @throws Refusal 400 when the file is refused, 503 when too many wait or it takes too long
   */
  look<T>(looking: Looking, use: (looked: Looked) => Promise<T>): Promise<T>;
}

const rowsInLot = 100;

/** A result's rows in lots. */
export function* lotsOf({ rows }: Judged): Generator<readonly JudgedRow[]> {
  for (let at = 0; at < rows.length; at += rowsInLot) yield rows.slice(at, at + rowsInLot);
}

/** On the thread that asks, as in tests. */
export function importHere({ models }: Database, pictures: Pictures): Importer {
  return {
    async look({ bytes, client, progress }, use) {
      const help = {
        ...storedIn(models),
        sent: (picture: Buffer, path: string) => pictures.run('sent', picture, path, client),
      };
      const judged = await judgeFile(bytes, help, progress);
      return use({
        ...judged,
        lots: () => Readable.from(lotsOf(judged)),
      });
    },
  };
}

/** What the thread says, and what it is told. */
export type FromThread =
  | { readonly is: 'progress'; readonly done: number; readonly total: number }
  | { readonly is: 'picture'; readonly bytes: Uint8Array; readonly path: string }
  | { readonly is: 'judged'; readonly result: Told<Omit<Looked, 'lots'>> }
  | { readonly is: 'lot'; readonly rows: readonly JudgedRow[] | null };
export type ToThread =
  | { readonly is: 'look'; readonly bytes: Uint8Array }
  | { readonly is: 'picture'; readonly result: Told<KeptPhoto> }
  | { readonly is: 'next' };

const deadlineMs = 60_000;
const memoryMb = 1024;

/** On a thread of its own, one file at a time; the thread stays for the next one. */
export function importOnThread(
  file: string,
  { file: database }: Database,
  pictures: Pictures,
): Importer {
  const queue = new FairQueue({
    ...{ atOnce: 1, waitingOfOne: 8, waiting: 16 },
    full: 'Other files are being read; send it again in a while.',
  });
  let idle: Worker | null = null;
  let isBegun = false;
  const ready = () => {
    isBegun = true;
    return new Worker(file, {
      workerData: { database },
      resourceLimits: { maxOldGenerationSizeMb: memoryMb },
    });
  };
  const lookOn = async <T>(looking: Looking, use: (looked: Looked) => Promise<T>): Promise<T> => {
    const worker = idle ?? ready();
    idle = null;
    const reading = new Reading(worker, pictures, looking);
    try {
      const result = await use(await reading.judged());
      if (reading.end()) idle = worker;
      return result;
    } catch (error) {
      if (reading.end()) idle = worker;
      throw error;
    }
  };
  // Begun before anyone sends a file, so that the first one need not wait for it.
  soon(() => {
    if (isBegun) return;
    idle = ready();
    idle.unref();
  });
  return {
    look: (looking, use) => queue.run(looking.client, () => lookOn(looking, use), looking.gone),
  };
}

/** One file on its way through the thread. */
class Reading {
  private waiting: { done(message: FromThread): void; failed(error: Error): void } | null = null;
  private over: Error | null = null;
  private readonly late: ReturnType<typeof setTimeout>;

  constructor(
    private readonly worker: Worker,
    private readonly pictures: Pictures,
    private readonly looking: Looking,
  ) {
    this.late = setTimeout(
      () => this.fail(new Refusal(503, 'too-slow', 'Reading this file takes too long; part it.')),
      deadlineMs,
    );
    looking.gone.addEventListener('abort', this.left);
    worker.on('message', this.heard);
    worker.on('error', this.broken);
  }

  async judged(): Promise<Looked> {
    const answer = this.next();
    const { bytes } = this.looking;
    // A large file is handed over, not copied; nobody here looks at it again.
    const whole = bytes.byteLength === bytes.buffer.byteLength;
    const message: ToThread = { is: 'look', bytes };
    this.worker.postMessage(message, whole ? [bytes.buffer as ArrayBuffer] : []);
    const said = await answer;
    if (said.is !== 'judged') throw new Error(`Not expected now: ${said.is}.`);
    const looked = heard(said.result);
    const photos = looked.photos.map((photo) => ({ ...photo, bytes: Buffer.from(photo.bytes) }));
    return { ...looked, photos, lots: () => this.lots() };
  }

  private async *lots(): AsyncGenerator<readonly JudgedRow[]> {
    for (;;) {
      const answer = this.next();
      this.worker.postMessage({ is: 'next' } satisfies ToThread);
      const message = await answer;
      if (message.is !== 'lot' || message.rows === null) return;
      yield message.rows;
    }
  }

  /** Lets go of the thread. @returns whether it can read another file */
  end(): boolean {
    clearTimeout(this.late);
    this.looking.gone.removeEventListener('abort', this.left);
    this.worker.off('message', this.heard);
    this.worker.off('error', this.broken);
    if (this.over) void this.worker.terminate();
    return this.over === null;
  }

  private readonly left = () =>
    this.fail(new Refusal(503, 'gone', 'Nobody waits for this any more.'));

  private readonly broken = (error: NodeJS.ErrnoException) =>
    this.fail(
      error.code === 'ERR_WORKER_OUT_OF_MEMORY'
        ? new Refusal(400, 'too-large', 'Reading this file takes too much memory; part it.')
        : error,
    );

  private readonly heard = (message: FromThread) => {
    if (message.is === 'progress') this.looking.progress(message.done, message.total);
    else if (message.is === 'picture') void this.unpack(message);
    else this.waiting?.done(message);
  };

  private next(): Promise<FromThread> {
    if (this.over) return Promise.reject(this.over);
    return new Promise((done, failed) => (this.waiting = { done, failed }));
  }

  private fail(error: Error): void {
    this.over = error;
    this.waiting?.failed(error);
  }

  private async unpack({
    bytes,
    path,
  }: {
    readonly bytes: Uint8Array;
    readonly path: string;
  }): Promise<void> {
    const { client } = this.looking;
    try {
      const ok = await this.pictures.run('sent', Buffer.from(bytes), path, client);
      this.worker.postMessage({ is: 'picture', result: { ok } } satisfies ToThread);
    } catch (error) {
      if (!(error instanceof Refusal)) return this.fail(error as Error);
      const { status, code, message, issues } = error;
      const refused = { status, code, message, issues };
      this.worker.postMessage({ is: 'picture', result: { refused } } satisfies ToThread);
    }
  }
}
