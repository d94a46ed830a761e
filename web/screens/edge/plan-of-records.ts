import type {
  AttemptRecord,
  ClothRecord,
  EdgeRecord,
  FootRecord,
  MachineRecord,
  PlanRecord,
} from '../../../contract/records';
import { isClosed } from '../../../core/edge/shape';
import type { Finish } from '../../../core/finish/finish';
import type { SewingPlan } from '../../../core/finish/sewing-plan';
import type { WorkRequest } from '../../../core/finish/work';
import { footUnder, ownFootOf } from '../../../core/kit/own-foot';
import { workAids } from '../../../core/plan/aids';
import type { SewnSample } from '../../../core/plan/learn-plan';
import { chosenWays } from '../../../core/plan/work';
import { thickestTimes } from '../../../core/seam/crossing';

/** What is stored of a plan, as the sums take it. */
export function sewingPlanOf(
  edge: EdgeRecord,
  record: PlanRecord,
  cloth: ClothRecord,
  machine: MachineRecord,
  foot: FootRecord,
): SewingPlan {
  const { recoveryPercent: _recovery, estimated: _estimated, ...properties } = cloth.properties;
  return {
    cloth: properties,
    edge: { lengthMm: edge.lengthMm, minRadiusMm: edge.minRadiusMm, purpose: edge.purpose },
    fold: record.fold,
    machine: machine.specs,
    foot: footUnder(machine.specs, foot),
    stitch: record.stitch,
    needleSize: record.needleSize,
    pickMm: record.pickMm,
    faultWeights: record.faultWeights,
    skill: 1,
    aids: workAids(foot.kind, record.schools),
  };
}

/** The foot that is really on: the chosen one, or the machine's own. */
export function footOn(machine: MachineRecord, foot: FootRecord): FootRecord {
  const own = footUnder(machine.specs, foot);
  if (own === foot.specs || own !== ownFootOf(machine.specs.kind)) return foot;
  const { slotMm, guidance, guide } = own;
  return {
    ...foot,
    name: 'its own foot',
    kind: 'clear',
    channelMm: null,
    specs: {
      slotMm: [...slotMm],
      guidance,
      guide: 'atMm' in guide ? guide : { ...guide, rangeMm: [...guide.rangeMm] },
    },
    soleMm: { widthMm: 18, toeMm: 14, heelMm: 14 },
  };
}

/** What the work is worked out from, with this person's ways. */
export function workRequestOf(
  edge: EdgeRecord,
  record: Pick<PlanRecord, 'schools'>,
  plan: SewingPlan,
  finish: Finish,
  defaults: Readonly<Record<string, string>>,
): WorkRequest {
  return {
    wish: plan.fold,
    cloth: plan.cloth,
    edge: {
      ...plan.edge,
      closed: isClosed(edge),
      cornered: edge.shape === 'cornered',
      thickestTimes: thickestTimes(edge.crossings),
      oldHem: edge.oldHem,
    },
    machineKind: plan.machine.kind,
    schools: chosenWays(finish, plan.fold.variant, record.schools, defaults),
  };
}

/** The counted samples of attempts, as the lesson takes them. */
export function samplesOf(attempts: readonly AttemptRecord[]): SewnSample[] {
  return attempts.flatMap(({ settings, counts }) =>
    settings ? counts.map((counted) => ({ settings, ...counted })) : [],
  );
}
