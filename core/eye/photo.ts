import type { PageSize } from '../fold/gauge';
import { byColour, tried } from './by-colour';
import type { ScrapCard } from './card';
import type { Expected } from './expected';
import { Impossible } from '../impossible';
import type { GreyImage, Picture, ScaledImage } from './grey';
import { locateCard } from './locate';
import { measureScrap } from './measure';
import type { MeasuredScrap } from './measured-scrap';
import { rectified } from './rectify';

/** A photo of a scrap on its card, measured. */
export interface MeasuredPhoto {
  /** As fine as the picture itself shows the window. */
  readonly pxPerMm: number;
  readonly tiltDegrees: number;
  readonly card: ScrapCard;
  /** The window as it would lie flat under the eye, in what its thread was told by. */
  readonly window: ScaledImage;
  /** Whether that is its colour: it is as light as the cloth, or nearly. */
  readonly isByColour: boolean;
  readonly measured: MeasuredScrap;
}

/** The window is laid flat so fine, px a mm: no finer than a thread needs, no coarser than is told. */
const [leastPxPerMm, mostPxPerMm] = [8, 20];
/** What the parts take of the whole. */
const [locatedShare, flatShare, greyShare] = [0.3, 0.4, 0.8];

/** A step that is blurred rises from a fifth to four fifths of it over so many spreads of a normal. */
const riseOfNormal = 1.683;
/** A window that was laid flat, and halved, is blurred by so much however sharp its picture is, one spread, mm. */
const leastBlurMm = 0.04;

/** From so fine a picture on it is laid flat at the most, and measured at half of that. */
const halvedPxPerMm = 14;

/** The window is laid flat as fine as the picture shows it, within what is measured. */
const finenessOf = (pxPerMm: number) =>
  pxPerMm >= halvedPxPerMm ? mostPxPerMm : Math.max(leastPxPerMm, pxPerMm);

/**
 * The window of the card in a photo, laid flat: what was measured in it once lies where it lay.
 *
 * @throws Impossible that says what is wrong with the picture and what to do
 */
export function windowOf(picture: GreyImage, page: PageSize = 'a4'): ScaledImage {
  const { card, toPicture, pxPerMm } = locateCard(picture, page);
  return rectified(picture, toPicture, card.window, finenessOf(pxPerMm))!;
}

/**
 * Finds the card in a photo, lays its window flat and measures what lies in it. What is hardly told by
 * how light it is is looked for by its colour: thread and cloth that are as light as each other may
 * differ in nothing else. What a seam was led along is a matter of light and shadow in either case.
 *
 * @param onShare progress, 0 to 1; false stops
 * @returns null where it was stopped
 * @throws Impossible that says what is wrong with the picture and what to do
 */
export function measurePhoto(
  picture: Picture,
  expected: Expected,
  page: PageSize = 'a4',
  onShare: (share: number) => boolean = () => true,
): MeasuredPhoto | null {
  if (!onShare(0)) return null;
  const { card, toPicture, pxPerMm, tiltDegrees, blurMm } = locateCard(picture, page);
  if (!onShare(locatedShare)) return null;
  const fine = finenessOf(pxPerMm);
  const flat = rectified(picture, toPicture, card.window, fine, (share) =>
    onShare(locatedShare + (flatShare - locatedShare) * share),
  );
  if (!flat) return null;
  const window = { ...flat, blurMm: Math.max(leastBlurMm, blurMm / riseOfNormal) };
  const partOf = (from: number, to: number) => (share: number) =>
    onShare(from + (to - from) * share);
  const inGrey = tried(window, false, () =>
    measureScrap(window, expected, partOf(flatShare, picture.colours ? greyShare : 1)),
  );
  const best = byColour(picture, inGrey, {
    flat: (shown, at) => rectified(shown, toPicture, card.window, at)!,
    measure: (thread, told) => measureScrap(window, expected, told, thread),
    pxPerMm: fine,
    onShare: partOf(greyShare, 1),
  });
  if (best === null || !onShare(1)) return null;
  if (best instanceof Impossible) throw best;
  return { pxPerMm, tiltDegrees, card, ...best };
}
