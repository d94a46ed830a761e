import { proxy, wrap, type Remote } from 'comlink';
import type { EyeAsked, Eyed, EyedEdge, eyeTasks, LaidFlat } from './eye-tasks';
import { untilAnswered } from './until-answered';

/** A thread ends so much later than it is let go: what it gives back at its end would hold up the picture, ms. */
const endsAfterMs = 500;

interface EyeThread {
  readonly worker: Worker;
  readonly eye: Remote<typeof eyeTasks>;
}

function begun(): EyeThread {
  const worker = new Worker(new URL('./eye.worker.ts', import.meta.url), { type: 'module' });
  return { worker, eye: wrap(worker) };
}

const ended = ({ worker }: EyeThread): void =>
  void setTimeout(() => worker.terminate(), endsAfterMs);

/** A thread that waits to be asked, and how many may ask it soon. */
let waiting: EyeThread | null = null;
let holders = 0;

/**
 * Has a thread ready before it is asked, and keeps it from one photo to the next: its script is there when the photo is.
 *
 * @returns lets it go
 */
export function eyeReady(): () => void {
  holders++;
  waiting ??= begun();
  return () => {
    holders--;
    if (holders > 0 || !waiting) return;
    ended(waiting);
    waiting = null;
  };
}

/**
 * Asks the eye something on a thread of its own; given up, the thread ends at once.
 *
 * @throws the signal’s reason when it is aborted
 */
async function onThread<T>(
  ask: (eye: Remote<typeof eyeTasks>) => Promise<T>,
  signal: AbortSignal,
): Promise<T> {
  const thread = waiting ?? begun();
  waiting = null;
  const { worker, eye } = thread;
  const over = new AbortController();
  try {
    const answer = await new Promise<T>((done, failed) => {
      const until = { once: true, signal: over.signal };
      signal.addEventListener('abort', () => failed(signal.reason as Error), until);
      worker.addEventListener(
        'error',
        () => failed(new Error('The picture could not be measured.')),
        until,
      );
      ask(eye).then(done, failed);
    });
    if (holders > 0 && !waiting) waiting = thread;
    else ended(thread);
    return answer;
  } catch (error) {
    worker.terminate();
    if (holders > 0) waiting ??= begun();
    throw error;
  } finally {
    over.abort();
  }
}

/** Measures a photo. @throws the signal’s reason when it is aborted */
export const measuredPhoto = (
  file: Blob,
  asked: EyeAsked,
  onShare: (share: number) => void,
  signal: AbortSignal,
): Promise<Eyed> =>
  untilAnswered(onShare, (told) =>
    onThread<Eyed>(async (eye) => eye.measure(file, asked, proxy(told)), signal),
  );

/** Lays a photo’s window flat. @throws the signal’s reason when it is aborted */
export const flatPhoto = (file: Blob, signal: AbortSignal): Promise<LaidFlat> =>
  onThread<LaidFlat>(async (eye) => eye.flat(file), signal);

/** Looks at an edge in a photo. @throws the signal’s reason when it is aborted */
export const edgeOnPhoto = (file: Blob, signal: AbortSignal): Promise<EyedEdge> =>
  onThread<EyedEdge>(async (eye) => eye.edge(file), signal);
