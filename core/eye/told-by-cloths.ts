import type { EdgeShape } from './edge-shapes';
import type { ShownAt, TwoCloths } from './two-cloths';

const { exp, max } = Math;

/** A place that was tried for an edge, and how well one of a shape fits there what is seen, in log, were all of it told at one place. */
export interface Tried {
  readonly atMm: number;
  readonly fits: number;
  /** Of all that are tried so many are so. */
  readonly share: number;
  /** On which side what lies beyond it is. */
  readonly beyond: 1 | -1;
  readonly shape: EdgeShape;
}

/** One that was tried, and how likely it is against all others. */
export interface Weighed extends Tried {
  readonly weight: number;
}

/** So likely is it that what the cloths tell is wrong, or that they go on as one: prints that meet at an edge by chance. */
const mayMislead = 0.15;
const mayBeOne = 0.5;
/** What is less likely than so much of all is not held against the cloths. */
const leastWeight = 1e-7;

/** How an edge darkens: not at all, beyond it, on both sides, or before it ends. */
const lookOf = ({ shadow, isSharp, offMm }: EdgeShape): number =>
  offMm > 0 ? 3 : !isSharp ? 2 : shadow ? 1 : 0;

/** How much of the upper and of the lower cloth is shown at a place of an edge that lies there. */
function shownBy(
  { atMm, beyond, shape: { upper, lower, shadow, offMm } }: Tried,
  shadowShare: number,
): readonly [before: ShownAt, after: ShownAt] {
  const beyondMm = (mm: number) => beyond * (mm - atMm);
  // A dark line lies on both sides alike, and leaves what shows of either as it is against the other.
  const dark = (mm: number) => (shadow && offMm === 0 ? shadowShare * shadow(mm) : 0);
  const ofUpper = (mm: number) => upper(beyondMm(mm));
  const ofLower = (mm: number) => max(0, lower(beyondMm(mm)) + dark(beyondMm(mm)));
  return beyond === 1 ? [ofUpper, ofLower] : [ofLower, ofUpper];
}

/**
 * How likely everything is that was tried, by what the cloths on both sides tell besides: of what looks alike at one place the
 * likeliest is asked, for all of them. Source: Bayes’ rule; docs/formulas.md, “The eye”.
 *
 * @param shadowOf how much of what lies beyond the shadow of one takes, as a share, 0 or less
 * @returns one for each place and look
 */
export function toldByCloths(
  weighed: readonly Weighed[],
  cloths: TwoCloths,
  shadowOf: (one: Tried) => number,
): Weighed[] {
  const groups = new Map<string, Weighed & { readonly best: number }>();
  let all = 0;
  for (const one of weighed) {
    all += one.weight;
    const key = `${one.beyond} ${lookOf(one.shape)} ${one.atMm.toFixed(3)}`;
    const group = groups.get(key);
    groups.set(
      key,
      group
        ? {
            ...(one.weight > group.best ? one : group),
            weight: group.weight + one.weight,
            best: max(one.weight, group.best),
          }
        : { ...one, best: one.weight },
    );
  }
  const kept = [...groups.values()].filter(({ weight }) => weight > leastWeight * all);
  const likely = kept.map((one) => cloths.likely(...shownBy(one, shadowOf(one))));
  const most = max(...likely, cloths.asOne);
  const told = likely.map(
    (each) => (1 - mayBeOne) * exp(each - most) + mayBeOne * exp(cloths.asOne - most),
  );
  const usual = told.reduce((sum, each) => sum + each, 0) / told.length;
  return kept.map((one, i) => ({
    ...one,
    weight: one.weight * (mayMislead + ((1 - mayMislead) * told[i]!) / usual),
  }));
}
