import { useSyncExternalStore } from 'react';
import { localDay } from '../../core/book/day';

/** Whoever comes back to a page that was left open over midnight finds another day there. */
function whenSeenAgain(tell: () => void): () => void {
  document.addEventListener('visibilitychange', tell);
  window.addEventListener('focus', tell);
  return () => {
    document.removeEventListener('visibilitychange', tell);
    window.removeEventListener('focus', tell);
  };
}

const today = () => localDay(new Date());

/** The day it is where the person is, as `2026-01-31`. */
export const useToday = (): string => useSyncExternalStore(whenSeenAgain, today);
