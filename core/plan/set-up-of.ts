import { Impossible, refusal, type Issue } from '../impossible';
import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import type { Beliefs, DriftBelief } from '../margin/belief';
import type { DriftSource } from '../margin/check';
import { normalDrift } from '../margin/normal';
import { creepMm, spreadMm } from '../margin/drift';
import type { SetUp } from '../margin/set-up';
import { binderIssues } from '../kit/binder';
import type { IntervalMm } from '../kit/foot';
import { patternsOf } from '../kit/machine';
import { needleRadiusMm } from '../kit/needle';
import { needleAirMm } from '../stitch/clearance';
import { refuseFold } from './fold-plan';
import { marginOfPlan } from './margin-of-plan';
import { wholePlan } from './whole-plan';

/** What the kit and the stitch must be for this finish. */
function kitIssues(finish: Finish, plan: SewingPlan): Issue[] {
  const issues: Issue[] = [];
  const { machineKinds, patterns } = finish.needs(plan.fold.variant);
  if (!machineKinds.includes(plan.machine.kind)) {
    issues.push(
      refusal(
        'machine.kind',
        'other-machine',
        '{finish} is sewn on a {kinds} machine, not on a {kind} one.',
        { finish: finish.id, kinds: machineKinds.join(' or '), kind: plan.machine.kind },
      ),
    );
  }
  if (!patterns.includes(plan.stitch.pattern)) {
    issues.push(
      refusal(
        'stitch.pattern',
        'other-stitch',
        '{finish} is sewn with {patterns}, not with {pattern}.',
        {
          finish: finish.id,
          patterns: patterns.join(' or '),
          pattern: plan.stitch.pattern,
        },
      ),
    );
  }
  const has = patternsOf(plan.machine);
  if (issues.length === 0 && !has.includes(plan.stitch.pattern)) {
    issues.push(
      refusal(
        'stitch.pattern',
        'no-such-stitch',
        'This machine has no {pattern} stitch; it has {has}.',
        {
          pattern: plan.stitch.pattern,
          has: has.join(', ') || 'none of its kind',
        },
      ),
    );
  }
  return [...issues, ...footIssues(plan)];
}

/** A strip that does not go through what folds it. */
function stripIssues(finish: Finish, { fold: wish, cloth, strip, binder }: SewingPlan): Issue[] {
  if (!binder) return [];
  const plan = finish.folds({ wish, cloth, strip }).strip;
  return plan ? binderIssues(binder, plan.widthMm) : [];
}

/** Two needles on one shank that are too far apart for the foot or the plate. */
function twinIssues({ foot, machine, needleSize, stitch }: SewingPlan): Issue[] {
  const gapMm = stitch.twinGapMm ?? 0;
  if (gapMm === 0) return [];
  const openings: [string, IntervalMm | null | undefined][] = [
    ['the slot of this foot', foot.slotMm],
    ['the hole in this plate', machine.plateHoleMm],
  ];
  return openings.flatMap(([name, opening]): Issue[] => {
    if (!opening) return [];
    const mostMm = opening[1] - opening[0] - 2 * (needleRadiusMm(needleSize) + needleAirMm);
    if (gapMm <= mostMm + 1e-9) return [];
    const fits = mostMm > 0 ? 'a gap up to {mostMm:fine} would fit' : 'none would fit';
    return [
      refusal(
        'stitch.twinGapMm',
        'twin-too-wide',
        `A twin needle of {gapMm:fine} is too wide for ${name}, {openingMm:fine}; ${fits}.`,
        { gapMm, openingMm: opening[1] - opening[0], mostMm },
      ),
    ];
  });
}

/** A foot whose opening no needle of this size can pass. */
function footIssues(plan: SewingPlan): Issue[] {
  const { foot, needleSize } = plan;
  const [left, right] = foot.slotMm ?? [-Infinity, Infinity];
  const leastMm = 2 * (needleRadiusMm(needleSize) + needleAirMm);
  if (right - left >= leastMm - 1e-9) return twinIssues(plan);
  return [
    refusal(
      'foot.slotMm',
      'slot-too-narrow',
      'A slot of {slotMm:fine} is too narrow for a size {size} needle; it needs {leastMm:fine}, from {leftMm:fine} to {rightMm:fine} there is less.',
      { slotMm: right - left, size: needleSize, leastMm, leftMm: left, rightMm: right },
    ),
  ];
}

/** σ of each drift source by the rule, mm: before anything was learned. */
export function ruleSpreads(
  finish: Finish,
  plan: SewingPlan,
): Partial<Record<DriftSource, number>> {
  const margin = marginOfPlan(finish, plan.fold.variant);
  const whole = wholePlan(finish, plan);
  const free = margin.freeLayers?.(whole) ?? {};
  const entries = Object.entries(margin.baseSpreadMm(whole)).map(([source, baseMm]) => {
    const handMm = spreadMm(baseMm, plan.cloth, plan.edge.minRadiusMm, plan.skill);
    const layers = free[source as DriftSource] ?? 1;
    return [source, Math.hypot(handMm, creepMm(plan.cloth, layers))];
  });
  return Object.fromEntries(entries) as Partial<Record<DriftSource, number>>;
}

/**
 * What the margin engine needs of a finish and a plan.
 *
 * @param learned beliefs that samples have changed; the other sources keep the rule's spread
 * @throws Impossible when the finish cannot be folded so, or sewn with this kit
 */
export function setUpOf(finish: Finish, plan: SewingPlan, learned: Beliefs = {}): SetUp {
  refuseFold(finish, { wish: plan.fold, cloth: plan.cloth }, 'fold.');
  const margin = marginOfPlan(finish, plan.fold.variant);
  const whole = wholePlan(finish, plan);
  const issues = [...kitIssues(finish, whole), ...stripIssues(finish, whole)];
  if (issues.length > 0) throw new Impossible(issues);
  const byRule = Object.fromEntries(
    Object.entries(ruleSpreads(finish, plan)).map(([source, sigma]): [string, DriftBelief] => [
      source,
      normalDrift(0, sigma),
    ]),
  );
  const { machine, foot, stitch, needleSize, faultWeights } = whole;
  return {
    checks: margin.checks(whole),
    beliefs: { ...byRule, ...learned },
    machine,
    foot,
    stitch,
    needleSize,
    faultWeights,
    ruledWidthMm: margin.ruled?.(whole).widthMm?.value ?? null,
  };
}
