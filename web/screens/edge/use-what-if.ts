import { useCallback, useSyncExternalStore } from 'react';
import { asItIs, type WhatIf } from '../../bench/what-if';

const listeners = new Set<() => void>();
/** The plan looked at and what is changed; another plan starts as it is. */
let standing: { readonly planId: string; readonly change: WhatIf } | null = null;

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** A second opinion on an edge: table and slip see the same one. It is gone with the page. */
export function useWhatIf(planId: string): [WhatIf, (patch: Partial<WhatIf>) => void] {
  const of = () => (standing?.planId === planId ? standing.change : asItIs);
  const change = useSyncExternalStore(subscribe, of);
  const set = useCallback(
    (patch: Partial<WhatIf>) => {
      const now = standing?.planId === planId ? standing.change : asItIs;
      standing = { planId, change: { ...now, ...patch } };
      listeners.forEach((listener) => listener());
    },
    [planId],
  );
  return [change, set];
}
