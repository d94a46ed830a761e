import type { PrickRow } from './pricks';

const { abs, max, min } = Math;

/** A shorter stitch would have bitten half-way between two places, at both thirds, or at every quarter. */
const timesCloser = [2, 3, 4];
/** Its bites lie within such a share of the repeat of there. */
const nearShare = 0.04;
/** What is of a print or the weave lies anywhere in what is looked at between two places, as a share of the repeat. */
const anywhereShare = 0.6;
/** So many rows of the length that is set have any of that between their places, and of these so many have one more. */
const someBetween = 0.15;
const moreBetween = 0.6;
/** A longer stitch has its bites at every second or third place. */
const timesFarther = [2, 3];
/** One scrap of so many is not of the length that is set. Starting guess. */
const oneOf = 100;

/** A row that is less likely as set than this is not counted. */
export const leastAsSet = 0.3;

/** How likely a row is of another stitch length than is set, and which of the two. */
export interface OtherLength {
  readonly is: 'closer' | 'farther';
  /** How likely it is as set all the same, 0 … 1. */
  readonly asSet: number;
}

/** How likely at least so many of as many are so, when each is so likely. Source: the binomial distribution. */
function atLeast(least: number, of: number, likely: number): number {
  let one = (1 - likely) ** of;
  let sum = 0;
  for (let n = 0; n <= of; n++) {
    if (n >= least) sum += one;
    one *= ((of - n) / (n + 1)) * (likely / (1 - likely));
  }
  return min(1, sum);
}

/** How likely so many pieces that are none of a bite lie between places, where each lies. @param places so many of them */
function strayed(pieces: number, places: number): number {
  let likely =
    pieces === 0 ? 1 - someBetween : someBetween * (1 - moreBetween) * moreBetween ** (pieces - 1);
  for (let i = 1; i <= pieces; i++) likely *= i / (places * anywhereShare);
  return likely;
}

/**
 * How much likelier what lies between places is where bites come out there too, so many times as close, than where none does. How
 * many of them show the places tell, and each that is looked at. Source: Pólya’s urn, Bayes’ rule.
 */
function closerBy({ places, between }: PrickRow, times: number): number {
  const at = between.filter((share) =>
    Array.from({ length: times - 1 }, (_, k) => (k + 1) / times).some(
      (slot) => abs(share - slot) <= nearShare,
    ),
  ).length;
  const shown = places.filter(({ shownMm }) => shownMm > 0).length;
  const slots = (times - 1) * places.length;
  let urn = 1;
  for (let i = 0; i < slots; i++) {
    const hit = i < at ? shown + 1 + i : places.length - shown + 1 + (i - at);
    urn *= hit / (places.length + 2 + i);
  }
  const others = between.length - at;
  const likely = (urn * strayed(others, places.length)) / (2 * nearShare) ** at;
  return likely / strayed(between.length, places.length);
}

/** How likely bites that lie as they may would lie by chance at every so manyth place as they do. */
function byChance(repeats: readonly number[], times: number): number {
  const apart = Array.from(
    { length: times },
    (_, k) => repeats.filter((repeat) => (repeat - k) % times === 0).length,
  );
  return min(1, times * atLeast(max(...apart), repeats.length, 1 / times));
}

/**
 * Whether a row of bites was sewn with another stitch length than is set: thread lies between its places where a shorter stitch
 * would have bitten, or bites show at every so manyth place only. Either would be counted, and be wrong. Source: Bayes’ rule.
 */
export function otherLength(row: PrickRow): OtherLength {
  const repeats = row.places.flatMap(({ shownMm, repeat }) => (shownMm > 0 ? [repeat] : []));
  const asSet = (likelier: number) => (oneOf - 1) / (oneOf - 1 + likelier);
  const closer = asSet(max(...timesCloser.map((times) => closerBy(row, times))));
  const farther = asSet(1 / min(...timesFarther.map((times) => byChance(repeats, times))));
  return closer < farther ? { is: 'closer', asSet: closer } : { is: 'farther', asSet: farther };
}
