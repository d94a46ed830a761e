import { Refusal } from '../http/refusal';

interface Waiting {
  start(): void;
}

export interface QueueLimits {
  /** Pieces of work under way at once. */
  readonly atOnce: number;
  /** Pieces of one client's that may wait. */
  readonly waitingOfOne: number;
  /** Pieces that may wait in all. */
  readonly waiting: number;
  /** What is said to whoever finds no room to wait in. */
  readonly full: string;
}

/**
 * Lets so many pieces of work run at once, and the others wait; clients get their turns one after
 * another, so that whoever asks for much waits for it alone.
 */
export class FairQueue {
  private readonly lines = new Map<string, Waiting[]>();
  private running = 0;
  private waiting = 0;
  constructor(private readonly limits: QueueLimits) {}

  /**
   * Does a piece of work when it is its turn.
   *
   * @param client whose turn it takes
   * @param signal gives the place in the line up
   * @throws Refusal 503 when too much waits, the signal's reason when it is given up
   */
  async run<T>(client: string, work: () => Promise<T>, signal?: AbortSignal): Promise<T> {
    await this.turn(client, signal);
    try {
      return await work();
    } finally {
      this.running--;
      this.next();
    }
  }

  private turn(client: string, signal: AbortSignal | undefined): Promise<void> {
    signal?.throwIfAborted();
    if (this.running < this.limits.atOnce && this.waiting === 0) {
      this.running++;
      return Promise.resolve();
    }
    const line = this.lines.get(client) ?? [];
    if (line.length >= this.limits.waitingOfOne || this.waiting >= this.limits.waiting) {
      return Promise.reject(new Refusal(503, 'busy', this.limits.full));
    }
    return new Promise((start, give) => {
      const waiting: Waiting = {
        start: () => {
          signal?.removeEventListener('abort', leave);
          start();
        },
      };
      const leave = () => {
        this.drop(client, waiting);
        give(signal?.reason as Error);
      };
      signal?.addEventListener('abort', leave, { once: true });
      this.lines.set(client, [...line, waiting]);
      this.waiting++;
    });
  }

  private drop(client: string, gone: Waiting): void {
    const line = (this.lines.get(client) ?? []).filter((one) => one !== gone);
    if (line.length > 0) this.lines.set(client, line);
    else this.lines.delete(client);
    this.waiting--;
  }

  private next(): void {
    const [first] = this.lines;
    if (!first || this.running >= this.limits.atOnce) return;
    const [client, [waiting, ...rest]] = first;
    if (!waiting) return;
    // To the end of the round, behind everybody else who waits.
    this.lines.delete(client);
    if (rest.length > 0) this.lines.set(client, rest);
    this.waiting--;
    this.running++;
    waiting.start();
  }
}
