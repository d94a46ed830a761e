import { tellTrouble, writer } from './records';
import type { Unsent } from './record-writer';

const place = 'pin-margin unsent changes';

/** Changes that a reload left behind, for the next page. */
function leftBehind(): Unsent[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(place) ?? '[]');
    return Array.isArray(kept) ? (kept as Unsent[]) : [];
  } catch {
    return [];
  }
}

/** Sends what the page before this one could not, and keeps what this one can't for the next. */
export function carryUnsentOver(): void {
  const unsent = leftBehind();
  localStorage.removeItem(place);
  writer.takeOver(unsent).catch(tellTrouble);
  window.addEventListener('pagehide', () => {
    const waiting = writer.unsent();
    if (waiting.length > 0)
      localStorage.setItem(place, JSON.stringify([...leftBehind(), ...waiting]));
  });
}
