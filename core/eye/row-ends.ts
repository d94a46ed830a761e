import type { Prick } from './pricks';

/**
 * A row of bites without the places beyond its ends, where the machine would have sewn had it gone on. Of bites that do not
 * show nothing tells whether they are there: beyond the outermost that show so many are taken to be as there are in a row
 * between two that do, in the mean.
 *
 * @param places in the order of the seam, at which a bite may come out
 * @returns the same where none shows
 */
export function withinRow(places: readonly Prick[]): readonly Prick[] {
  const shown = places.flatMap(({ shownMm }, i) => (shownMm > 0 ? [i] : []));
  const [first, last] = [shown[0], shown.at(-1)];
  if (first === undefined || last === undefined) return places;
  const hidden = last - first + 1 - shown.length;
  const beyond = Math.round(hidden / shown.length);
  return places.slice(Math.max(0, first - beyond), last + 1 + beyond);
}
