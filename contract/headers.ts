/** The header that says whose change a request is; undo is one's own. */
export const personHeader = 'x-pin-margin-person';
/** The header that says in which tab it was made; that tab need not be told of it. */
export const tabHeader = 'x-pin-margin-tab';
/** The header of a list that says how many records there are in all. */
export const totalHeader = 'x-total-count';

/** A list is answered in parts of at most so many records. */
export const mostListed = 500;
