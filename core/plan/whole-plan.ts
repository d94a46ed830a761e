import { assumedStrip } from '../cloth/usual-strip';
import { completed } from '../finish/fold-request';
import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import { usualTwinGapMm } from '../stitch/stitch';

/**
 * A plan with whatever nobody said filled in as the finish's sums take it: every optional length of
 * its folds at its start, the usual gap of a twin needle, and the strip of a cloth that is too thick
 * to be bound with itself.
 */
export function wholePlan(
  { fields, needs, nature, variants }: Pick<Finish, 'fields' | 'needs' | 'nature' | 'variants'>,
  plan: SewingPlan,
): SewingPlan {
  const fold = completed(fields, plan.fold);
  const { variant } = plan.fold;
  if (!variants.some(({ id }) => id === variant)) return { ...plan, fold };
  const twin = needs(variant).twinNeedle && (plan.stitch.twinGapMm ?? 0) === 0;
  const { worked, stripMm = Infinity } = nature(variant);
  const strip = plan.strip ?? (worked.includes('strip') ? assumedStrip(plan.cloth, stripMm) : null);
  return {
    ...plan,
    fold,
    ...(twin ? { stitch: { ...plan.stitch, twinGapMm: usualTwinGapMm } } : {}),
    ...(strip ? { strip } : {}),
  };
}
