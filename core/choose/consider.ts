import { assumedStrip } from '../cloth/usual-strip';
import { ridingRadiusMm } from '../edge/curve';
import { isClosed } from '../edge/shape';
import type { Finish } from '../finish/finish';
import type { FoldWish } from '../finish/fold-request';
import type { WorkRequest } from '../finish/work';
import { crossingLayers } from '../fold/stack';
import { liftsOf, type Machine } from '../kit/machine';
import { ownFootOf } from '../kit/own-foot';
import { foldPlanOf, foldTroubles } from '../plan/fold-plan';
import { kitGaps } from '../plan/kit-gaps';
import { usualStitch } from '../plan/usual-stitch';
import { stepsOf } from '../plan/work';
import { thickestTimes } from '../seam/crossing';
import { passageOf, type Passage } from '../seam/passage';
import type { Stitch } from '../stitch/stitch';
import { answersOf, noAnswers, type Answer } from './answers';
import { candidateWishes } from './candidates';
import { fact, rulesOut, type Contribution, type Hindrance, type Weighed } from './contribution';
import { carriedBy } from './lightness';
import { minutesOf, type Minutes } from './minutes';
import { reachOn, type SolvedChances } from './reach';
import { purposeOf, type ChooseRequest, type WishName } from './request';
import {
  weighFray,
  weighGive,
  weighNarrowSeam,
  weighStretch,
  weighStripStretch,
  weighThickness,
} from './weigh-cloth';
import { weighBulk, weighRoll, weighSecondTurn, weighShowThrough, weighSlip } from './weigh-layers';
import { weighNoFray, weighRawEdge } from './weigh-raw-edge';
import { weighCorners, weighTaper } from './weigh-form';
import {
  weighChild,
  weighCurve,
  weighDepth,
  weighFelled,
  weighFlare,
  weighPurpose,
  weighSpare,
  weighStrip,
} from './weigh-edge';
import { weighChance, weighPassage, type Reached } from './weigh-kit';
import { workableWays } from './ways';

/**
 * A variant with everything about it that was worked out for this cloth, edge and kit; plain data,
 * so that it can cross from a worker.
 */
export interface Considered {
  readonly finishId: string;
  readonly variant: string;
  /** The construction it is one of. */
  readonly group: string;
  readonly wish: FoldWish;
  readonly schools: Readonly<Record<string, string>>;
  /** What of the kit it would be sewn with, by its place in the kit's lists; null for nothing. */
  readonly machine: number | null;
  readonly foot: number | null;
  readonly stitch: Stitch | null;
  /** Best chance in the kit; null where no dial is solved, or nothing sews it. */
  readonly chance: number | null;
  readonly stackMm: number;
  readonly thickestStackMm: number;
  readonly passage: Passage;
  readonly minutes: Minutes;
  readonly minutesPerMetre: number;
  readonly answers: Readonly<Record<WishName, Answer>>;
  /** What suits and what does not, apart from wishes. */
  readonly contributions: readonly Contribution[];
  readonly hindrances: readonly Hindrance[];
  /** Out unless somebody wants to look at it. */
  readonly onlyToBeSeen: boolean;
}

const noMinutes: Minutes = { onceMinutes: 0, perMetreMinutes: 0, changes: 0, wholeMinutes: 0 };

/** A variant that is out before anything is worked out. */
function outright(finish: Finish, variant: string, hindrances: readonly Hindrance[]): Considered {
  return {
    ...{ finishId: finish.id, variant, group: finish.group, wish: { variant }, schools: {} },
    ...{ machine: null, foot: null, stitch: null, chance: null },
    ...{ stackMm: 0, thickestStackMm: 0, passage: 'freely' as const },
    ...{ minutes: noMinutes, minutesPerMetre: 0 },
    answers: noAnswers,
    contributions: [],
    hindrances,
    onlyToBeSeen: false,
  };
}

/** One way of making a variant: some lengths, on some machine. */
interface Way {
  readonly wish: FoldWish;
  /** Null for shears alone. */
  readonly machine: Machine | null;
  readonly place: number | null;
}

/** Every machine that could sew it; none for shears alone. */
function waysOf(finish: Finish, variant: string, request: ChooseRequest): Way[] {
  const { machineKinds } = finish.needs(variant);
  const wishes = candidateWishes(finish, variant, request);
  if (machineKinds.length === 0) {
    return wishes.map((wish) => ({ wish, machine: null, place: null }));
  }
  const machines = request.kit.machines.flatMap((machine, place) =>
    machineKinds.includes(machine.kind) ? [{ machine, place }] : [],
  );
  return wishes.flatMap((wish): Way[] =>
    machines.length > 0
      ? machines.map((it) => ({ wish, ...it }))
      : [{ wish, machine: null, place: null }],
  );
}

/** Everything about one way of making a variant. */
function considerWay(
  finish: Finish,
  way: Way,
  request: ChooseRequest,
  serves: Weighed,
  known: SolvedChances,
): Considered {
  const { cloth, edge, kit } = request;
  const { variant } = way.wish;
  const nature = finish.nature(variant);
  const need = finish.needs(variant);
  const { stripMm = Infinity } = nature;
  const strip = assumedStrip(cloth, stripMm);
  const use = { purpose: purposeOf(edge), oldHem: edge.oldHem ?? null };
  const flare = weighFlare(finish, way.wish, edge, cloth);
  const flared = flare.wish;
  const [trouble] = foldTroubles(finish, { wish: flared, cloth, strip, edge: use });
  if (trouble) {
    const { hindrances } = rulesOut(
      fact('folds', trouble.text ?? trouble.message, trouble.values),
      fact('other-lengths', 'other lengths'),
    );
    return outright(finish, variant, hindrances);
  }
  const asked = { wish: flared, cloth, strip, edge: use };
  const free = foldPlanOf(finish, asked);
  const spare = weighSpare(finish, asked, free, edge);
  const wish = spare.wish;
  const folds = wish === flared ? free : foldPlanOf(finish, { ...asked, wish });
  const times = thickestTimes(edge.crossings);
  const schools = workableWays(finish, variant, cloth, kit);
  const work: WorkRequest = {
    wish,
    cloth,
    edge: {
      lengthMm: edge.lengthMm,
      minRadiusMm: ridingRadiusMm(edge),
      closed: isClosed(edge),
      cornered: edge.shape === 'cornered',
      thickestTimes: times,
      shape: edge.shape,
      turnDegrees: edge.turnDegrees,
      crossings: edge.crossings,
      ...{ form: edge.form, pair: edge.pair, joined: edge.joined },
      ...use,
    },
    strip,
    machineKind: way.machine?.kind,
    schools,
  };
  const thickestStackMm = folds.stackMm * Math.min(times, crossingLayers.french);
  const lifts = liftsOf(way.machine ?? {});
  // Loopers have a foot of their own, and their lift says nothing of what goes under it.
  const passage =
    way.machine && !ownFootOf(way.machine.kind)
      ? passageOf(thickestStackMm, cloth.construction, lifts)
      : 'freely';
  const minutes = minutesOf(stepsOf(finish, work), {
    lengthMm: edge.lengthMm,
    passage,
    crossings: edge.crossings.length,
  });
  const gaps = kitGaps(finish, wish, kit, schools);
  const stitch = way.machine && usualStitch(need, way.machine, cloth.stretchPercent);
  const reach =
    way.machine && stitch && gaps.length === 0
      ? reachOn(finish, wish, request, way.machine, stitch, known)
      : null;
  const sewn = need.machineKinds.length > 0;
  const reached: Reached = !sewn
    ? 'not sewn'
    : gaps.length > 0
      ? 'not worked out'
      : (reach?.reached ?? 'nothing clears');
  const carried = carriedBy(folds, nature, cloth.thicknessMm, (strip ?? cloth).thicknessMm);
  const raw = weighRawEdge(cloth, nature, use.purpose);
  const weighed: readonly Weighed[] = [
    serves,
    raw,
    weighFray(cloth, nature),
    weighStretch(cloth, stitch, nature),
    weighGive(cloth, nature),
    weighStripStretch(cloth, nature),
    weighCurve(edge, nature, folds.finishedDepthMm),
    weighThickness(cloth, nature, wish.channelMm ?? null),
    flare,
    weighTaper(edge, nature, folds, cloth),
    weighCorners(edge, nature),
    spare,
    weighDepth(edge, folds),
    weighFelled(edge, nature),
    weighRoll(cloth, nature, folds.finishedDepthMm),
    weighStrip(folds, edge),
    weighPassage(passage, thickestStackMm, lifts.liftMm, lifts.highLiftMm),
    weighSlip(cloth, nature, folds.finishedDepthMm, use.purpose),
    weighBulk(cloth, carried.layers, carried.ownLayers, cloth.thicknessMm),
    weighSecondTurn(cloth, nature),
    weighNoFray(cloth, nature, use.purpose),
    weighShowThrough(cloth, nature, use.purpose),
    weighNarrowSeam(cloth, nature, use.purpose),
    weighChild(edge, nature),
    ...(gaps.length > 0 ? [] : [weighChance(reached)]),
  ];
  return {
    ...{ finishId: finish.id, variant, group: finish.group, wish, schools },
    ...{ machine: way.place, foot: reach?.foot ?? null, stitch },
    chance: typeof reached === 'number' ? reached : null,
    ...{ stackMm: folds.stackMm, thickestStackMm, passage, minutes },
    minutesPerMetre: minutes.wholeMinutes / (edge.lengthMm / 1000),
    answers: answersOf(nature, folds, carried, minutes, request),
    contributions: weighed.flatMap(({ contributions }) => contributions),
    hindrances: [
      ...gaps.map((gap) => ({
        because: fact('kit', 'The kit has nothing to sew it with.'),
        wouldNeed: gap,
      })),
      ...weighed.flatMap(({ hindrances }) => hindrances),
    ],
    onlyToBeSeen: raw.onlyToBeSeen,
  };
}

const even: readonly WishName[] = ['hidden', 'sturdy', 'light', 'quick'];

/** How good one way is without any wish in particular, to keep the best of several by. */
function merit({ contributions, answers, hindrances }: Considered): number {
  if (hindrances.length > 0) return -1000 * hindrances.length;
  const suits = contributions.reduce((sum, { points }) => sum + points, 0);
  return suits + even.reduce((sum, name) => sum + 20 * answers[name].share, 0);
}

/**
 * Everything about one variant for this cloth, edge and kit: every scroll, depth, machine and foot
 * is tried, and the best kept.
 *
 * @param known chances that were solved for the same kit already
 */
export function consider(
  finish: Finish,
  variant: string,
  request: ChooseRequest,
  known: SolvedChances = new Map(),
): Considered {
  const serves = weighPurpose(request.edge, finish.nature(variant));
  if (serves.hindrances.length > 0) return outright(finish, variant, serves.hindrances);
  const all = waysOf(finish, variant, request).map((way) =>
    considerWay(finish, way, request, serves, known),
  );
  return all.reduce((best, next) => (merit(next) > merit(best) ? next : best));
}
