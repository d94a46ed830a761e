/** The middle of a photo that is looked at: this share of its width and height. */
const middleShare = 0.5;
/** It is looked at so coarsely, px a side: weave and grain are no colour. */
const sidePx = 24;

/** The mean of some pixels, red, green, blue and opacity one after the other, as `#rrggbb`. */
export function meanColour(pixels: ArrayLike<number>): string {
  const sums = [0, 0, 0];
  const count = pixels.length / 4;
  for (let i = 0; i < pixels.length; i++) {
    const channel = i % 4;
    if (channel < 3) sums[channel] = (sums[channel] ?? 0) + (pixels[i] ?? 0);
  }
  return `#${sums
    .map((sum) =>
      Math.round(sum / count)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}

/** The colour in the middle of a photo. @throws when it is no picture */
export async function colourOfPhoto(address: string): Promise<string> {
  const image = new Image();
  image.src = address;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = sidePx;
  canvas.height = sidePx;
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) throw new Error('This browser draws no pictures.');
  const [width, height] = [image.naturalWidth, image.naturalHeight];
  const edge = (1 - middleShare) / 2;
  pen.drawImage(
    image,
    ...([width * edge, height * edge, width * middleShare, height * middleShare] as const),
    ...([0, 0, sidePx, sidePx] as const),
  );
  return meanColour(pen.getImageData(0, 0, sidePx, sidePx).data);
}
