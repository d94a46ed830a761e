import { createHash } from 'node:crypto';
import sharp from 'sharp';
import type { Photo } from '../../contract/photo';
import { Refusal } from '../http/refusal';

/** Longer than this on either side a photo is made smaller, pixels. */
const longestPx = 1600;
/** Pictures of more pixels are refused before they are unpacked. */
const mostPixels = 60_000_000;
const formats = ['jpeg', 'png', 'webp', 'gif'];
const jpegQuality = 82;

export interface KeptPhoto extends Photo {
  readonly bytes: Buffer;
}

/** A photo's id: the SHA-256 of its bytes. */
export function photoIdOf(bytes: Buffer): string {
  return createHash('sha256').update(bytes).digest('hex');
}

const notAPicture = (path: string) => {
  const message = 'This is no picture that can be read; send a JPEG, PNG, WebP or GIF.';
  return new Refusal(400, 'no-picture', message, [{ path, message }]);
};

/** Whether bytes can be unpacked as a picture of a known form, whole. */
async function sizeOf(bytes: Buffer, path: string): Promise<{ width: number; height: number }> {
  try {
    const image = sharp(bytes, { limitInputPixels: mostPixels, failOn: 'error' });
    const { format, width, height } = await image.metadata();
    if (!formats.includes(format)) throw notAPicture(path);
    await image.stats();
    return { width, height };
  } catch {
    throw notAPicture(path);
  }
}

/**
 * A picture as it will be kept: upright, at most 1600 pixels long, a JPEG without what the camera
 * wrote beside it (where it was taken, say).
 *
 * @throws Refusal 400 when the bytes are no picture, or a torn one
 */
export async function shrunkPhoto(bytes: Buffer): Promise<KeptPhoto> {
  await sizeOf(bytes, 'photo');
  const { data, info } = await sharp(bytes, { limitInputPixels: mostPixels })
    .rotate()
    .resize({ width: longestPx, height: longestPx, fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: jpegQuality })
    .toBuffer({ resolveWithObject: true });
  return { id: photoIdOf(data), bytes: data, widthPx: info.width, heightPx: info.height };
}

/**
 * A photo that was exported, taken back byte for byte.
 *
 * @throws Refusal 400 at `path` when it is no picture
 */
export async function sentPhoto(bytes: Buffer, path: string): Promise<KeptPhoto> {
  const { width, height } = await sizeOf(bytes, path);
  return { id: photoIdOf(bytes), bytes, widthPx: width, heightPx: height };
}
