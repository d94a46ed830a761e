import { proxy, wrap, type Remote } from 'comlink';
import type { EyeAsked, Eyed, eyeTasks } from './eye-tasks';

/**
 * Measures a photo on a thread of its own, which ends with it; given up, it ends at once.
 *
 * @throws the signal’s reason when it is aborted
 */
export async function measuredPhoto(
  file: Blob,
  asked: EyeAsked,
  onShare: (share: number) => void,
  signal: AbortSignal,
): Promise<Eyed> {
  const worker = new Worker(new URL('./eye.worker.ts', import.meta.url), { type: 'module' });
  const eye: Remote<typeof eyeTasks> = wrap(worker);
  try {
    return await new Promise<Eyed>((done, failed) => {
      signal.addEventListener('abort', () => failed(signal.reason as Error), { once: true });
      worker.addEventListener('error', () =>
        failed(new Error('The picture could not be measured.')),
      );
      eye.measure(file, asked, proxy(onShare)).then(done, failed);
    });
  } finally {
    worker.terminate();
  }
}
