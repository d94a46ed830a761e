import type { PlanRecord } from '../../contract/records';
import { change, latest } from '../ground/records';

type Patch = Partial<PlanRecord>;

/** What a plan without a finish would become if it took the first of its list. */
const proposals = new Map<string, Patch>();

/** Says what stands proposed for a plan; null once it has a finish of its own. */
export function propose(planId: string, patch: Patch | null): void {
  if (patch) proposals.set(planId, patch);
  else proposals.delete(planId);
}

/**
 * Changes a plan. Whoever sets something of a proposal takes it with that: both are one change, and
 * one step of undo.
 */
export function changePlan(planId: string, patch: Patch): void {
  change('plans', planId, { ...proposals.get(planId), ...patch });
  proposals.delete(planId);
}

/**
 * Ticks a step off, or takes the tick back, on top of whatever was ticked a moment ago. Who does a
 * step of a finish that is only proposed takes it.
 *
 * @param took how long it took, where that was timed
 * @param takes what taking the finish sets, where it is proposed elsewhere than on this edge's screen
 */
export function tickStep(
  planId: string,
  stepId: string,
  on: boolean,
  took: PlanRecord['took'][string] | null = null,
  takes: Patch = {},
): void {
  const plan = latest('plans', planId);
  const others = (plan?.ticks ?? []).filter((one) => one !== stepId);
  changePlan(planId, {
    ...(plan?.finish === null ? takes : {}),
    ticks: on ? [...others, stepId] : others,
    ...(on && took ? { took: { ...plan?.took, [stepId]: took } } : {}),
  });
}

/** Takes what stands proposed, where something does: a scrap is sewn for a finish, not for none. */
export function takeProposal(planId: string): void {
  if (proposals.has(planId)) changePlan(planId, {});
}
