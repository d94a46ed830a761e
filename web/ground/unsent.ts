import { tellTrouble, writer } from './records';
import type { Unsent } from './waiting';
import { tab } from './who';

/** Each tab leaves its own under its own name: none writes over what another left. */
const prefix = 'pin-margin unsent changes';
const ownPlace = `${prefix} ${tab}`;

function parsed(text: string | null): Unsent[] {
  try {
    const kept: unknown = JSON.parse(text ?? '[]');
    return Array.isArray(kept) ? (kept as Unsent[]) : [];
  } catch {
    return [];
  }
}

/** Keeps what is unsent for the next page; nothing where there is none. */
function keep(place: string, unsent: readonly Unsent[]): void {
  if (unsent.length > 0) localStorage.setItem(place, JSON.stringify(unsent));
  else localStorage.removeItem(place);
}

/** Takes over what pages before this one left, one page after the other. */
async function takeOverAll(): Promise<void> {
  const places = Object.keys(localStorage).filter((place) => place.startsWith(prefix));
  for (const place of places.sort()) {
    await writer.takeOver(parsed(localStorage.getItem(place)), (rest) => keep(place, rest));
    localStorage.removeItem(place);
  }
}

/**
 * Sends what pages before this one could not, and keeps what this one can't for the next. What is
 * kept goes only once it is taken over, so that no reload in between loses it.
 */
export function carryUnsentOver(): void {
  takeOverAll().catch(tellTrouble);
  window.addEventListener('pagehide', () => keep(ownPlace, writer.unsent()));
  // A page that comes back as it was left sends its changes itself.
  window.addEventListener('pageshow', ({ persisted }) => {
    if (persisted) localStorage.removeItem(ownPlace);
  });
}
