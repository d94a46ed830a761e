import { useSyncExternalStore } from 'react';

/** A piece of cloth as somebody typed it, across and along the grain, mm; null follows the shelf. */
export type TypedPiece = readonly [wideMm: number | null, longMm: number | null];

const none: TypedPiece = [null, null];
const standing = new Map<string, TypedPiece>();
const listeners = new Set<() => void>();
const keyOf = (planId: string) => `pin-margin piece ${planId}`;

const isLength = (it: unknown) => it === null || (typeof it === 'number' && it > 0);

function remembered(planId: string): TypedPiece {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(planId)) ?? 'null');
    return Array.isArray(kept) && kept.length === 2 && kept.every(isLength)
      ? [kept[0] as number | null, kept[1] as number | null]
      : none;
  } catch {
    return none;
  }
}

function pieceOf(planId: string): TypedPiece {
  const piece = standing.get(planId) ?? remembered(planId);
  standing.set(planId, piece);
  return piece;
}

function subscribe(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

/** The piece a strip is tried on, where it is another than the shelf's; kept over a reload. */
export function useTypedPiece(planId: string): [TypedPiece, (piece: TypedPiece) => void] {
  const piece = useSyncExternalStore(subscribe, () => pieceOf(planId));
  return [
    piece,
    (next) => {
      standing.set(planId, next);
      localStorage.setItem(keyOf(planId), JSON.stringify(next));
      listeners.forEach((tell) => tell());
    },
  ];
}
