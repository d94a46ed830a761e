import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import { Impossible } from '../impossible';
import { everyReference, everyRide, type Foot } from '../kit/foot';
import { solved, tieWithin, type Costed } from '../margin/solve';
import { setUpOf } from './set-up-of';

/** Costs that differ by binary noise alone are equal. */
const noise = 1e-9;

/** As among settings; of rides that are alike the one that the foot names first. */
function tidierRide(a: Costed, b: Costed): number {
  const byCost = Math.abs(a.cost - b.cost) < noise ? 0 : a.cost - b.cost;
  return (
    Math.abs(a.needlePositionMm) - Math.abs(b.needlePositionMm) || a.widthMm - b.widthMm || byCost
  );
}

/** A plan led along one reference of its foot, with the best setting there. */
interface Ridden {
  readonly plan: SewingPlan;
  readonly best: Costed;
}

/** The best along one reference; the issues where nothing can be sewn along it. */
function ridden(finish: Finish, plan: SewingPlan): Ridden | Impossible {
  try {
    return { plan, best: solved(setUpOf(finish, plan)) };
  } catch (error) {
    if (error instanceof Impossible) return error;
    throw error;
  }
}

/** The foot as it is led along the reference of a name; null where it has none of that name. */
export function alongNamed(foot: Foot, name: string): Foot | null {
  return everyReference(foot).find(({ reference }) => reference === name) ?? null;
}

/**
 * A plan led along the reference of its foot that harms least: each is solved with its own
 * steadiness, and of those that are equally good the tidiest setting wins, as among settings.
 * Source: docs/formulas.md, “Along what”.
 *
 * @returns the plan as it is where its foot names no references, or is led along one already
 * @throws Impossible when nothing can be sewn along any of them
 */
export function alongBest(finish: Finish, plan: SewingPlan): SewingPlan {
  const references = plan.foot.references ?? [];
  if (references.length === 0 || (plan.foot.reference ?? null) !== null) return plan;
  const rides = everyRide(plan.foot).map((foot) => ({ ...plan, foot }));
  const [first] = rides;
  if (!first || !finish.margin(plan.fold.variant)) return first ?? plan;
  const tried = rides.map((ride) => ridden(finish, ride));
  const able = tried.filter((it): it is Ridden => !(it instanceof Impossible));
  const [refused] = tried;
  if (able.length === 0 && refused instanceof Impossible) throw refused;
  const least = Math.min(...able.map(({ best }) => best.cost));
  const near = able.filter(({ best }) => best.cost <= least + tieWithin);
  const [chosen] = near.sort((a, b) => tidierRide(a.best, b.best));
  return chosen?.plan ?? first;
}

/**
 * As {@link alongBest}, but along the first reference where nothing can be sewn along any: a
 * set-up that is to be shown with what is wrong about it, or kept while it is being changed.
 */
export function alongBestOrFirst(finish: Finish, plan: SewingPlan): SewingPlan {
  try {
    return alongBest(finish, plan);
  } catch (error) {
    if (!(error instanceof Impossible)) throw error;
    const [first] = everyRide(plan.foot);
    return first ? { ...plan, foot: first } : plan;
  }
}
