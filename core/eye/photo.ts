import type { PageSize } from '../fold/gauge';
import type { ScrapCard } from './card';
import type { Expected } from './expected';
import type { GreyImage, ScaledImage } from './grey';
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
  /** The window as it would lie flat under the eye. */
  readonly window: ScaledImage;
  readonly measured: MeasuredScrap;
}

/** The window is laid flat so fine, px a mm: no finer than a thread needs, no coarser than is told. */
const [leastPxPerMm, mostPxPerMm] = [8, 20];
/** What the parts take of the whole. */
const [locatedShare, flatShare] = [0.3, 0.4];

/**
 * Finds the card in a photo, lays its window flat and measures what lies in it.
 *
 * @param onShare progress, 0 to 1; false stops
 * @returns null where it was stopped
 * @throws Impossible that says what is wrong with the picture and what to do
 */
export function measurePhoto(
  picture: GreyImage,
  expected: Expected,
  page: PageSize = 'a4',
  onShare: (share: number) => boolean = () => true,
): MeasuredPhoto | null {
  if (!onShare(0)) return null;
  const { card, toPicture, pxPerMm, tiltDegrees } = locateCard(picture, page);
  if (!onShare(locatedShare)) return null;
  const fine = Math.min(mostPxPerMm, Math.max(leastPxPerMm, pxPerMm));
  const window = rectified(picture, toPicture, card.window, fine, (share) =>
    onShare(locatedShare + (flatShare - locatedShare) * share),
  );
  if (!window) return null;
  const measured = measureScrap(window, expected, (share) =>
    onShare(flatShare + (1 - flatShare) * share),
  );
  return measured && { pxPerMm, tiltDegrees, card, window, measured };
}
