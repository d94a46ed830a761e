import type * as z from 'zod';
import type { settingsRequest } from '../../contract/plan';
import type { Cloth } from '../../core/cloth/cloth';
import type { Finish } from '../../core/finish/finish';
import { impliedVariant, type FoldWish } from '../../core/finish/fold-request';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { Impossible, refusal } from '../../core/impossible';
import { alongNamed, alongBest } from '../../core/plan/ride';
import { knownFinish } from './known-finish';

type AskedFold = z.output<typeof settingsRequest>['fold'];

/** A fold wish with the variant that is meant where none was named. */
export function wholeWish(finish: Finish, { variant, ...lengths }: AskedFold): FoldWish {
  return { ...lengths, variant: variant ?? impliedVariant(finish, lengths) };
}

/** @throws Impossible at a strip for a finish that is wrapped in none */
export function refuseStrip(finish: Finish, variant: string, strip: Cloth | null): void {
  const known = finish.variants.some(({ id }) => id === variant);
  if (!strip || !known || finish.nature(variant).worked.includes('strip')) return;
  throw new Impossible([
    refusal('strip', 'no-strip', '{finish} is wrapped in no strip; leave its cloth out.', {
      finish: finish.id,
    }),
  ]);
}

/**
 * The plan that a body asks for, led along the reference it names or else along the best.
 *
 * @throws Impossible for an unknown finish, and when nothing can be sewn along any reference
 */
export function askedPlan<T extends z.output<typeof settingsRequest>>(
  body: T,
): { readonly finish: Finish; readonly plan: SewingPlan } {
  const { finish: id, fold, ...rest } = body;
  const finish = knownFinish(id);
  const { samples: _samples, ...asked } = rest as typeof rest & { samples?: unknown };
  const plan: SewingPlan = { ...asked, fold: wholeWish(finish, fold) };
  refuseStrip(finish, plan.fold.variant, plan.strip ?? null);
  const named = plan.foot.reference ? alongNamed(plan.foot, plan.foot.reference) : null;
  return { finish, plan: alongBest(finish, named ? { ...plan, foot: named } : plan) };
}
