import { useSyncExternalStore } from 'react';

/** Something the person should know about, once. */
export interface Notice {
  readonly kind: 'info' | 'trouble';
  readonly text: string;
}

let current: Notice | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();

/** Shows a notice in place of the one before; it goes after a while, or when dismissed. */
export function notify(notice: Notice | null): void {
  current = notice;
  clearTimeout(timer);
  if (notice) timer = setTimeout(() => notify(null), notice.kind === 'trouble' ? 12_000 : 5_000);
  listeners.forEach((listener) => listener());
}

/** The notice to show now. */
export function useNotice(): Notice | null {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => current,
  );
}
