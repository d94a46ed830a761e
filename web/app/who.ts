import { personHeader, tabHeader } from '../../contract/headers';

const place = 'pin-margin person';

/** The name this browser made up for its person; kept, so that undo stays one's own. */
function person(): string {
  try {
    const known = localStorage.getItem(place);
    if (known) return known;
    const made = crypto.randomUUID();
    localStorage.setItem(place, made);
    return made;
  } catch {
    // A browser that keeps nothing is somebody new each time.
    return crypto.randomUUID();
  }
}

/** This tab; what it changes itself it need not be told of. */
export const tab = crypto.randomUUID();

/** What every request says of who asks. */
export const whoHeaders: Readonly<Record<string, string>> = {
  [personHeader]: person(),
  [tabHeader]: tab,
};
