import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { computations, type Computation } from '../compute/computations';
import { innerSums, type InnerSum } from '../compute/inner-sums';
import { Refusal } from '../http/refusal';
import type { Asked } from './asked';
import { FairQueue } from './fair-queue';
import { heard, type Told } from './told-refusal';

/** Who waits for a sum, where it is not the house itself. */
export interface Waits {
  readonly client: string;
  readonly gone: AbortSignal;
}

/** Works out an answer of `/api/compute`, as the JSON that will be sent. */
export interface Compute {
  /**
   * @param client whose turn it takes while others wait
   * @param gone given up when it is aborted
   * @throws Refusal when the body is refused, 503 when too much waits or it takes too long
   */
  run(name: Computation, body: unknown, client: string, gone: AbortSignal): Promise<string>;
  /** Works out a sum that the server needs for itself. */
  inner<N extends InnerSum>(
    name: N,
    given: Parameters<(typeof innerSums)[N]>[0],
    waits?: Waits,
  ): Promise<ReturnType<(typeof innerSums)[N]>>;
}

/** On the thread that asks; where there are no others, as in tests. */
export const computeHere: Compute = {
  run: (name, body) => new Promise((done) => done(JSON.stringify(computations[name](body)))),
  inner: (name, given) => new Promise((done) => done(innerSums[name](given as never) as never)),
};

/** Nothing here takes a tenth of it; what does is stuck. */
const deadlineMs = 8_000;
const memoryMb = 400;
const tooMuch = 'Too much is being worked out at once; ask again in a while.';

/** On threads of their own, one core being left to whoever answers. */
export function computeOnThreads(file: string): Compute {
  const threads = Math.max(1, availableParallelism() - 1);
  const pool = new Piscina<Asked, Told<unknown>>({
    filename: file,
    // The first one begins when something is asked, and stays: it costs a sixth of the server's start.
    minThreads: 0,
    maxThreads: threads,
    idleTimeout: Infinity,
    resourceLimits: { maxOldGenerationSizeMb: memoryMb },
  });
  const queue = new FairQueue({ atOnce: threads, waitingOfOne: 32, waiting: 256, full: tooMuch });
  const run = async (asked: Asked, client: string, gone: AbortSignal): Promise<unknown> => {
    try {
      return heard(
        await queue.run(
          client,
          () => pool.run(asked, { signal: AbortSignal.any([gone, deadline()]) }),
          gone,
        ),
      );
    } catch (error) {
      throw refusalOf(error, gone) ?? error;
    }
  };
  const stays = new AbortController().signal;
  return {
    run: async (name, body, client, gone) => String(await run({ name, body }, client, gone)),
    inner: async (name, given, { client, gone } = { client: 'the house', gone: stays }) =>
      (await run({ inner: name, given }, client, gone)) as never,
  };
}

const deadline = () => AbortSignal.timeout(deadlineMs);

function refusalOf(error: unknown, gone: AbortSignal): Refusal | null {
  const { name, code } = error as { name?: string; code?: string };
  // Nobody is there to read it; it is told so that it is not taken for a fault of ours.
  if (gone.aborted) return new Refusal(503, 'gone', 'Nobody waits for this any more.');
  if (name === 'AbortError' || name === 'TimeoutError') {
    return new Refusal(503, 'too-slow', 'This took longer than anything here may, and was ended.');
  }
  return code === 'ERR_WORKER_OUT_OF_MEMORY'
    ? new Refusal(503, 'too-large', 'This took more memory than anything here may, and was ended.')
    : null;
}
