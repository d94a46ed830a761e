import type { Finish } from '../finish/finish';
import { completed } from '../finish/fold-request';
import { foldsAsSewn } from '../finish/as-sewn';
import type { SewingPlan } from '../finish/sewing-plan';
import type { PassWish, StartingValue, WorkPass, WorkRequest } from '../finish/work';
import { Impossible } from '../impossible';
import { misfitOf } from '../kit/foot-fit';
import { ownFootOf } from '../kit/own-foot';
import type { Machine } from '../kit/machine';
import { startingNeedle } from '../kit/needle';
import { leastChance } from '../margin/least-chance';
import type { SetUp } from '../margin/set-up';
import { solved, type Costed } from '../margin/solve';
import { usualPickMm } from './new-plan';
import type { FootFacts } from './of-records';
import type { Sole } from '../seam/crossings';
import { alongBest } from './ride';
import { setUpOf } from './set-up-of';
import { judge } from './judge';
import { sewnWith } from './sewn-with';
import { startingLengthMm } from './starting-setting';
import { usualStitch } from './usual-stitch';
import { foldTroubles, wishForVariant } from './fold-plan';
import { valuesBesideDials } from './work';

/** What of the drawer a pass can be sewn with. */
export interface PassKit {
  readonly machines: readonly {
    readonly id: string;
    readonly name: string;
    readonly specs: Machine;
  }[];
  readonly feet: readonly (FootFacts & { readonly id: string; readonly soleMm: Sole })[];
}

/** A pass of the work, planned: a finish of its own, with its own machine, foot, stitch and dials. */
export interface PlannedPass extends WorkPass {
  readonly id: string;
  /** What it does. */
  readonly name: string;
  /** Null where nothing of the kit sews it. */
  readonly machine: PassKit['machines'][number] | null;
  readonly foot: PassKit['feet'][number] | null;
  readonly plan: SewingPlan | null;
  readonly set: SetUp | null;
  readonly chance: number | null;
}

interface Candidate {
  readonly machine: PassKit['machines'][number];
  readonly foot: PassKit['feet'][number];
  readonly plan: SewingPlan;
  readonly set: SetUp;
  readonly best: Costed;
}

/** The foot that stays on a machine of loopers, as one of the drawer. */
const ownFoot = (machine: Machine): PassKit['feet'][number] | null => {
  const specs = ownFootOf(machine.kind);
  return specs
    ? { id: 'own', name: 'its own foot', kind: 'clear', specs, soleMm: { toeMm: 14, heelMm: 14 } }
    : null;
};

/** Every way the kit has to sew a pass. */
function candidatesOf(
  finish: Finish,
  wish: PassWish,
  { cloth, edge }: WorkRequest,
  kit: PassKit,
): Candidate[] {
  const { variant } = wish.wish;
  const need = finish.needs(variant);
  return kit.machines.flatMap((machine): Candidate[] => {
    const stitch = usualStitch(need, machine.specs, cloth.stretchPercent);
    if (!need.machineKinds.includes(machine.specs.kind) || !stitch) return [];
    const own = ownFoot(machine.specs);
    const feet = own
      ? [own]
      : kit.feet.filter(
          ({ kind, specs }) =>
            (need.feet.length === 0 || need.feet.includes(kind)) &&
            !misfitOf(machine.specs, { kind, shank: specs.shank }),
        );
    return feet.flatMap((foot): Candidate[] => {
      const asked: SewingPlan = {
        cloth,
        edge: {
          lengthMm: edge.lengthMm,
          minRadiusMm: edge.minRadiusMm,
          purpose: wish.purpose ?? 'allowance',
        },
        fold: wishForVariant(finish, wish.wish, variant),
        machine: machine.specs,
        foot: foot.specs,
        stitch,
        needleSize: startingNeedle(cloth.weightGsm).size,
        pickMm: usualPickMm,
        faultWeights: { below: 1, above: 1 },
        skill: 1,
      };
      try {
        const plan = alongBest(finish, asked);
        const set = setUpOf(finish, plan);
        return [{ machine, foot, plan, set, best: solved(set) }];
      } catch (error) {
        if (error instanceof Impossible) return [];
        throw error;
      }
    });
  });
}

/** What is set beside the dials; nothing where it can't be folded so. */
function valuesOf(finish: Finish, request: WorkRequest): StartingValue[] {
  try {
    return valuesBesideDials(finish, request);
  } catch (error) {
    if (error instanceof Impossible) return [];
    throw error;
  }
}

function plannedPass(
  finish: Finish,
  wish: PassWish,
  request: WorkRequest,
  kit: PassKit,
): PlannedPass {
  const { variant } = wish.wish;
  const candidates = candidatesOf(finish, wish, request, kit);
  const [best] = [...candidates].sort((a, b) => a.best.cost - b.best.cost);
  const fold = wishForVariant(finish, wish.wish, variant);
  const own: WorkRequest = {
    ...request,
    wish: fold,
    machineKind: best?.machine.specs.kind,
    edge: { ...request.edge, purpose: wish.purpose ?? 'allowance' },
    schools: {},
    passes: {},
    sewn: null,
  };
  const said = { id: wish.id, name: wish.name, finish: finish.id, variant };
  const values = valuesOf(finish, own);
  const chance = best ? 1 - best.best.cost : 0;
  if (!best || chance < leastChance) {
    return {
      ...said,
      values,
      sewn: null,
      machine: null,
      foot: null,
      plan: null,
      set: null,
      chance: null,
    };
  }
  const { widthMm, needlePositionMm, guideMm } = best.best;
  const settings = {
    ...{ widthMm, needlePositionMm, guideMm },
    lengthMm: startingLengthMm(finish, best.plan),
  };
  return {
    ...said,
    ...{ machine: best.machine, foot: best.foot, plan: best.plan, set: best.set, values, chance },
    sewn: sewnWith(finish, best.plan, judge(best.set, settings), best.foot),
  };
}

/**
 * The other passes of some work, each planned by the same engine as the work itself: of everything
 * the kit could sew it with, the best.
 *
 * @param find a finish by its id
 */
export function passesOf(
  finish: Finish,
  request: WorkRequest,
  kit: PassKit,
  find: (id: string) => Finish | undefined,
): PlannedPass[] {
  // A fold that contradicts itself is told where it is set; it has no passes yet.
  if (!finish.passes || foldTroubles(finish, foldsAsSewn(request)).length > 0) return [];
  const whole = { ...request, wish: completed(finish.fields, request.wish) };
  return finish.passes(whole).flatMap((wish) => {
    const pass = find(wish.finish);
    return pass ? [plannedPass(pass, wish, whole, kit)] : [];
  });
}
