import type { ColourImage, GreyImage, ScaledImage } from './grey';
import type { Filter } from './filter';
import type { Homography } from './homography';

// Asked for at every pixel.
const { floor, max, min, round } = Math;

/** A rectangle of the card, mm from the page’s upper left corner. */
export interface RectMm {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** What a picture shows at a place in px, between the four pixels around it. */
export type ShownAt = (x: number, y: number) => number;

/**
 * Looks at every pixel’s own numbers between the four around a place; the border goes on beyond itself.
 *
 * @param of what a pixel is looked at for, by its place in the list of pixels
 */
function between(width: number, height: number, of: (pixel: number) => number): ShownAt {
  return (x, y) => {
    const left = min(width - 1, max(0, floor(x)));
    const top = min(height - 1, max(0, floor(y)));
    const right = min(width - 1, left + 1);
    const fx = min(1, max(0, x - left));
    const fy = min(1, max(0, y - top));
    const low = min(height - 1, top + 1) * width;
    const upper = of(top * width + left) * (1 - fx) + of(top * width + right) * fx;
    const lower = of(low + left) * (1 - fx) + of(low + right) * fx;
    return upper * (1 - fy) + lower * fy;
  };
}

/** A picture’s greys. */
export const greysOf = ({ width, height, grey }: GreyImage): ShownAt =>
  between(width, height, (pixel) => grey[pixel]!);

/** What a picture shows through a filter of its colours. */
export function filtered({ width, height, bytes, perPixel }: ColourImage, filter: Filter): ShownAt {
  const { red, green, blue, at: middle } = filter;
  return between(width, height, (pixel) => {
    const at = pixel * perPixel;
    const light = red * bytes[at]! + green * bytes[at + 1]! + blue * bytes[at + 2]! + middle;
    return min(255, max(0, light));
  });
}

/** Places of a picture, px, and what it shows at each, rounded, from 0 to 255. */
type ShownAlong = (xs: Float64Array, ys: Float64Array, to: Uint8Array) => void;

const isPicture = (shown: ShownAt | GreyImage): shown is GreyImage => typeof shown === 'object';

/** Looks along places one by one. A picture’s greys, of which a window has millions, without a call for each. */
function lookAlong(shown: ShownAt | GreyImage): ShownAlong {
  const at = isPicture(shown) ? greysOf(shown) : shown;
  const oneByOne = (xs: Float64Array, ys: Float64Array, to: Uint8Array, i: number) => {
    to[i] = at(xs[i]!, ys[i]!) + 0.5;
  };
  if (!isPicture(shown)) {
    return (xs, ys, to) => {
      for (let i = 0; i < to.length; i++) oneByOne(xs, ys, to, i);
    };
  }
  const { width, height, grey } = shown;
  return (xs, ys, to) => {
    for (let i = 0; i < to.length; i++) {
      const x = xs[i]!;
      const y = ys[i]!;
      if (x >= 0 && y >= 0 && x < width - 1 && y < height - 1) {
        const left = x | 0;
        const top = y | 0;
        const fx = x - left;
        const here = top * width + left;
        const upper = grey[here]! + (grey[here + 1]! - grey[here]!) * fx;
        const low = here + width;
        const lower = grey[low]! + (grey[low + 1]! - grey[low]!) * fx;
        to[i] = upper + (lower - upper) * (y - top) + 0.5;
      } else oneByOne(xs, ys, to, i);
    }
  };
}

/**
 * A rectangle of the card as it would lie flat under the eye.
 *
 * @param shown a picture’s greys, or what it shows through a filter
 * @param toPicture takes mm of the card to px of the picture
 * @param onRow called after every row, for progress; false stops
 * @returns null where it was stopped
 */
export function rectified(
  shown: ShownAt | GreyImage,
  toPicture: Homography,
  { xMm, yMm, widthMm, heightMm }: RectMm,
  pxPerMm: number,
  onRow: (share: number) => boolean = () => true,
): ScaledImage | null {
  const [width, height] = [round(widthMm * pxPerMm), round(heightMm * pxPerMm)];
  const grey = new Uint8Array(width * height);
  const [h0, h1, h2, h3, h4, h5, h6, h7, h8] = toPicture;
  const look = lookAlong(shown);
  const [xs, ys] = [new Float64Array(width), new Float64Array(width)];
  for (let row = 0; row < height; row++) {
    const y = yMm + (row + 0.5) / pxPerMm;
    for (let column = 0; column < width; column++) {
      const x = xMm + (column + 0.5) / pxPerMm;
      // As `mapped` has it, which would make a place of its own for each of a million pixels.
      const near = 1 / (h6! * x + h7! * y + h8!);
      // A pixel’s grey is that of its middle.
      xs[column] = (h0! * x + h1! * y + h2!) * near - 0.5;
      ys[column] = (h3! * x + h4! * y + h5!) * near - 0.5;
    }
    look(xs, ys, grey.subarray(row * width, (row + 1) * width));
    if (!onRow((row + 1) / height)) return null;
  }
  return { width, height, grey, pxPerMm };
}
