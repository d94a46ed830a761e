import seedrandom from 'seedrandom';
import type { DriftBelief } from '../margin/belief';

/** A source of even numbers in 0 … 1 that starts over the same for the same seed. */
export function evenDraws(seed: number): () => number {
  const next = seedrandom(String(seed));
  return () => next();
}

/** No believable drift lies further out, mm. */
const reachMm = 16;

/**
 * The drift below which a share of all stitches lie: the inverse of the belief's own distribution,
 * whatever its shape, to a thousandth of a millimetre.
 *
 * @param share 0 … 1
 */
export function driftAt(belief: DriftBelief, share: number): number {
  let [low, high] = [-reachMm, reachMm];
  while (high - low > 1e-4) {
    const middle = (low + high) / 2;
    if (belief.leftOf(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
