import type { Fibre } from '../cloth/about-cloth';
import type { Cloth } from '../cloth/cloth';
import type { Situation } from '../diagnose/situation';
import type { Purpose } from '../edge/purpose';
import { ridingRadiusMm } from '../edge/curve';
import type { EdgeForm } from '../edge/form';
import { isClosed, type ShapedEdge } from '../edge/shape';
import type { OldHem, Pairing } from '../edge/state';
import type { Finish } from '../finish/finish';
import type { FoldWish } from '../finish/fold-request';
import type { Aim, SewingPlan } from '../finish/sewing-plan';
import type { WorkRequest } from '../finish/work';
import { withAttachment, type Binder, type Placing } from '../kit/binder';
import type { FootKind } from '../kit/foot-kind';
import type { Foot, IntervalMm } from '../kit/foot';
import type { DialSettings } from '../kit/dial-steps';
import type { Machine } from '../kit/machine';
import { footUnder, ownFootOf } from '../kit/own-foot';
import type { FaultWeights } from '../margin/cost';
import { thickestTimes, type Crossing } from '../seam/crossing';
import type { Stitch } from '../stitch/stitch';
import { workAids } from './aids';
import type { SewnSample } from './learn-plan';
import { alongNamed } from './ride';
import { wholePlan } from './whole-plan';
import { chosenWays } from './work';

/** An edge as it is kept, as far as the sums take it. */
export interface EdgeFacts extends ShapedEdge {
  readonly lengthMm: number;
  readonly minRadiusMm: number | null;
  readonly purpose: Purpose;
  readonly oldHem: OldHem | null;
  readonly crossings: readonly Crossing[];
  readonly form?: EdgeForm | null;
  readonly pair?: Pairing;
}

/** A plan as it is kept. */
export interface PlanFacts {
  readonly fold: FoldWish;
  readonly stitch: Stitch;
  readonly needleSize: number;
  readonly pickMm: number;
  readonly faultWeights: FaultWeights;
  readonly aim: Aim;
  /** The reference one chose; null for the best. */
  readonly reference: string | null;
  readonly schools: Readonly<Record<string, string>>;
  /** How what folds the strip stands; null for as usual. */
  readonly placing?: Placing | null;
}

/** A foot of the drawer as it is kept. */
export interface FootFacts {
  readonly name: string;
  readonly kind: FootKind;
  readonly specs: Foot;
  /** What a binder takes; null for any other. */
  readonly mouthMm?: number | null;
  readonly stripMm?: number | null;
  readonly flangeMm?: IntervalMm | null;
}

/** A cloth's properties with what its home tests say besides. */
type KeptCloth = Cloth & {
  readonly recoveryPercent?: number | null | undefined;
  readonly estimated?: readonly string[] | undefined;
};

/** Everything a plan points at. */
export interface PlanRecords {
  readonly edge: EdgeFacts;
  readonly plan: PlanFacts;
  readonly cloth: { readonly properties: KeptCloth; readonly fibre?: Fibre | null };
  /** What a binding is made of; null for the cloth itself. */
  readonly strip: { readonly properties: KeptCloth; readonly fibre?: Fibre | null } | null;
  readonly machine: { readonly specs: Machine };
  readonly foot: FootFacts;
  /** What folds the strip before the foot; none when left out. */
  readonly attachment?: FootFacts | null;
  /** What the thread is spun from, where that is known. */
  readonly threadFibre?: Fibre | null;
}

/** A measured cloth as the sums take it. */
function clothOf({ properties }: { readonly properties: KeptCloth }): Cloth {
  const { recoveryPercent: _recovery, estimated: _estimated, ...cloth } = properties;
  return cloth;
}

/**
 * What is kept of a plan, as the sums take it: the one place where records become a set-up. Where
 * the foot has several references and none was chosen, it is led along none yet; that is for
 * `alongBest`.
 */
export function sewingPlanOf(records: PlanRecords): SewingPlan {
  const { edge, plan, machine, foot, strip, attachment = null } = records;
  const own = footUnder(machine.specs, foot);
  const under = attachment ? withAttachment(own, attachment.specs) : own;
  const folds = attachment ?? (foot.kind === 'binder' ? foot : null);
  const { lengthMm, purpose } = edge;
  const minRadiusMm = ridingRadiusMm(edge);
  return {
    cloth: clothOf(records.cloth),
    edge: { lengthMm, minRadiusMm, purpose },
    fold: plan.fold,
    machine: machine.specs,
    foot: (plan.reference === null ? null : alongNamed(under, plan.reference)) ?? under,
    stitch: plan.stitch,
    needleSize: plan.needleSize,
    pickMm: plan.pickMm,
    faultWeights: plan.faultWeights,
    aim: plan.aim,
    skill: 1,
    aids: workAids((attachment ?? foot).kind, plan.schools),
    ...(folds ? { binder: binderOf(folds, plan.placing ?? null) } : {}),
    ...(strip ? { strip: clothOf(strip) } : {}),
  };
}

/** A binder as it stands. */
const binderOf = (
  { mouthMm = null, stripMm = null, flangeMm = null }: FootFacts,
  placing: Placing | null,
): Binder => ({ mouthMm, stripMm, flangeMm, placing: placing ?? {} });

/** The name of the foot that is really on: the chosen one's, or that of the machine's own. */
export function footNameOn(machine: { readonly specs: Machine }, foot: FootFacts): string {
  const own = footUnder(machine.specs, foot);
  return own !== foot.specs && own === ownFootOf(machine.specs.kind) ? 'its own foot' : foot.name;
}

/** What of the records the work hangs on, besides the set-up. */
interface WorkRecords extends Pick<PlanRecords, 'edge' | 'threadFibre'> {
  readonly strip?: { readonly fibre?: Fibre | null } | null;
  readonly plan: Pick<PlanFacts, 'schools'>;
  readonly cloth: Pick<PlanRecords['cloth'], 'fibre'>;
  /** What presses, where the steps are to name it; none while something folds before it. */
  readonly foot?: Pick<FootFacts, 'kind'> | undefined;
}

/**
 * What the work is worked out from.
 *
 * @param defaults this person's ways, where the plan says nothing
 */
export function workRequestOf(
  { edge, plan: { schools }, cloth, strip, threadFibre, foot }: WorkRecords,
  sewing: SewingPlan,
  finish: Finish,
  defaults: Readonly<Record<string, string>> = {},
): WorkRequest {
  const { shape, turnDegrees, joined, crossings, oldHem, form, pair } = edge;
  return {
    wish: wholePlan(finish, sewing).fold,
    cloth: sewing.cloth,
    edge: {
      ...sewing.edge,
      closed: isClosed(edge),
      cornered: shape === 'cornered',
      thickestTimes: thickestTimes(crossings),
      ...{ oldHem, shape, turnDegrees, joined, crossings, form, pair },
    },
    strip: sewing.strip,
    binder: sewing.binder,
    threading: { clothFibre: cloth.fibre, threadFibre, stripFibre: strip?.fibre },
    machineKind: sewing.machine.kind,
    footKind: sewing.binder ? undefined : foot?.kind,
    schools: chosenWays(finish, sewing.fold.variant, schools, defaults),
  };
}

/** What is sewn at an edge, as far as a fault can come from it. */
export function situationOf(
  { edge, foot }: Pick<PlanRecords, 'edge' | 'foot'>,
  sewing: SewingPlan,
  finish: Finish,
): Situation {
  return {
    finish,
    variant: sewing.fold.variant,
    cloth: sewing.cloth,
    machine: sewing.machine,
    foot: { kind: foot.kind, guide: sewing.foot.guide },
    stitch: sewing.stitch,
    edge: {
      closed: isClosed(edge),
      curved: edge.minRadiusMm !== null,
      crossed: edge.crossings.length > 0,
    },
  };
}

/** A recorded scrap, as far as something is learned from it. */
interface KeptScrap {
  readonly settings: DialSettings | null;
  readonly counts: readonly Omit<SewnSample, 'settings' | 'plan'>[];
  readonly setUp: SewingPlan;
}

/** The counted samples of scraps, each with the set-up it was sewn with. */
export function samplesOf(scraps: readonly KeptScrap[]): SewnSample[] {
  return scraps.flatMap(({ settings, counts, setUp }) =>
    settings ? counts.map((counted) => ({ settings, plan: setUp, ...counted })) : [],
  );
}
