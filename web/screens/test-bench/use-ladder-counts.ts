import { useState } from 'react';
import type { PlannedLadder } from '../../../core/plan/ladder-plan';

/** What was counted on a rung; null where nothing is written down yet. */
export interface RungCounts {
  readonly n: number | null;
  readonly short: number | null;
  readonly over: number | null;
}

interface Kept {
  readonly ladder: PlannedLadder | null;
  readonly counts: readonly (RungCounts | null)[];
  /** Chosen with the first count: sending it twice records it once. */
  readonly ids: readonly string[];
}

const nothing: Kept = { ladder: null, counts: [], ids: [] };

function remembered(key: string): Kept {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as Partial<Kept> | null;
    const whole =
      kept?.ladder?.rungs.length && Array.isArray(kept.counts) && Array.isArray(kept.ids);
    return whole ? (kept as Kept) : nothing;
  } catch {
    return nothing;
  }
}

/** A ladder that is being entered, kept over a reload until it is recorded. */
export function useLadderCounts(planId: string) {
  const key = `pin-margin ladder ${planId}`;
  const [kept, setKept] = useState(() => remembered(key));
  const keep = (next: Kept) => {
    setKept(next);
    if (next.ladder) localStorage.setItem(key, JSON.stringify(next));
    else localStorage.removeItem(key);
  };
  return {
    ...kept,
    /** Writes down one rung; from then on the ladder stays the one that was sewn. */
    put(ladder: PlannedLadder, i: number, counts: RungCounts, ids: () => string[]): void {
      const all = ladder.rungs.map((_, at) => (at === i ? counts : (kept.counts[at] ?? null)));
      keep({ ladder, counts: all, ids: kept.ids.length > 0 ? kept.ids : ids() });
    },
    clear: () => keep(nothing),
  };
}
