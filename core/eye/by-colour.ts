import { Impossible } from '../impossible';
import { filters, lookedAtPxPerMm, standsOutBy } from './filter';
import type { GreyImage, Picture, ScaledImage } from './grey';
import type { MeasuredScrap } from './measured-scrap';
import { filtered, type ShownAt } from './rectify';

/** A window as it was measured: in greys, or through a filter. */
export interface Tried {
  readonly window: ScaledImage;
  /** Whether it was through a filter. */
  readonly isByColour: boolean;
  readonly measured: MeasuredScrap;
}

/** What comes of one way of looking; why nothing does; null where it was stopped. */
type Outcome = Tried | Impossible | null;

/** Thread that stands out less, of what it must at least, is looked for by its colour as well. */
const plainEnough = 1.7;
/** Through a filter something stands out more than in greys by so much, or it is not tried. */
const plainer = 1.2;
/** Of the filters in which something stands out, so many are tried. */
const mostTried = 2;

/** One way of looking at a window. */
export function tried(
  window: ScaledImage,
  isByColour: boolean,
  work: () => MeasuredScrap | null,
): Outcome {
  try {
    const measured = work();
    return measured && { window, isByColour, measured };
  } catch (error) {
    if (error instanceof Impossible) return error;
    throw error;
  }
}

const isTold = (one: Outcome): one is Tried => one !== null && !(one instanceof Impossible);

/** Whether thread stands out so plainly that no other way of looking is asked for. */
export const isPlain = (one: Outcome): boolean => isTold(one) && one.measured.plain >= plainEnough;

/**
 * Looks for thread by its colour, through the filters in which something as wide as a thread stands
 * out. Source: docs/formulas.md, “The eye”.
 *
 * @param inGrey what came of how light it is: it stands where it is plain, and where no colour tells more
 * @returns null where it was stopped
 */
export function byColour(
  picture: Picture,
  inGrey: Outcome,
  how: {
    /** The window laid flat, px a mm. */
    flat(shown: ShownAt | GreyImage, pxPerMm: number): ScaledImage;
    measure(thread: ScaledImage, onShare: (share: number) => boolean): MeasuredScrap | null;
    /** How fine it is measured. */
    readonly pxPerMm: number;
    readonly onShare: (share: number) => boolean;
  },
): Outcome {
  const { colours } = picture;
  if (!colours || inGrey === null || isPlain(inGrey)) return inGrey;
  const standsOut = (shown: ShownAt | GreyImage) => standsOutBy(how.flat(shown, lookedAtPxPerMm));
  const least = plainer * standsOut(picture);
  const likely = filters
    .map((filter) => filtered(colours, filter))
    .map((shown) => ({ shown, by: standsOut(shown) }))
    .filter(({ by }) => by > least)
    .sort((a, b) => b.by - a.by)
    .slice(0, mostTried);
  let best = inGrey;
  for (const [i, { shown }] of likely.entries()) {
    const thread = how.flat(shown, how.pxPerMm);
    const other = tried(thread, true, () =>
      how.measure(thread, (share) => how.onShare((i + share) / mostTried)),
    );
    if (other === null) return null;
    if (!isTold(other)) continue;
    if (!isTold(best) || other.measured.plain > best.measured.plain) best = other;
    if (isPlain(best)) break;
  }
  return best;
}
