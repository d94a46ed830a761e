import { narrowTurnMm } from '../edge/flare';
import type { Finish } from '../finish/finish';
import { completed, takesField, type FoldWish } from '../finish/fold-request';
import { foldTroubles, wishForVariant } from '../plan/fold-plan';
import { purposeOf, type ChooseRequest } from './request';

/** Thicker cloth does not fold so narrow, mm. Starting guess. */
const thickestNarrowMm = 0.35;

/** The sizes of the scrolls in a drawer, each once. */
function scrolls(kit: ChooseRequest['kit'], kind: 'hemmer' | 'wide-hemmer'): number[] {
  const sizes = kit.feet
    .filter((foot) => foot.kind === kind)
    .flatMap(({ channelMm }) => channelMm ?? []);
  return [...new Set(sizes)].sort((a, b) => a - b);
}

/** The depths a turned edge is tried at: the one asked for, else its own and a narrow one. */
function depthsOf(finish: Finish, variant: string, { edge, kit, cloth }: ChooseRequest): number[] {
  const rule = finish.fields.depthMm;
  if (!rule || !takesField(rule, variant) || !finish.nature(variant).worked.includes('turned')) {
    return [];
  }
  if (edge.depthMm !== null) return [edge.depthMm];
  if (finish.needs(variant).feet.includes('wide-hemmer')) return scrolls(kit, 'wide-hemmer');
  const narrow = Math.max(narrowTurnMm, rule.leastMm);
  const folds = cloth.thicknessMm <= thickestNarrowMm;
  const own = rule.startMm ?? narrow;
  // What a head passes through is turned narrow: a deep turn does not lie round it.
  if (purposeOf(edge) === 'opening') return [Math.min(own, narrow)];
  return folds && own > narrow && finish.nature(variant).worked.length === 1
    ? [own, narrow]
    : [own];
}

/**
 * The lengths a variant is tried with on an edge: every depth and every scroll of the drawer that
 * could serve it. The best of them is kept.
 */
export function candidateWishes(
  finish: Finish,
  variant: string,
  request: ChooseRequest,
): FoldWish[] {
  const { edge, kit, cloth } = request;
  const channelRule = finish.fields.channelMm;
  const channels =
    channelRule && takesField(channelRule, variant)
      ? scrolls(kit, 'hemmer').filter((mm) => mm >= channelRule.leastMm && mm <= channelRule.mostMm)
      : [];
  const kept = finish.nature(variant).keepsOldHem && edge.oldHem ? edge.oldHem.depthMm : null;
  const joined =
    finish.nature(variant).purposes.every((purpose) => purpose === 'seam') ||
    purposeOf(edge) === 'seam'
      ? (edge.seamAllowanceMm ?? null)
      : null;
  const lengths: Omit<FoldWish, 'variant'>[] = [
    ...depthsOf(finish, variant, request).map((depthMm) => ({ depthMm })),
    ...channels.map((channelMm) => ({ channelMm })),
    ...(kept === null ? [] : [{ depthMm: kept }]),
    ...(joined === null ? [] : [{ seamAllowanceMm: joined }]),
    // A knife takes only so much: a wide allowance is trimmed to the finish's own first.
    ...(joined !== null && finish.nature(variant).worked.includes('over-edge') ? [{}] : []),
  ];
  const wishes = (lengths.length > 0 ? lengths : [{}]).map((given) =>
    completed(finish.fields, wishForVariant(finish, given, variant)),
  );
  const foldable = wishes.filter((wish) => foldTroubles(finish, { wish, cloth }).length === 0);
  // Where the wished lengths contradict one another, the finish's own stand.
  return foldable.length > 0
    ? foldable
    : [completed(finish.fields, wishForVariant(finish, {}, variant))];
}
