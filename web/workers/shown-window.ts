import type { ScaledImage } from '../../core/eye/grey';

/**
 * A window laid flat, as a picture in a file: that is unpacked and painted on the browser’s own threads. Loose pixels, two million of
 * them, are copied on the page’s.
 */
export interface ShownWindow extends Pick<ScaledImage, 'width' | 'height' | 'pxPerMm'> {
  readonly picture: Blob;
}

/** So true that nobody sees a difference. */
const asPicture = { type: 'image/jpeg', quality: 0.92 };

/** So many greys at either end are specks, as a share. */
const specksShare = 0.01;
/** The lightest grey of the cloth is painted so light; rings of white stay visible on it. */
const lightest = 235;

/** A picture’s pixels as plain as they can be seen: from its own darkest grey to its lightest, specks left out. */
export function plainPixels({ grey }: Pick<ScaledImage, 'grey'>): Uint8ClampedArray<ArrayBuffer> {
  const counts = new Uint32Array(256);
  // By number: an iterator over two million takes five times as long.
  for (let i = 0; i < grey.length; i++) counts[grey[i]!]!++;
  const rank = (share: number) => {
    let below = 0;
    return counts.findIndex((count) => (below += count) > share * grey.length);
  };
  const [dark, light] = [rank(specksShare), rank(1 - specksShare)];
  // Red, green and blue alike and all of it opaque: one number each, whichever end comes first.
  const tones = new Uint8ClampedArray(4 * 256);
  for (let value = 0; value < 256; value++) {
    const tone = Math.round((lightest * (value - dark)) / Math.max(1, light - dark));
    tones.set([tone, tone, tone, 255], 4 * value);
  }
  const whole = new Uint32Array(tones.buffer);
  const pixels = new Uint32Array(grey.length);
  for (let i = 0; i < grey.length; i++) pixels[i] = whole[grey[i]!]!;
  return new Uint8ClampedArray(pixels.buffer);
}

/** Makes a window ready to be painted, on the thread it was measured on. */
export async function shownWindow(window: ScaledImage): Promise<ShownWindow> {
  const { width, height, pxPerMm } = window;
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.putImageData(new ImageData(plainPixels(window), width, height), 0, 0);
  return { width, height, pxPerMm, picture: await canvas.convertToBlob(asPicture) };
}
