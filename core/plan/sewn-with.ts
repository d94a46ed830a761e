import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import type { SewnWith } from '../finish/work';
import type { Sole } from '../seam/crossings';
import type { Judgement } from './judge';
import { marginOfPlan } from './margin-of-plan';

/**
 * The setting in force as the steps of the work take it: dials, what rides along what, and what
 * that makes of every check.
 *
 * @param plan led along one reference
 */
export function sewnWith(
  finish: Finish,
  plan: SewingPlan,
  { settings, checks, margins }: Judgement,
  foot: { readonly name: string; readonly soleMm: Sole },
): SewnWith {
  const [first] = margins;
  const sides = first ? [-first.fromMm, first.toMm].filter((mm) => Number.isFinite(mm)) : [];
  const [reference] = marginOfPlan(finish, plan.fold.variant).references(plan, settings);
  return {
    settings,
    machine: plan.machine,
    foot: plan.foot,
    footName: foot.name,
    soleMm: foot.soleMm,
    stitch: plan.stitch,
    rides: reference.name,
    checks: Object.fromEntries(checks.map(({ name, v0Mm }) => [name, v0Mm])),
    smallerSideMm: sides.length > 0 ? Math.max(0, Math.min(...sides)) : null,
  };
}
