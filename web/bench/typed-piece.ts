import { useMemo, useSyncExternalStore } from 'react';

/** A piece of cloth as somebody typed it, across and along the grain, mm; null follows the shelf. */
export type TypedPiece = readonly [wideMm: number | null, longMm: number | null];

const listeners = new Set<() => void>();
const keyOf = (planId: string) => `pin-margin piece ${planId}`;

const isLength = (it: unknown) => it === null || (typeof it === 'number' && it > 0);

/** A piece as this browser kept it; of the shelf when it kept none, or something else. */
function read(kept: string | null): TypedPiece {
  try {
    const piece: unknown = JSON.parse(kept ?? 'null');
    return Array.isArray(piece) && piece.length === 2 && piece.every(isLength)
      ? [piece[0] as number | null, piece[1] as number | null]
      : [null, null];
  } catch {
    return [null, null];
  }
}

function subscribe(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

/** The piece a strip is tried on, where it is another than the shelf's; kept over a reload. */
export function useTypedPiece(planId: string): [TypedPiece, (piece: TypedPiece) => void] {
  const kept = useSyncExternalStore(subscribe, () => localStorage.getItem(keyOf(planId)));
  const piece = useMemo(() => read(kept), [kept]);
  return [
    piece,
    (next) => {
      localStorage.setItem(keyOf(planId), JSON.stringify(next));
      listeners.forEach((tell) => tell());
    },
  ];
}
