import { useSyncExternalStore } from 'react';
import type { Disputed } from './merge';

/** A change that met another one of the same fields. */
export interface Dispute {
  readonly resource: string;
  readonly id: string;
  /** What the record is called, where it has a name. */
  readonly name: string;
  readonly fields: readonly Disputed[];
}

let open: readonly Dispute[] = [];
const listeners = new Set<() => void>();

function set(next: readonly Dispute[]): void {
  open = next;
  listeners.forEach((listener) => listener());
}

/** Asks which of two changes is to stand. */
export function dispute(one: Dispute): void {
  set([...open, one]);
}

/** Ends the question that is being asked. */
export function settleDispute(): void {
  set(open.slice(1));
}

/** The question to ask now. */
export function useDispute(): Dispute | null {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => open[0] ?? null,
  );
}
