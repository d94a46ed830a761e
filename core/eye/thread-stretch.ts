const { max, min, round } = Math;

/** A short piece of thread across the seam, as it is found near a place. */
export interface Stretch {
  /** How much likelier its places are thread than cloth, in log. */
  readonly log: number;
  readonly alongMm: number;
  readonly fromMm: number;
  readonly toMm: number;
}

/** How much likelier a place is thread than cloth, in log. */
export type Odds = (alongMm: number, acrossMm: number) => number;

/** No bite shows more, mm. */
export const mostShownMm = 4;
/** Its middle lies no farther across from the place, mm. */
const acrossReachMm = 1.2;
export const stepMm = 0.1;

/**
 * The likeliest piece of thread across the seam near a place: of all stretches the one whose places
 * are likelier thread than cloth by most.
 *
 * @param reachMm it lies no farther along from the place
 */
export function likeliestStretch(
  odds: Odds,
  alongMm: number,
  acrossMm: number,
  reachMm: number,
): Stretch {
  let best: Stretch = { log: -Infinity, alongMm, fromMm: acrossMm, toMm: acrossMm };
  const far = acrossReachMm + mostShownMm / 2;
  const count = round((2 * far) / stepMm);
  const steps = max(1, round(reachMm / stepMm));
  for (let i = -steps; i <= steps; i++) {
    const s = alongMm + (i / steps) * reachMm;
    // The best stretch of a list of gains: start anew where what went before was a loss.
    let [sum, start] = [0, 0];
    for (let j = 0; j < count; j++) {
      if (sum <= 0) [sum, start] = [0, j];
      sum += odds(s, acrossMm - far + (j + 0.5) * stepMm);
      const middle = acrossMm - far + ((start + j + 1) / 2) * stepMm;
      const off = (middle - acrossMm) / 0.5;
      const log = sum - (off * off) / 2;
      if (log > best.log) {
        best = {
          ...{ log, alongMm: s },
          fromMm: acrossMm - far + start * stepMm,
          toMm: acrossMm - far + (j + 1) * stepMm,
        };
      }
    }
  }
  return best;
}

const loudest = 2.5;

/**
 * How much likelier places are thread than cloth by how far each stands out, in log: no place says more than {@link loudest}.
 *
 * @param look how far a place stands out the way that thread does, in greys
 * @param thread how far thread does
 * @param spread how far cloth strays
 */
export const oddsOf =
  (look: Odds, thread: number, spread: number): Odds =>
  (alongMm, acrossMm) => {
    const log = ((look(alongMm, acrossMm) - thread / 2) * thread) / (spread * spread) / 3;
    return max(-loudest, min(loudest, log));
  };
