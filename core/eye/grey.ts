/** A grey picture, rows from the top, 0 black to 255 white. */
export interface GreyImage {
  readonly width: number;
  readonly height: number;
  readonly grey: Uint8Array;
}

/** A grey picture that lies flat, with its scale. */
export interface ScaledImage extends GreyImage {
  readonly pxPerMm: number;
}

/**
 * The grey of a picture as browsers and decoders give it: red, green, blue and opacity, a byte each.
 * Weights of Rec. 709; what is transparent lies on white.
 *
 * @param rgba four bytes a pixel, rows from the top
 */
export function greyOf(rgba: Uint8Array | Uint8ClampedArray, width: number): GreyImage {
  const count = Math.floor(rgba.length / 4);
  const grey = new Uint8Array(count);
  for (let i = 0, at = 0; i < count; i++, at += 4) {
    const light = 0.2126 * rgba[at]! + 0.7152 * rgba[at + 1]! + 0.0722 * rgba[at + 2]!;
    const opacity = rgba[at + 3]! / 255;
    grey[i] = light * opacity + 255 * (1 - opacity) + 0.5;
  }
  return { width, height: Math.floor(count / width), grey };
}

/** The mean of the squares of a picture that a pixel of a smaller one covers. @param times 2 halves it */
export function shrunk({ width, height, grey }: GreyImage, times: number): GreyImage {
  const [w, h] = [Math.floor(width / times), Math.floor(height / times)];
  const small = new Uint8Array(w * h);
  for (let y = 0; y < h; y++) {
    for (let x = 0; x < w; x++) {
      let sum = 0;
      for (let dy = 0; dy < times; dy++) {
        const row = (y * times + dy) * width + x * times;
        for (let dx = 0; dx < times; dx++) sum += grey[row + dx]!;
      }
      small[y * w + x] = sum / (times * times) + 0.5;
    }
  }
  return { width: w, height: h, grey: small };
}
