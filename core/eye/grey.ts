/** A grey picture, rows from the top, 0 black to 255 white. */
export interface GreyImage {
  readonly width: number;
  readonly height: number;
  readonly grey: Uint8Array;
}

/** A grey picture that lies flat, with its scale. */
export interface ScaledImage extends GreyImage {
  readonly pxPerMm: number;
  /** How far it is blurred, one spread, mm, where something else than what is looked for tells. */
  readonly blurMm?: number | undefined;
}

/** A picture in colours, rows from the top: red, green and blue, then perhaps opacity, a byte each. */
export interface ColourImage {
  readonly width: number;
  readonly height: number;
  readonly bytes: Uint8Array | Uint8ClampedArray;
  readonly perPixel: 3 | 4;
}

/** A grey picture with the colours it was made from, where there are any. */
export interface Picture extends GreyImage {
  readonly colours: ColourImage | null;
}

/** Whether of a number of four bytes the first is the lowest, as on nearly every machine. */
const isRedLowest = new Uint8Array(Uint32Array.of(1).buffer)[0] === 1;

/**
 * How light a picture is in greys, as browsers and decoders give it in colours. Weights of Rec. 709, in
 * 65,536ths; what is transparent lies on white.
 */
export function greyOf({ width, height, bytes, perPixel }: ColourImage): GreyImage {
  const grey = new Uint8Array(width * height);
  // Whole numbers, rounded: of a phone’s picture there are twelve million.
  if (perPixel === 3) {
    for (let i = 0, at = 0; i < grey.length; i++, at += 3) {
      const light = 13_933 * bytes[at]! + 46_871 * bytes[at + 1]! + 4732 * bytes[at + 2]!;
      grey[i] = (light + 32_768) >> 16;
    }
    return { width, height, grey };
  }
  const seen = (light: number, opaque: number) =>
    opaque === 255
      ? (light + 32_768) >> 16
      : (light / 65_536) * (opaque / 255) + 255 * (1 - opaque / 255) + 0.5;
  if (isRedLowest && bytes.byteOffset % 4 === 0) {
    // Four bytes at once: read one by one they take twice as long.
    const pixels = new Uint32Array(bytes.buffer, bytes.byteOffset, grey.length);
    for (let i = 0; i < grey.length; i++) {
      const pixel = pixels[i]!;
      const light =
        13_933 * (pixel & 255) + 46_871 * ((pixel >>> 8) & 255) + 4732 * ((pixel >>> 16) & 255);
      grey[i] = seen(light, pixel >>> 24);
    }
  } else {
    for (let i = 0, at = 0; i < grey.length; i++, at += 4) {
      const light = 13_933 * bytes[at]! + 46_871 * bytes[at + 1]! + 4732 * bytes[at + 2]!;
      grey[i] = seen(light, bytes[at + 3]!);
    }
  }
  return { width, height, grey };
}

/** A picture in colours, with its greys. */
export const pictureOf = (colours: ColourImage): Picture => ({ ...greyOf(colours), colours });

/** The mean of the squares of a picture that a pixel of a smaller one covers. @param times 2 halves it */
export function shrunk({ width, height, grey }: GreyImage, times: number): GreyImage {
  const [w, h] = [Math.floor(width / times), Math.floor(height / times)];
  const small = new Uint8Array(w * h);
  // Every row of squares is summed up row by row of pixels; halves, which a window of millions is made to, at once.
  const sums = new Uint32Array(w);
  for (let y = 0; y < h; y++) {
    const first = y * times * width;
    if (times === 2) {
      for (let x = 0, at = first, low = first + width; x < w; x++, at += 2, low += 2) {
        sums[x] = grey[at]! + grey[at + 1]! + grey[low]! + grey[low + 1]!;
      }
    } else {
      sums.fill(0);
      for (let dy = 0; dy < times; dy++) {
        let at = first + dy * width;
        for (let x = 0; x < w; x++) {
          let sum = 0;
          for (let dx = 0; dx < times; dx++) sum += grey[at++]!;
          sums[x]! += sum;
        }
      }
    }
    for (let x = 0; x < w; x++) small[y * w + x] = sums[x]! / (times * times) + 0.5;
  }
  return { width: w, height: h, grey: small };
}

/** The same of a picture with its scale. @param times 1 leaves it as it is */
export const shrunkScaled = (picture: ScaledImage, times: number): ScaledImage =>
  times <= 1
    ? picture
    : { ...picture, ...shrunk(picture, times), pxPerMm: picture.pxPerMm / times };
