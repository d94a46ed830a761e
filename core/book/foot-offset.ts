import {
  logPriorOfOffset,
  logSum,
  momentsOf,
  normalised,
  offsetLikelihoodOf,
  offsetsMm,
  quantileOf,
} from './coarse-grid';
import { guideReader, type BookScrap, type ReadGuide } from './sewn-group';

/** Where a foot on a machine makes the edge run, whatever the cloth. */
export interface FootOffset {
  readonly mm: number;
  readonly interval: readonly [number, number];
  /** What a cloth nobody has sewn with it yet should expect: its standard deviation, mm. */
  readonly newClothSdMm: number;
  readonly setUps: number;
  readonly cloths: number;
}

/** A set-up's scraps with its cloth. */
export interface ClothScraps {
  readonly clothId: string;
  readonly scraps: readonly BookScrap[];
}

/** One cloth alone can't say what is the foot's and what the cloth's. */
export const leastCloths = 2;
/** How much cloths may differ under one foot, mm: tried from a little to as much as a new foot. */
const betweenClothsMm: readonly number[] = Array.from({ length: 12 }, (_, i) => 0.04 * (i + 1));
/** Starting guess: what they differ by usually, standard deviation of a half normal, mm. */
const usualBetweenMm = 0.2;
const tail = 0.05;

/**
 * The offset that belongs to a foot on a machine: every set-up has its own, scattered around the
 * foot's; how much they scatter is learned with it.
 * Source: docs/formulas.md, “What carries over”.
 *
 * @param groups the scraps of each set-up with this foot on this machine
 * @returns null while fewer than {@link leastCloths} cloths were sewn with it
 */
export function footOffset(
  groups: readonly ClothScraps[],
  read: ReadGuide = guideReader(),
): FootOffset | null {
  const counted = groups
    .map(({ clothId, scraps }) => ({ clothId, counts: scraps.flatMap(read) }))
    .filter(({ counts }) => counts.length > 0);
  const cloths = new Set(counted.map(({ clothId }) => clothId)).size;
  if (cloths < leastCloths) return null;

  // Each set-up's likelihood of its own offset, the hand's steadiness integrated out.
  const ofSetUp = counted.map(({ counts }) => offsetLikelihoodOf(counts));
  const logs = offsetsMm.map(() => betweenClothsMm.map(() => 0));
  betweenClothsMm.forEach((between, b) => {
    offsetsMm.forEach((mm, i) => {
      let log = logPriorOfOffset(mm) - (between / usualBetweenMm) ** 2 / 2;
      for (const likelihood of ofSetUp) {
        log +=
          logSum(
            offsetsMm.map((own, j) => (likelihood[j] ?? 0) - ((own - mm) / between) ** 2 / 2),
          ) - Math.log(between);
      }
      logs[i]![b] = log;
    });
  });
  const weights = normalised(logs.flat());
  const at = (i: number, b: number) => weights[i * betweenClothsMm.length + b] ?? 0;
  const marginal = offsetsMm.map((_, i) =>
    betweenClothsMm.reduce((sum, _b, b) => sum + at(i, b), 0),
  );
  const { mean: mm, sd } = momentsOf(offsetsMm, marginal);
  const betweenVariance = betweenClothsMm.reduce(
    (sum, between, b) =>
      sum + between ** 2 * offsetsMm.reduce((share, _, i) => share + at(i, b), 0),
    0,
  );
  return {
    mm,
    interval: [quantileOf(offsetsMm, marginal, tail), quantileOf(offsetsMm, marginal, 1 - tail)],
    newClothSdMm: Math.sqrt(sd ** 2 + betweenVariance),
    setUps: counted.length,
    cloths,
  };
}
