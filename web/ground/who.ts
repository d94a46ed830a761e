import { personHeader, tabHeader } from '../../contract/headers';
import { newId } from './new-id';

const place = 'pin-margin person';

/** The name this browser made up for its person; kept, so that undo stays one's own. */
function person(): string {
  try {
    const known = localStorage.getItem(place);
    if (known) return known;
    const made = newId();
    localStorage.setItem(place, made);
    return made;
  } catch {
    // A browser that keeps nothing is somebody new each time.
    return newId();
  }
}

/** This tab; what it changes itself it need not be told of. */
export const tab = newId();

/** What every request says of who asks. */
export const whoHeaders: Readonly<Record<string, string>> = {
  [personHeader]: person(),
  [tabHeader]: tab,
};
