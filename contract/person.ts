import * as z from 'zod';

/** The header that says whose change a request is; undo is one's own. */
export const personHeader = 'x-pin-margin-person';
/** The header that says in which tab it was made; that tab need not be told of it. */
export const tabHeader = 'x-pin-margin-tab';

/** A name that a browser or a tab made up for itself. */
export const madeUpName = z.string().regex(/^[A-Za-z0-9-]{1,64}$/);
