import { setReachable } from './connection';

/** How long to wait before asking an unreachable server again, ms. */
const retryMs = 1500;

async function answers(): Promise<boolean> {
  try {
    await fetch('/api/health', { cache: 'no-store' });
    return true;
  } catch {
    return false;
  }
}

/**
 * Loads a part of the app. A server that is away is asked until it is back; one that is there and
 * has no such part any more is a newer one, and the page has to be loaded anew.
 */
export async function patiently<T>(load: () => Promise<T>): Promise<T> {
  for (let refused = 0; ;) {
    try {
      return await load();
    } catch (error) {
      if (await answers()) refused++;
      else setReachable(false);
      // It may have come back between the two questions: once more, and then it is believed.
      if (refused > 1) throw error;
      await new Promise((again) => setTimeout(again, retryMs));
    }
  }
}
