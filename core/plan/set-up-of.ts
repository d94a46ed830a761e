import { Impossible, type Issue } from '../impossible';
import type { Finish, SewingPlan } from '../finish/finish';
import type { Beliefs, DriftBelief } from '../margin/belief';
import type { DriftSource } from '../margin/check';
import { normalDrift } from '../margin/normal';
import { spreadMm } from '../margin/drift';
import type { SetUp } from '../margin/set-up';
import { refuseFold } from './fold-plan';

/** What the kit and the stitch must be for this finish. */
function kitIssues(finish: Finish, plan: SewingPlan): Issue[] {
  const issues: Issue[] = [];
  const { machineKinds, patterns } = finish.needs;
  if (!machineKinds.includes(plan.machine.kind)) {
    issues.push({
      path: 'machine.kind',
      message: `${finish.id} is sewn on a ${machineKinds.join(' or ')} machine, not on a ${plan.machine.kind} one.`,
    });
  }
  if (!patterns.includes(plan.stitch.pattern)) {
    issues.push({
      path: 'stitch.pattern',
      message: `${finish.id} is sewn with ${patterns.join(' or ')}, not with ${plan.stitch.pattern}.`,
    });
  }
  return issues;
}

/** σ of each drift source by the rule, mm: before anything was learned. */
export function ruleSpreads(
  finish: Finish,
  plan: SewingPlan,
): Partial<Record<DriftSource, number>> {
  const entries = Object.entries(finish.baseSpreadMm(plan)).map(([source, baseMm]) => [
    source,
    spreadMm(baseMm, plan.cloth, plan.edge.minRadiusMm, plan.skill),
  ]);
  return Object.fromEntries(entries) as Partial<Record<DriftSource, number>>;
}

/**
 * What the margin engine needs of a finish and a plan.
 *
 * @param learned beliefs that samples have changed; the other sources keep the rule's spread
 * @throws Impossible when the finish cannot be folded so, or sewn with this kit
 */
export function setUpOf(finish: Finish, plan: SewingPlan, learned: Beliefs = {}): SetUp {
  refuseFold(finish, plan.fold, 'fold.');
  const issues = kitIssues(finish, plan);
  if (issues.length > 0) throw new Impossible(issues);
  const byRule = Object.fromEntries(
    Object.entries(ruleSpreads(finish, plan)).map(([source, sigma]): [string, DriftBelief] => [
      source,
      normalDrift(0, sigma),
    ]),
  );
  const { machine, foot, stitch, needleSize, faultWeights } = plan;
  return {
    checks: finish.checks(plan),
    beliefs: { ...byRule, ...learned },
    machine,
    foot,
    stitch,
    needleSize,
    faultWeights,
  };
}
