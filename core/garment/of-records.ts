import { considerAll } from '../choose/rank';
import { chosenEdgeOf, kitOf, takingOf, type KeptFoot, type Taking } from '../choose/of-records';
import { firstProposal } from '../choose/proposal';
import { presets, type ChosenEdge } from '../choose/request';
import { rankConsidered } from '../choose/score';
import type { Fibre } from '../cloth/about-cloth';
import type { Cloth } from '../cloth/cloth';
import { catalogue, finishById } from '../finish/catalogue';
import type { Finish } from '../finish/finish';
import type { WorkRequest } from '../finish/work';
import { Impossible } from '../impossible';
import { ownFootOf } from '../kit/own-foot';
import { misfitOf } from '../kit/foot-fit';
import type { FootKind } from '../kit/foot-kind';
import type { Machine, MachineKind } from '../kit/machine';
import { needlePointFor, startingNeedle } from '../kit/needle';
import type { UsualState } from '../kit/put-back';
import type { ThreadMatch } from '../kit/thread';
import {
  footNameOn,
  sewingPlanOf,
  workRequestOf,
  type EdgeFacts,
  type FootFacts,
  type PlanFacts,
  type PlanRecords,
} from '../plan/of-records';
import { stepsOf, startingValuesOf } from '../plan/work';
import type { EdgeWork } from './edge-tasks';
import type { Meeting } from './garment';
import { stepsInGarment, waysInGarment } from './in-garment';

/** An edge as it is kept, as far as a garment takes it. */
export type GarmentEdge = EdgeFacts &
  Omit<ChosenEdge, 'clothLeft' | 'form' | 'pair'> & {
    readonly id: string;
    readonly name: string;
    readonly clothId: string;
  };

/** A plan as it is kept, as far as a garment takes it. */
export interface GarmentPlan extends PlanFacts {
  readonly edgeId: string;
  readonly finish: string | null;
  readonly machineId: string;
  readonly footId: string;
  readonly attachmentId: string | null;
  readonly stripClothId: string | null;
  readonly thread: ThreadMatch;
  readonly threadColour: string | null;
  readonly ticks: readonly string[];
}

interface GarmentCloth {
  readonly id: string;
  readonly name: string;
  readonly properties: PlanRecords['cloth']['properties'];
  readonly fibre: Fibre | null;
  readonly widthMm: number | null;
  readonly lengthLeftMm: number | null;
}

/** Everything the order of a garment is worked out from. */
export interface GarmentRecords {
  readonly edges: readonly GarmentEdge[];
  readonly plans: readonly GarmentPlan[];
  readonly cloths: readonly GarmentCloth[];
  readonly machines: readonly {
    readonly id: string;
    readonly name: string;
    readonly specs: Machine;
    readonly usual?: UsualState;
  }[];
  readonly feet: readonly (KeptFoot & FootFacts)[];
  /** This person's ways, where a plan says nothing. */
  readonly ways: Readonly<Record<string, string>>;
  /** What meets in the garments they belong to. */
  readonly meets: readonly Meeting[];
}

/** An edge with what it is worked by. */
export interface PlannedEdge {
  readonly edge: GarmentEdge;
  readonly plan: GarmentPlan & { readonly finish: string };
  /** What taking the finish would set, while it is only proposed; null once it is taken. */
  readonly proposed: Taking | null;
  readonly finish: Finish;
  readonly request: WorkRequest;
  readonly cloth: GarmentCloth;
  readonly strip: GarmentCloth | null;
  readonly machine: GarmentRecords['machines'][number];
  readonly work: EdgeWork;
}

/** An edge that has no work to order, and why. */
export interface UnplannedEdge {
  readonly edgeId: string;
  readonly issues: readonly { readonly path: string; readonly message: string }[];
}

const bare = ({
  recoveryPercent: _recovery,
  estimated: _estimated,
  ...cloth
}: GarmentCloth['properties']): Cloth => cloth;

/** What taking the first finish of the list would set; null where there is none. */
function firstTaking(
  edge: GarmentEdge,
  plan: GarmentPlan,
  cloth: GarmentCloth,
  { machines, feet }: GarmentRecords,
): Taking | null {
  const request = {
    ...{ cloth: bare(cloth.properties), edge: chosenEdgeOf(edge, cloth) },
    ...{ kit: kitOf(machines, feet), wishes: presets[0]!.wishes },
  };
  const ranking = rankConsidered(considerAll(catalogue, request), request.wishes);
  const first = firstProposal(ranking, catalogue, request);
  return first && takingOf(first, plan, { machines, feet });
}

/** The foot of a kind in the drawer that goes on a machine; the kind's own name where none does. */
function footOfKind(kind: FootKind, machine: Machine, feet: GarmentRecords['feet']): string {
  const foot = feet.find(
    (it) => it.kind === kind && !misfitOf(machine, { kind, shank: it.specs.shank }),
  );
  return foot?.name ?? kind;
}

/** What is threaded, so that two edges with the same thread are the same. */
export const threadOf = (
  { thread, threadColour }: Pick<GarmentPlan, 'thread' | 'threadColour'>,
  cloth: { readonly name: string },
): string =>
  threadColour ??
  (thread === 'matching' ? `to match ${cloth.name}` : thread === 'clear' ? 'clear' : 'contrasting');

function planned(edge: GarmentEdge, records: GarmentRecords): PlannedEdge | UnplannedEdge {
  const { plans, cloths, machines, feet, meets } = records;
  const ways = waysInGarment(records.ways, meets, edge.id);
  const missing = (path: string, message: string): UnplannedEdge => ({
    ...{ edgeId: edge.id, issues: [{ path, message }] },
  });
  const kept = plans.find(({ edgeId }) => edgeId === edge.id);
  const cloth = cloths.find(({ id }) => id === edge.clothId);
  if (!kept || !cloth) return missing('edge', 'Its plan or its cloth is not there.');
  const proposed = kept.finish === null ? firstTaking(edge, kept, cloth, records) : null;
  const whole = { ...kept, ...proposed };
  const finish = whole.finish === null ? undefined : finishById(whole.finish);
  const machine = machines.find(({ id }) => id === whole.machineId);
  const foot = feet.find(({ id }) => id === whole.footId);
  if (whole.finish === null || !finish || !machine || !foot) {
    return missing('finish', 'Nothing in the kit finishes it yet.');
  }
  const plan = { ...whole, finish: whole.finish };
  const strip = cloths.find(({ id }) => id === plan.stripClothId) ?? null;
  const attachment = feet.find(({ id }) => id === plan.attachmentId) ?? null;
  try {
    const sewing = sewingPlanOf({ edge, plan, cloth, strip, machine, foot, attachment });
    const request = workRequestOf({ edge, plan, cloth, strip, foot }, sewing, finish, ways);
    const values = startingValuesOf(finish, request);
    const pressure = values.find(({ id }) => id === 'pressure')?.value ?? null;
    const point = needlePointFor([request.cloth, ...(request.strip ? [request.strip] : [])]);
    const thread = threadOf(plan, cloth);
    const ownFoot = attachment ? `${attachment.name} + ${foot.name}` : footNameOn(machine, foot);
    const stateAt: EdgeWork['stateAt'] = (at) => {
      const own = at.machine === machine.specs.kind;
      const found = own ? machine : machines.find(({ specs }) => specs.kind === at.machine);
      const size = own ? plan.needleSize : startingNeedle(request.cloth.weightGsm).size;
      const usesOwn = own && (at.foot === null || at.foot === foot.kind);
      return {
        place: found?.id ?? missingMachine(at.machine),
        state: {
          // What stays on is never changed.
          foot:
            found && ownFootOf(found.specs.kind) && !attachment
              ? null
              : usesOwn
                ? ownFoot
                : at.foot && footOfKind(at.foot, found?.specs ?? machine.specs, feet),
          needle: `${size}-${point}`,
          thread,
          pressure: own && pressure !== null ? String(pressure) : null,
        },
      };
    };
    return {
      ...{ edge, plan, proposed, finish, request, cloth, strip, machine },
      work: {
        ...{ id: edge.id, name: edge.name, lengthMm: edge.lengthMm, ticks: kept.ticks, stateAt },
        steps: stepsInGarment(stepsOf(finish, request), meets, edge.id),
        secondIsCopied: request.schools['second-leg'] === 'copied',
      },
    };
  } catch (error) {
    if (error instanceof Impossible) return { edgeId: edge.id, issues: error.issues };
    throw error;
  }
}

/** Where work is done for which the kit has no machine. */
export const missingMachine = (kind: MachineKind): string => `missing ${kind}`;

/** A garment's edges and seams with their steps, as planned or as first proposed. */
export function plannedEdges(records: GarmentRecords): {
  readonly planned: PlannedEdge[];
  readonly unplanned: UnplannedEdge[];
} {
  const all = records.edges.map((edge) => planned(edge, records));
  return {
    planned: all.filter((it): it is PlannedEdge => 'work' in it),
    unplanned: all.filter((it): it is UnplannedEdge => !('work' in it)),
  };
}
