import { Impossible } from '../impossible';
import { cutStrip, type StripAsked } from './cut';

/** Cloth is torn or cut off to the next of these, mm. */
const roundedToMm = 5;

/** Whether so much of the cloth's length gives the strip, in no more than so many pieces. */
function isEnough(asked: StripAsked, lengthMm: number, mostPieces: number): boolean {
  try {
    const { enough, fewest } = cutStrip({ ...asked, clothMm: [asked.clothMm[0], lengthMm] });
    return enough && (fewest ?? 1) <= mostPieces;
  } catch (error) {
    if (error instanceof Impossible) return false;
    throw error;
  }
}

/**
 * How little of a cloth's length gives a strip, over its whole width: what is taken off the shelf.
 * A longer piece never gives less, so that halving finds it.
 *
 * @param mostPieces it may be joined from; as many as it takes when left out
 * @returns mm along the grain, to the next 5; null where the whole piece is not enough
 */
export function leastLengthMm(asked: StripAsked, mostPieces = Infinity): number | null {
  const [, wholeMm] = asked.clothMm;
  if (!isEnough(asked, wholeMm, mostPieces)) return null;
  let [none, enough] = [0, wholeMm];
  while (enough - none > 0.5) {
    const middle = (none + enough) / 2;
    if (isEnough(asked, middle, mostPieces)) enough = middle;
    else none = middle;
  }
  return Math.min(wholeMm, Math.ceil(enough / roundedToMm) * roundedToMm);
}

/** One way of taking a strip off a cloth: so many pieces from so much of its length. */
export interface Taking {
  readonly pieces: number;
  readonly lengthMm: number;
}

/**
 * What a strip costs of the cloth by how often it is joined: each more join that saves some of the
 * length, the fewest joins first.
 *
 * @param most ways, from the fewest joins on
 * @returns none where the whole piece is not enough
 */
export function takings(asked: StripAsked, most: number): Taking[] {
  let whole;
  try {
    whole = cutStrip(asked);
  } catch (error) {
    if (error instanceof Impossible) return [];
    throw error;
  }
  if (!whole.enough) return [];
  const found: Taking[] = [];
  const first = whole.fewest ?? 1;
  const last = asked.way === 'tube' ? first : first + 11;
  for (let pieces = first; pieces <= last && found.length < most; pieces++) {
    const lengthMm = leastLengthMm(asked, pieces);
    if (lengthMm === null || lengthMm > (found.at(-1)?.lengthMm ?? Infinity) - roundedToMm)
      continue;
    found.push({ pieces, lengthMm });
  }
  return found;
}
