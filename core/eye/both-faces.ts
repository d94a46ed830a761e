import type { MeasuredDepth } from '../margin/measured-depths';
import { normalDrift } from '../margin/normal';
import { windowWidthMm } from './card';
import { lineThrough } from './line-through';
import { meanAndSpread } from './mean-and-spread';
import { middleOf } from './middle';
import {
  depthOfTwo,
  disagreeAt,
  noOffs,
  ownSpreadMm,
  sharedOffs,
  type SharedOffs,
} from './shared-offs';

/** A bite where it lies in the picture of one face. */
export interface PhotoBite {
  /** From the window’s upper left corner, mm. */
  readonly atMm: readonly [xMm: number, yMm: number];
  /** How deep it goes by what this face shows; null where that is not told. */
  readonly depth: MeasuredDepth | null;
}

/** A place on the right side where a bite may come out. */
export interface OutsideBite extends PhotoBite {
  readonly shows: boolean;
}

/** Which bite of one face is which of the other. */
export interface MatchedFaces {
  /** For every bite of the wrong side its place on the right; null where its row has none there. */
  readonly onRight: readonly (number | null)[];
  /** Bites that show on the right side, and that the wrong one has none for. */
  readonly alone: readonly number[];
  /** How much likelier this is than any other way the faces may lie together, 0 … 1. */
  readonly sure: number;
}

/** Less sure than this, faces are not laid together. */
export const surelyMatched = 0.9;
/** One bite lies in the same place on both faces, to so much, one spread, mm. */
const samePlaceMm = 0.3;
/** Farther from each other than this share of the bites’ spacing they are not the same. */
const mostOffShare = 0.3;
/** Thread that shows by less than twice this is not told from cloth, mm. */
const unseenMm = 0.05;
/** So many of either face’s bites are seen quite wrongly. */
const strayShare = 0.03;
/** Depths of bites lie within so much of each other, mm: what a depth says where nothing is known. */
const depthRangeMm = 1.5;
/** So often a scrap is turned over end for end, as one is asked to. */
const endForEndShare = 0.85;
/** So often a bite of a scrap that was laid into the window lies beyond its ends. */
const beyondShare = 0.02;
/** Bites that a person added may lie on each other; none are sewn nearer than this, mm. */
const leastSpacingMm = 1;
/** Fewer tell nothing. */
const leastBites = 3;

/** How far each of some places lies along the straight line through all of them, mm from the window’s left. */
function alongLine(places: readonly PhotoBite[]): number[] {
  const { atZero, slope } = lineThrough(places.map(({ atMm }) => atMm));
  const { mean: x } = meanAndSpread(places.map(({ atMm }) => atMm[0]));
  const y = atZero + slope * x;
  const long = Math.hypot(1, slope);
  return places.map(({ atMm: [one, other] }) => x + (one - x + slope * (other - y)) / long);
}

/** The log of how likely what the right side shows is for a bite that the wrong side shows so deep. */
function logOfShown(depth: MeasuredDepth | null, outside: OutsideBite | null, hiddenMm: number) {
  if (outside?.shows && outside.depth && depth) {
    const spread = Math.hypot(depth.depthSpreadMm, outside.depth.depthSpreadMm);
    const off = (depth.depthMm - outside.depth.depthMm) / spread;
    const bell = Math.exp((-off * off) / 2) / (spread * Math.sqrt(2 * Math.PI));
    return Math.log((1 - strayShare) * bell + strayShare / depthRangeMm);
  }
  const shows = depth
    ? normalDrift(depth.depthMm, depth.depthSpreadMm).rightOf(hiddenMm + unseenMm)
    : 0.5;
  const likely = (1 - strayShare) * (outside?.shows ? shows : 1 - shows) + strayShare / 2;
  return Math.log(outside?.shows ? likely / depthRangeMm : likely);
}

/** One way the faces may lie together. */
interface Way extends Pick<MatchedFaces, 'onRight'> {
  readonly log: number;
}

/**
 * Which bite of the wrong side is which of the right: a scrap may be turned over end for end or side for
 * side, and bites at its ends may show on one face only. Every way of laying one row of bites on the other
 * is tried; likelier is the one in which bites lie in the same places, the deep ones show and the shallow
 * ones don’t. Source: docs/formulas.md, “The eye”.
 *
 * @param hiddenMm bites as deep as this or less don’t show on the right side
 * @returns null where either face has too few bites to tell
 */
export function matchFaces(
  wrong: readonly PhotoBite[],
  right: readonly OutsideBite[],
  hiddenMm: number,
): MatchedFaces | null {
  if (Math.min(wrong.length, right.length) < leastBites) return null;
  const [inside, outside] = [alongLine(wrong), alongLine(right)];
  const sorted = inside.toSorted((a, b) => a - b);
  const gaps = sorted.slice(1).map((along, i) => along - sorted[i]!);
  const spacingMm = Math.max(leastSpacingMm, middleOf(gaps));
  const ways = new Map<string, Way>();
  for (const turned of [1, -1] as const) {
    for (const from of inside) {
      for (const to of outside) {
        const laid = outside.map((along) => from + turned * (along - to));
        const way = together(inside, laid, spacingMm);
        const key = way.onRight.join();
        if (ways.has(key)) continue;
        const beyond = inside.filter((along) => {
          const there = to + turned * (along - from);
          return there < 0 || there > windowWidthMm;
        }).length;
        const log =
          likelihoodOf(way, { wrong, right, hiddenMm }, spacingMm) +
          Math.log(turned === -1 ? endForEndShare : 1 - endForEndShare) +
          beyond * Math.log(beyondShare);
        ways.set(key, { ...way, log });
      }
    }
  }
  const [best] = [...ways.values()].sort((a, b) => b.log - a.log);
  if (!best) return null;
  const all = [...ways.values()].reduce((sum, { log }) => sum + Math.exp(log - best.log), 0);
  const { onRight } = best;
  const alone = right.flatMap(({ shows }, j) => (shows && !onRight.includes(j) ? [j] : []));
  return { onRight, alone, sure: 1 / all };
}

/** Every bite with the nearest place of the other row, and how far they lie from each other. */
function together(inside: readonly number[], laid: readonly number[], spacingMm: number) {
  const nearestTo = (places: readonly number[], at: number): number =>
    places.reduce(
      (best, place, i) => (Math.abs(place - at) < Math.abs(places[best]! - at) ? i : best),
      0,
    );
  const offs: number[] = [];
  const onRight = inside.map((along, i): number | null => {
    const j = nearestTo(laid, along);
    const off = laid[j]! - along;
    if (Math.abs(off) > mostOffShare * spacingMm || nearestTo(inside, laid[j]!) !== i) return null;
    offs.push(off);
    return j;
  });
  return { onRight, offs };
}

function likelihoodOf(
  { onRight, offs }: ReturnType<typeof together>,
  {
    wrong,
    right,
    hiddenMm,
  }: {
    readonly wrong: readonly PhotoBite[];
    readonly right: readonly OutsideBite[];
    readonly hiddenMm: number;
  },
  spacingMm: number,
): number {
  const { mean } = meanAndSpread(offs);
  // Against a place that lies anywhere between two bites.
  const level = Math.log(spacingMm / (samePlaceMm * Math.sqrt(2 * Math.PI)));
  let log = offs.reduce((sum, off) => sum + level - ((off - mean) / samePlaceMm) ** 2 / 2, 0);
  wrong.forEach(({ depth }, i) => {
    const j = onRight[i] ?? null;
    log += logOfShown(depth, j === null ? null : right[j]!, hiddenMm);
  });
  const alone = right.filter(({ shows }, j) => shows && !onRight.includes(j)).length;
  return log + alone * Math.log(strayShare / depthRangeMm);
}

/**
 * How deep a bite goes by both faces: the mean of two measurements, each by how far it strays by itself; or, where
 * the right side shows nothing, what the wrong side says as far as it stays hidden. What all bites of a face are off by in common is
 * taken away first, and what is left open of it stays open. Source: docs/formulas.md, “The eye”.
 *
 * @param hiddenMm bites as deep as this or less don’t show on the right side
 * @param offs what each face is off by, where that is told
 * @returns the depth, and whether the faces agree; where they don’t it is the wrong side’s
 */
export function depthByBoth(
  depth: MeasuredDepth,
  outside: OutsideBite,
  hiddenMm: number,
  offs: SharedOffs = noOffs,
): MeasuredDepth & { readonly agree: boolean } {
  const [off] = offs;
  const depthMm = depth.depthMm - off.offMm;
  const own = ownSpreadMm(depth, off.spreadMm);
  const alone = { depthMm, depthSpreadMm: Math.hypot(own, off.leftMm) };
  if (outside.depth) {
    const both = depthOfTwo([depth, outside.depth], offs);
    // A print may look like thread that shows; the bite itself is seen whole on the wrong side.
    return both ? { ...both, agree: true } : { ...alone, agree: false };
  }
  // A normal cut off at what would be seen: its mean and its spread.
  const { depthSpreadMm } = alone;
  const cut = (hiddenMm + unseenMm - depthMm) / depthSpreadMm;
  if (outside.shows || cut < -disagreeAt) return { ...alone, agree: outside.shows };
  const below = normalDrift(0, 1).leftOf(cut);
  const hazard = Math.exp((-cut * cut) / 2) / Math.sqrt(2 * Math.PI) / below;
  return {
    depthMm: depthMm - depthSpreadMm * hazard,
    depthSpreadMm: depthSpreadMm * Math.sqrt(Math.max(0, 1 - cut * hazard - hazard * hazard)),
    agree: true,
  };
}

/** What both faces are off by in common, of bites that were matched. @param onRight as {@link matchFaces} tells it */
export function offsOf(
  wrong: readonly PhotoBite[],
  right: readonly PhotoBite[],
  { onRight }: Pick<MatchedFaces, 'onRight'>,
): SharedOffs {
  return sharedOffs(
    wrong.flatMap(({ depth }, i) => {
      const j = onRight[i] ?? null;
      const other = j === null ? null : right[j]!.depth;
      return depth && other ? [[depth, other] as const] : [];
    }),
  );
}
