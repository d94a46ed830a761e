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

/** Keeps what is unsent for the next page; nothing where there is none. */
function keep(unsent: readonly Unsent[]): void {
  if (unsent.length > 0) localStorage.setItem(place, JSON.stringify(unsent));
  else localStorage.removeItem(place);
}

/**
 * Sends what the page before this one could not, and keeps what this one can't for the next. What is
 * kept goes only once it is taken over, so that no reload in between loses it.
 */
export function carryUnsentOver(): void {
  writer.takeOver(leftBehind(), keep).catch(tellTrouble);
  window.addEventListener('pagehide', () => keep(writer.unsent()));
}
