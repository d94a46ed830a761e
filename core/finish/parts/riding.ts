import { openingsOf, type IntervalMm } from '../../kit/foot';
import { needleRadiusMm } from '../../kit/needle';
import { needleAirMm } from '../../stitch/clearance';
import type { SewingPlan } from '../sewing-plan';

/** How the work lies under a foot beside its guide. */
export interface Riding {
  /** +1 with the stitch right of what it keeps to and the garment on the left; −1 turned round. */
  readonly hand: 1 | -1;
  /** How far beyond what the stitch keeps to the riding edge lies; 0 where they are the same. */
  readonly beyondMm: number;
}

/** The needle positions that this foot leaves, mm; the centre where it leaves none. */
function reach({ foot, machine, needleSize }: SewingPlan): readonly IntervalMm[] {
  const keepMm = needleRadiusMm(needleSize) + needleAirMm;
  const left = openingsOf(foot)
    .map(([from, to]): IntervalMm => [
      Math.max(machine.needleRangeMm[0], from + keepMm),
      Math.min(machine.needleRangeMm[1], to - keepMm),
    ])
    .filter(([from, to]) => from <= to);
  return left.length > 0 ? left : [[0, 0]];
}

/** Distance of a wished value from an interval. */
const missBy = (wish: number, from: number, to: number) => Math.max(0, from - wish, wish - to);

/**
 * Which way the work lies: as one is taught, garment on the left and the stitch right of the fold;
 * where the guide stands too far right for that, the outer edge rides it, or the work is turned
 * round. The first that reaches the middle of the window best is taken.
 *
 * @param middleMm of the window that the stitch's distance must keep to
 * @param beyondMm to the outer edge; null where only the fold itself can ride
 */
export function ridingOf(plan: SewingPlan, middleMm: number, beyondMm: number | null): Riding {
  const { guide } = plan.foot;
  const [guideFrom, guideTo] = 'atMm' in guide ? [guide.atMm, guide.atMm] : guide.rangeMm;
  const needles = reach(plan);
  const ways: Riding[] = [
    { hand: 1, beyondMm: 0 },
    ...(beyondMm === null ? [] : [{ hand: 1 as const, beyondMm }]),
    { hand: -1, beyondMm: 0 },
  ];
  const misses = ways.map(({ hand, beyondMm: beyond }) =>
    Math.min(
      ...needles.map(([from, to]) =>
        hand === 1
          ? missBy(middleMm, beyond + from - guideTo, beyond + to - guideFrom)
          : missBy(middleMm, beyond + guideFrom - to, beyond + guideTo - from),
      ),
    ),
  );
  const least = Math.min(...misses);
  return ways[misses.findIndex((miss) => miss <= least + 0.25)] ?? { hand: 1, beyondMm: 0 };
}

/** Regions as they lie when the work is turned round. */
export function turnedRound<T extends { readonly fromMm: number; readonly toMm: number }>(
  regions: readonly T[],
): T[] {
  return regions.map((region) => ({ ...region, fromMm: -region.toMm, toMm: -region.fromMm }));
}
