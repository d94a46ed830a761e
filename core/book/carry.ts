import type { SewingPlan } from '../finish/sewing-plan';
import type { Guidance } from '../kit/foot';
import { plainLogSigmaSd, plainShiftSdMm } from '../margin/prior';
import type { Carried } from '../plan/carried';
import { sameForLearning } from '../plan/same-set-up';
import {
  logPriorOfOffset,
  momentsOf,
  normalised,
  offsetLikelihoodOf,
  offsetsMm,
  quantileOf,
} from './coarse-grid';
import { footOffset, type FootOffset } from './foot-offset';
import { guideReader, type BookScrap, type ReadGuide } from './sewn-group';
import { leastScraps, steadinessOf, type DatedScrap, type Steadiness } from './skill';

/** Where what is carried over comes from, to be said beside it. */
export interface CarriedFrom {
  /** The same set-up, on another edge. */
  readonly sameSetUp: {
    readonly mm: number;
    readonly interval: readonly [number, number];
    readonly scraps: number;
  } | null;
  /** The foot on this machine, over several cloths. */
  readonly foot: FootOffset | null;
  /** The hand along this kind of guidance. */
  readonly hand: (Steadiness & { readonly guidance: Guidance }) | null;
}

/** Starting guess: what an offset moves from one edge to the next of the same set-up, mm. */
const anotherDaySdMm = 0.1;
/** Starting guess: what a hand's steadiness varies from one cloth to another, of its logarithm. */
const anotherClothLogSd = 0.15;
const tail = 0.05;

/** The offset of a set-up by its own scraps. */
function offsetOf(
  scraps: readonly BookScrap[],
  read: ReadGuide,
): { mm: number; sdMm: number; interval: readonly [number, number] } {
  const likelihood = offsetLikelihoodOf(scraps.flatMap(read));
  const weights = normalised(offsetsMm.map((mm, i) => logPriorOfOffset(mm) + (likelihood[i] ?? 0)));
  const { mean, sd } = momentsOf(offsetsMm, weights);
  return {
    mm: mean,
    sdMm: sd,
    interval: [quantileOf(offsetsMm, weights, tail), quantileOf(offsetsMm, weights, 1 - tail)],
  };
}

/**
 * What a set-up starts with from scraps of other edges: the offset of the very same set-up where
 * there is one, else that of the foot on this machine; and the steadiness of the hand.
 * Source: docs/formulas.md, “What carries over”.
 *
 * @param plan the set-up that is new
 * @param ofFoot scraps of other edges with this foot on this machine, with their cloths
 * @param ofHand scraps of other edges along the same kind of guidance
 */
export function carryOver(
  plan: SewingPlan,
  ofFoot: readonly (DatedScrap & { readonly clothId: string | null })[],
  ofHand: readonly DatedScrap[],
): { readonly carried: Carried; readonly from: CarriedFrom } {
  const read = guideReader();
  const same = ofFoot.filter(
    (scrap) => sameForLearning(scrap.setUp, plan) && read(scrap).length > 0,
  );
  const groups = new Map<string, { clothId: string; scraps: BookScrap[] }>();
  for (const scrap of ofFoot) {
    const group = groups.get(scrap.group) ?? { clothId: scrap.clothId ?? scrap.group, scraps: [] };
    group.scraps.push(scrap);
    groups.set(scrap.group, group);
  }
  const own = same.length > 0 ? offsetOf(same, read) : null;
  const foot = own ? null : footOffset([...groups.values()], read);
  const counted = ofHand.filter((scrap) => read(scrap).length > 0);
  const hand = counted.length >= leastScraps ? steadinessOf(counted, read) : null;
  const shift = own
    ? { mm: own.mm, sdMm: Math.hypot(own.sdMm, anotherDaySdMm) }
    : foot && { mm: foot.mm, sdMm: Math.min(plainShiftSdMm, foot.newClothSdMm) };
  const skill = hand && {
    factor: hand.factor,
    logSd: Math.min(plainLogSigmaSd, Math.hypot(hand.logSd, anotherClothLogSd)),
  };
  return {
    carried: shift || skill ? { guide: { shift, skill } } : {},
    from: {
      sameSetUp: own && { mm: own.mm, interval: own.interval, scraps: same.length },
      foot,
      hand: hand && { ...hand, guidance: plan.foot.guidance },
    },
  };
}
