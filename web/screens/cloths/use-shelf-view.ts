import { useState } from 'react';
import { wholeShelf, type ShelfView } from './shelf-view';

const key = 'pin-margin shelf view';

function remembered(): ShelfView {
  try {
    const kept = JSON.parse(sessionStorage.getItem(key) ?? '{}') as Partial<ShelfView>;
    return { ...wholeShelf, ...kept };
  } catch {
    return wholeShelf;
  }
}

/** What of the shelf is looked at; a reload keeps it. */
export function useShelfView(): [ShelfView, (patch: Partial<ShelfView>) => void] {
  const [view, setView] = useState(remembered);
  return [
    view,
    (patch) => {
      const next = { ...view, ...patch };
      setView(next);
      sessionStorage.setItem(key, JSON.stringify(next));
    },
  ];
}
