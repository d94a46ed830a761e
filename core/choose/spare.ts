import { takesField, type FoldRequest, type FoldWish } from '../finish/fold-request';
import type { Finish, FoldPlan } from '../finish/finish';
import type { ChosenEdge } from './request';
import { fact, type Weighing } from './weigh';

/** A strip takes no more than this share of the cloth left, or it is pieced out of scraps. */
const stripShare = 0.8;

/**
 * What a finish takes beyond the edge against the cloth there is. A hem whose depth nobody asked
 * for is made as deep as the cloth allows.
 *
 * @param request its folds, as they would be with all the cloth one likes
 * @returns the wish to go on with, and what the shortage costs
 */
export function weighSpare(
  finish: Finish,
  { wish, cloth }: FoldRequest,
  { allowanceMm }: FoldPlan,
  edge: ChosenEdge,
): Weighing & { readonly wish: FoldWish } {
  const spareMm = edge.spareMm ?? Infinity;
  if (allowanceMm <= spareMm) return { factor: 1, wish };
  const rule = finish.fields.depthMm;
  const deepestMm = Math.floor((wish.depthMm ?? 0) - (allowanceMm - spareMm));
  const values = { allowanceMm, spareMm, deepestMm };
  const shallower = { ...wish, depthMm: deepestMm };
  const could =
    rule &&
    takesField(rule, wish.variant) &&
    deepestMm >= rule.leastMm &&
    finish.contradictions({ wish: shallower, cloth }).length === 0;
  if (could && edge.depthMm === null) {
    const text = 'With {spareMm} beyond the edge it can be {deepestMm} deep.';
    return {
      factor: 0.95,
      wish: shallower,
      reason: { fact: fact('spare', text, values), weight: -0.2 },
    };
  }
  const text = 'It takes {allowanceMm} beyond the edge, and there is {spareMm}.';
  const need = could ? 'a depth of {deepestMm} at most' : '{allowanceMm} beyond the edge';
  return {
    factor: 0,
    wish,
    hindrance: {
      because: fact('spare', text, values),
      wouldNeed: fact('more-cloth', need, values),
    },
  };
}

/** A binding's strip against what is left of the cloth; it may be cut from another one. */
export function weighStrip({ strip }: FoldPlan, { lengthMm, clothLeft }: ChosenEdge): Weighing {
  if (!strip || !clothLeft) return { factor: 1 };
  const there = clothLeft.widthMm * clothLeft.lengthMm * stripShare;
  if (strip.widthMm * lengthMm <= there) return { factor: 1 };
  return {
    factor: 0.85,
    reason: {
      fact: fact(
        'strip',
        'A strip {stripMm} wide for {lengthMm} of edge is more than the {leftMm} left of this cloth gives.',
        { stripMm: strip.widthMm, lengthMm, leftMm: clothLeft.lengthMm },
      ),
      weight: -0.2,
    },
  };
}
