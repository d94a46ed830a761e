import { randomUUID } from 'node:crypto';
import type { Request } from 'express';
import { importJob } from '../../contract/exchange';

/** How far some work is, in whatever it counts. */
export interface Progress {
  readonly done: number;
  readonly total: number;
}

const notBegun: Progress = { done: 0, total: 0 };

/** Works under way that somebody may ask about, by the name they gave them in `?job=`. */
export class Jobs {
  private readonly running = new Map<string, Progress>();

  /** Does a work that tells how far it is; it is forgotten when it ends. */
  async run<T>(
    request: Request,
    work: (progress: (done: number, total: number) => void) => Promise<T>,
  ): Promise<T> {
    const job = importJob.safeParse(request.query['job']);
    const name = job.success ? job.data : randomUUID();
    this.running.set(name, notBegun);
    try {
      return await work((done, total) => this.running.set(name, { done, total }));
    } finally {
      this.running.delete(name);
    }
  }

  of(name: string): Progress {
    return this.running.get(name) ?? notBegun;
  }
}
