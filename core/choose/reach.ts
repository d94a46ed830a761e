import type { Finish } from '../finish/finish';
import { ridingRadiusMm } from '../edge/curve';
import type { FoldWish } from '../finish/fold-request';
import type { SewingPlan } from '../finish/sewing-plan';
import { Impossible } from '../impossible';
import { defaultGuideStepMm, everyRide, type Guide } from '../kit/foot';
import { misfitOf } from '../kit/foot-fit';
import type { Machine } from '../kit/machine';
import { startingNeedle } from '../kit/needle';
import { ownFootOf } from '../kit/own-foot';
import { bestChance, mostChance } from '../margin/best-chance';
import type { SetUp } from '../margin/set-up';
import { workAids } from '../plan/aids';
import { usualPickMm } from '../plan/new-plan';
import { setUpOf } from '../plan/set-up-of';
import type { Stitch } from '../stitch/stitch';
import { purposeOf, type ChooseRequest, type DrawerFoot } from './request';
import type { Reached } from './weigh-kit';

/** To compare finishes half a millimetre is fine enough; a plan is solved on the real steps. */
const coarseMm = 0.5;
/** An adjustable guide is tried at about so many places. */
const guidePlaces = 12;

function coarseGuide(guide: Guide): Guide {
  if ('atMm' in guide) return guide;
  const [from, to] = guide.rangeMm;
  const stepMm = guide.stepMm ?? defaultGuideStepMm;
  // A long travel is that of a mark anywhere on the plate, which is set to half a millimetre.
  return {
    rangeMm: guide.rangeMm,
    stepMm: Math.max(stepMm, Math.min(coarseMm, (to - from) / guidePlaces)),
  };
}

const coarse = (machine: Machine): Machine => ({
  ...machine,
  widthStepMm: Math.max(machine.widthStepMm, coarseMm),
  needleStepMm: Math.max(machine.needleStepMm, coarseMm),
});

/** Whether a foot of the drawer is of a kind, and a scroll of the size, that the wish asks for. */
function serves({ kind, channelMm }: DrawerFoot, finish: Finish, wish: FoldWish): boolean {
  const { feet } = finish.needs(wish.variant);
  if (feet.length > 0 && !feet.includes(kind)) return false;
  const wanted = kind === 'hemmer' ? wish.channelMm : kind === 'wide-hemmer' ? wish.depthMm : null;
  return (wanted ?? null) === null || Math.abs((channelMm ?? wanted!) - wanted!) < 0.26;
}

/**
 * Chances that were worked out already, by all that a solve takes: two finishes that differ in
 * depth alone often ask for the same one.
 */
export type SolvedChances = Map<string, number | null>;

/** The best setting's chance; null where none clears the metal. */
function chanceOf(set: SetUp, known: SolvedChances): number | null {
  const { slotMm, besideMm, guide } = set.foot;
  const key = JSON.stringify([
    set.checks,
    Object.values(set.beliefs).map(({ sigmaMm }) => sigmaMm),
    ...[slotMm, besideMm, guide],
    ...[set.stitch, set.machine, set.needleSize, set.ruledWidthMm],
  ]);
  const before = known.get(key);
  if (before !== undefined) return before;
  let chance: number | null = null;
  try {
    chance = bestChance(set);
  } catch (error) {
    // A foot that no setting clears is a foot that does not serve.
    if (!(error instanceof Impossible)) throw error;
  }
  known.set(key, chance);
  return chance;
}

/** What a machine reaches with a finish, and the foot it does so with. */
export interface ReachedWith {
  readonly reached: Reached;
  /** Place in the kit's own list; null for a foot that stays on, or none. */
  readonly foot: number | null;
}

/** A way a foot may be led, as it is to be solved. */
interface Ride {
  readonly place: number | null;
  readonly set: SetUp;
  /** It reaches no more than this. */
  readonly most: number;
  /** Its turn in the kit’s own order: of feet that reach as much the first is taken. */
  readonly turn: number;
}

/**
 * The best that any foot of the kit reaches with a finish on one machine, on coarse steps. What could
 * reach the most is solved first, and what could not reach as much as was found is not solved at all.
 *
 * @returns null where no foot for it goes on the machine
 */
export function reachOn(
  finish: Finish,
  wish: FoldWish,
  { cloth, edge, kit }: ChooseRequest,
  machine: Machine,
  stitch: Stitch,
  known: SolvedChances,
): ReachedWith | null {
  const own = ownFootOf(machine.kind);
  const feet = kit.feet.flatMap((foot, place): { foot: DrawerFoot; place: number | null }[] =>
    serves(foot, finish, wish) && !misfitOf(machine, { kind: foot.kind, shank: foot.specs.shank })
      ? [{ foot, place }]
      : [],
  );
  const candidates = own
    ? [{ foot: { kind: 'clear' as const, specs: own }, place: null }, ...feet]
    : feet;
  const [first] = candidates;
  if (!first) return null;
  if (!finish.margin(wish.variant)) return { reached: 'not worked out', foot: first.place };
  const plan: Omit<SewingPlan, 'foot' | 'aids'> = {
    cloth,
    edge: {
      lengthMm: edge.lengthMm,
      minRadiusMm: ridingRadiusMm(edge),
      purpose: purposeOf(edge),
    },
    fold: wish,
    machine: coarse(machine),
    stitch,
    needleSize: startingNeedle(cloth.weightGsm).size,
    pickMm: usualPickMm,
    faultWeights: { below: 1, above: 1 },
    skill: 1,
  };
  const rides = candidates
    .flatMap(({ foot, place }) =>
      everyRide(foot.specs).map((ride) => ({ place, ride, aids: workAids(foot.kind, {}) })),
    )
    .flatMap(({ place, ride, aids }, turn): Ride[] => {
      const foot = { ...ride, guide: coarseGuide(ride.guide) };
      try {
        const set = setUpOf(finish, { ...plan, foot, aids });
        return [{ place, set, most: mostChance(set.checks, set.beliefs), turn }];
      } catch (error) {
        // A foot whose slot is too narrow for the needle, or for two of them.
        if (!(error instanceof Impossible)) throw error;
        return [];
      }
    })
    .sort((a, b) => b.most - a.most);
  let reached = -1;
  let best: Ride | undefined;
  // Of two that reach the same the one that has its turn first is taken.
  const beats = (chance: number, { turn }: Ride) =>
    chance > reached || (chance === reached && turn < (best?.turn ?? Infinity));
  for (const ride of rides) {
    if (!beats(ride.most, ride)) continue;
    const chance = chanceOf(ride.set, known);
    if (chance === null || !beats(chance, ride)) continue;
    reached = chance;
    best = ride;
  }
  return best ? { reached, foot: best.place } : { reached: 'nothing clears', foot: first.place };
}
