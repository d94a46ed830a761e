import { useSyncExternalStore } from 'react';

let reachable = true;
const listeners = new Set<() => void>();

/** Notes whether the server answered just now. */
export function setReachable(now: boolean): void {
  if (now === reachable) return;
  reachable = now;
  listeners.forEach((listener) => listener());
}

/** Whether the server answered last time it was asked. */
export function useReachable(): boolean {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => reachable,
  );
}
