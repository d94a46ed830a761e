/** Long enough for the first page to be served, ms. */
const soonMs = 2000;

/**
 * Begins what will be wanted later, unless it was wanted meanwhile: beginning a thread or a process
 * keeps whoever waits for it waiting, and keeps the first visitor waiting when it is done at start.
 *
 * @param begin does nothing where it was begun already
 */
export function soon(begin: () => void): void {
  setTimeout(begin, soonMs).unref();
}
