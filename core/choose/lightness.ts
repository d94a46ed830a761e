import type { FoldPlan } from '../finish/fold-plan';
import type { Nature } from '../finish/nature';
import { layersAt } from '../fold/layer';

/** Starting guesses: added layers, and cloth folded in, mm, that each halve what is light. */
const halfLayers = 6;
const halfFoldedMm = 30;

/** What an edge carries beyond the bare cloth, in that cloth's own measure. */
export interface Carried {
  /** The most layers that lie on one another in the finished edge. */
  readonly layers: number;
  /** How many of them would be there anyway: two in a seam. */
  readonly ownLayers: number;
  /** Cloth folded in or added across the edge, mm of this cloth; a thinner strip counts for less. */
  readonly foldedMm: number;
}

/** The most layers of cloth on one another in the finished edge; a thinner strip counts for less. */
function mostLayers({ stages }: FoldPlan, clothMm: number): number {
  const stack = stages.at(-1)?.stack ?? [];
  const places = stack.flatMap(({ fromXMm, toXMm }) => [fromXMm, toXMm, (fromXMm + toXMm) / 2]);
  const heights = places.map((x) =>
    layersAt(stack, x).reduce((sum, { thicknessMm }) => sum + thicknessMm, 0),
  );
  return Math.max(clothMm, ...heights) / clothMm;
}

/**
 * What an edge carries, measured against the cloth itself.
 *
 * @param clothMm thickness of the cloth
 * @param stripMm thickness of the strip it is bound with, where it is
 */
export function carriedBy(
  plan: FoldPlan,
  nature: Nature,
  clothMm: number,
  stripMm: number,
): Carried {
  const { strip, trim, allowanceMm } = plan;
  const has = (working: Nature['worked'][number]) => nature.worked.includes(working);
  const left = trim ? trim.leaveMm : Math.max(0, allowanceMm);
  const foldedMm = strip
    ? strip.widthMm * (stripMm / clothMm)
    : has('joins') || has('tuck')
      ? 2 * left
      : has('turned')
        ? left
        : 0;
  return {
    layers: mostLayers(plan, clothMm),
    ownLayers: has('joins') ? 2 : 1,
    foldedMm,
  };
}

/** How light an edge is, 1 for the bare cloth. */
export function lightness({ layers, ownLayers, foldedMm }: Carried): number {
  return 1 / (1 + Math.max(0, layers - ownLayers) / halfLayers + foldedMm / halfFoldedMm);
}
