/** A list is answered in parts of at most so many records. */
export const mostListed = 500;

/** The header that says how many records there are in all. */
export const totalHeader = 'x-total-count';
