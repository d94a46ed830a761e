import { proxy, wrap, type Remote } from 'comlink';
import type { EyeAsked, Eyed, EyedEdge, eyeTasks, LaidFlat } from './eye-tasks';
import { untilAnswered } from './until-answered';

/** A thread that has answered ends this much later: what it gives back at its end would hold up the picture, ms. */
const endsAfterMs = 500;

/**
 * Asks the eye something on a thread of its own, which ends with the answer; given up, it ends at once.
 *
 * @throws the signal’s reason when it is aborted
 */
async function onThread<T>(
  ask: (eye: Remote<typeof eyeTasks>) => Promise<T>,
  signal: AbortSignal,
): Promise<T> {
  const worker = new Worker(new URL('./eye.worker.ts', import.meta.url), { type: 'module' });
  const eye: Remote<typeof eyeTasks> = wrap(worker);
  try {
    const answer = await new Promise<T>((done, failed) => {
      signal.addEventListener('abort', () => failed(signal.reason as Error), { once: true });
      worker.addEventListener('error', () =>
        failed(new Error('The picture could not be measured.')),
      );
      ask(eye).then(done, failed);
    });
    setTimeout(() => worker.terminate(), endsAfterMs);
    return answer;
  } catch (error) {
    worker.terminate();
    throw error;
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
