import type { GreyImage, ScaledImage } from './grey';
import { mapped, type Homography, type Place } from './homography';

// Asked for at every pixel.
const { floor, max, min, round } = Math;

/** A rectangle of the card, mm from the page’s upper left corner. */
export interface RectMm {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The grey between pixels, by the four around a place; the border goes on beyond itself. */
export function greyAt({ width, height, grey }: GreyImage, [x, y]: Place): number {
  const left = min(width - 1, max(0, floor(x)));
  const top = min(height - 1, max(0, floor(y)));
  const [right, low] = [min(width - 1, left + 1), min(height - 1, top + 1)];
  const [fx, fy] = [min(1, max(0, x - left)), min(1, max(0, y - top))];
  const upper = grey[top * width + left]! * (1 - fx) + grey[top * width + right]! * fx;
  const lower = grey[low * width + left]! * (1 - fx) + grey[low * width + right]! * fx;
  return upper * (1 - fy) + lower * fy;
}

/**
 * A rectangle of the card as it would lie flat under the eye.
 *
 * @param toPicture takes mm of the card to px of the picture
 * @param onRow called after every row, for progress; false stops
 * @returns null where it was stopped
 */
export function rectified(
  picture: GreyImage,
  toPicture: Homography,
  { xMm, yMm, widthMm, heightMm }: RectMm,
  pxPerMm: number,
  onRow: (share: number) => boolean = () => true,
): ScaledImage | null {
  const [width, height] = [round(widthMm * pxPerMm), round(heightMm * pxPerMm)];
  const grey = new Uint8Array(width * height);
  for (let row = 0; row < height; row++) {
    const y = yMm + (row + 0.5) / pxPerMm;
    for (let column = 0; column < width; column++) {
      const [px, py] = mapped(toPicture, [xMm + (column + 0.5) / pxPerMm, y]);
      // A pixel’s grey is that of its middle.
      grey[row * width + column] = greyAt(picture, [px - 0.5, py - 0.5]) + 0.5;
    }
    if (!onRow((row + 1) / height)) return null;
  }
  return { width, height, grey, pxPerMm };
}
