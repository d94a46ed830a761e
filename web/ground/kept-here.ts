import { useCallback, useMemo } from 'react';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface KeptHere {
  /** What was kept, by its place; whoever reads it says whether it is what it should be. */
  readonly entries: Readonly<Record<string, unknown>>;
}

const name = 'pin-margin kept here';
/** Where an earlier build kept each by itself. */
const earlier = ['scrap ', 'wishes ', 'piece ', 'book columns'];

/** What an earlier build left, so that nothing half written is lost with it. */
function leftBefore(): Record<string, unknown> {
  const found: Record<string, unknown> = {};
  for (const key of Object.keys(localStorage)) {
    const place = key.replace(/^pin-margin /, '');
    if (place === key || !earlier.some((one) => place.startsWith(one))) continue;
    try {
      found[place] = JSON.parse(localStorage.getItem(key) ?? 'null');
    } catch {
      // What can't be read was nothing.
    }
  }
  return found;
}

/**
 * What this browser keeps for the next visit and the server need not know: drafts, wishes, how one
 * looks at things. One store, so that every part of the page sees the same at once.
 */
const useStore = create<KeptHere>()(
  persist((): KeptHere => ({ entries: leftBefore() }), { name, version: 1 }),
);

// Another tab keeps things too.
window.addEventListener('storage', ({ key }) => {
  if (key === name) void useStore.persist.rehydrate();
});

/** What is kept at a place, whoever asks. */
export const keptHere = (place: string): unknown => useStore.getState().entries[place];

/** Keeps something at a place. */
export function keepHere(place: string, value: unknown): void {
  useStore.setState(({ entries }) => ({ entries: { ...entries, [place]: value } }));
}

/**
 * What is kept at a place, and how to keep something else there.
 *
 * @param read takes what was kept for what it is; whatever an older build wrote may stand there.
 *   Always the same function
 */
export function useKeptHere<T>(place: string, read: (kept: unknown) => T): [T, (next: T) => void] {
  const kept = useStore(({ entries }) => entries[place]);
  const value = useMemo(() => read(kept), [kept, read]);
  const keep = useCallback((next: T) => keepHere(place, next), [place]);
  return [value, keep];
}
