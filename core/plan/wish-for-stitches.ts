import type { Aim } from '../finish/sewing-plan';
import type { ThreadMatch } from '../kit/thread';
import type { FaultWeights } from '../margin/cost';
import { colourDifference } from '../colour/difference';
import { usualPickMm } from './new-plan';

/** Starting guesses: how much a miss and a stitch that shows matter, by what one would rather have. */
export const weightsOf: Readonly<Record<Aim, FaultWeights>> = {
  hold: { below: 3, above: 1 },
  even: { below: 1, above: 1 },
  hide: { below: 1, above: 3 },
};

/** The longest thread one accepts on the right side in a contrasting colour, mm. Starting guess. */
const contrastingPickMm = 0.5;
/** From this difference on a thread is plainly another colour. Starting guess. */
const plainDifference = 20;

/**
 * The longest thread one would accept on the right side: 1.0 mm in a thread that matches or cannot
 * be seen, down to 0.5 mm in one that is plainly another colour; in between by how far cloth and
 * thread differ. Source: docs/formulas.md, “Cloth and thread”.
 *
 * @param clothColour, threadColour as `#rrggbb`; null where nobody said
 */
export function proposedPickMm(
  thread: ThreadMatch,
  clothColour: string | null,
  threadColour: string | null,
): number {
  if (thread === 'clear') return usualPickMm;
  if (clothColour === null || threadColour === null) {
    return thread === 'contrasting' ? contrastingPickMm : usualPickMm;
  }
  const share = Math.min(1, colourDifference(clothColour, threadColour) / plainDifference);
  return Math.round((usualPickMm - (usualPickMm - contrastingPickMm) * share) * 100) / 100;
}
