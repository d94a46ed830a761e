import type { PrickRow } from './pricks';

const { abs, max, min } = Math;

/** A shorter stitch would have bitten half-way between two places, at both thirds, or at every quarter; in the mean so often at each. */
const timesCloser = [2, 3, 4];
const leastBetween = 2;
const betweenShare = 0.25;
/** Thread lies there within such a share of the repeat; what is of a print or the weave lies elsewhere as often. */
const nearShare = 0.04;
const elsewhereShare = 0.5;
/** A longer stitch has its bites at every second or third place. */
const timesFarther = [2, 3];
/** One scrap of so many is not of the length that is set. Starting guess. */
const oneOf = 100;
/** A row that is less likely as set than this is not counted. */
const leastLikely = 0.3;

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

/** Whether thread lies so many times as close as the places of a row do. */
function isCloser(between: readonly number[], shown: number, times: number): boolean {
  const at = Array.from(
    { length: times - 1 },
    (_, k) => between.filter((share) => abs(share - (k + 1) / times) <= nearShare).length,
  );
  const there = at.reduce((sum, count) => sum + count, 0);
  return (
    min(...at) > 0 &&
    there / at.length >= max(leastBetween, betweenShare * shown) &&
    between.length - there <= elsewhereShare * there
  );
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
 * Whether a row of bites was sewn with another stitch length than is set: as much thread lies between its places as on them, or
 * bites show at every so manyth place only. Either would be counted, and be wrong. Source: Bayes’ rule.
 *
 * @returns what it is; null where it may be as set
 */
export function otherLength({ places, between }: PrickRow): 'closer' | 'farther' | null {
  const repeats = places.flatMap(({ shownMm, repeat }) => (shownMm > 0 ? [repeat] : []));
  if (timesCloser.some((times) => isCloser(between, repeats.length, times))) return 'closer';
  const chance = min(...timesFarther.map((times) => byChance(repeats, times)));
  const asSet = ((oneOf - 1) * chance) / ((oneOf - 1) * chance + 1);
  return asSet < leastLikely ? 'farther' : null;
}
