import { useSyncExternalStore } from 'react';

/** Why changes can't be kept just now; null while all is well, empty when nobody answers. */
let hindrance: string | null = null;
const listeners = new Set<() => void>();

/**
 * Notes whether the server could do what it was asked just now.
 *
 * @param why what it says stands in the way; null when it did not answer
 */
export function setReachable(now: boolean, why: string | null = null): void {
  const next = now ? null : (why ?? '');
  if (next === hindrance) return;
  hindrance = next;
  listeners.forEach((listener) => listener());
}

/** Why changes can't be kept just now; null while all is well, empty when nobody answers. */
export function useHindrance(): string | null {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => hindrance,
  );
}
