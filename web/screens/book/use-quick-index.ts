import { useEffect, useRef } from 'react';

/**
 * Where one is in a list while the address follows a moment behind: keys that come quicker go on
 * from where they had gone.
 *
 * @param at where the address says one is
 * @returns where one is, and a way to note where one has gone
 */
export function useQuickIndex(at: number): {
  now(): number;
  went(index: number): void;
} {
  const index = useRef(at);
  useEffect(() => {
    index.current = at;
  }, [at]);
  return {
    now: () => index.current,
    went: (next) => {
      index.current = next;
    },
  };
}
