import { useCallback, useSyncExternalStore } from 'react';
import { presets, wishNames, type Wishes } from '../../core/choose/request';

const listeners = new Set<() => void>();
const standing = new Map<string, Wishes>();

const keyOf = (planId: string) => `pin-margin wishes ${planId}`;

/** Wishes as this browser kept them; null when it kept none, or something else. */
function remembered(planId: string): Wishes | null {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(planId)) ?? 'null') as Wishes | null;
    const whole = wishNames.every((name) => kept !== null && kept[name] >= 0 && kept[name] <= 1);
    return whole ? kept : null;
  } catch {
    return null;
  }
}

function wishesOf(planId: string): Wishes {
  const known = standing.get(planId);
  if (known) return known;
  const first = remembered(planId) ?? presets[0]!.wishes;
  standing.set(planId, first);
  return first;
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/**
 * What is wished of an edge's finish; table and slip see the same, at once, and this browser keeps
 * it for the next visit.
 */
export function useWishes(planId: string): [Wishes, (patch: Partial<Wishes>) => void] {
  const wishes = useSyncExternalStore(subscribe, () => wishesOf(planId));
  const set = useCallback(
    (patch: Partial<Wishes>) => {
      const next = { ...wishesOf(planId), ...patch };
      standing.set(planId, next);
      localStorage.setItem(keyOf(planId), JSON.stringify(next));
      listeners.forEach((listener) => listener());
    },
    [planId],
  );
  return [wishes, set];
}
