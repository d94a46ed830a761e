import { createHash } from 'node:crypto';
import sharp from 'sharp';
import type { Photo } from '../../contract/photo';
import { Refusal } from '../http/refusal';
import { isPlainJpeg } from './plain-jpeg';

/** Longer than this on either side a photo is made smaller, pixels. */
const longestPx = 1600;
/** Pictures of more pixels, or longer on one side, are refused before they are unpacked. */
const mostPixels = 60_000_000;
const longestSentPx = 20_000;
const formats = ['jpeg', 'png', 'webp', 'gif'];
const jpegQuality = 82;

export interface KeptPhoto extends Photo {
  readonly bytes: Buffer;
  /** The id of the bytes as they were sent. */
  readonly sentId: string;
}

/** A photo's id: the SHA-256 of its bytes. */
function photoIdOf(bytes: Buffer): string {
  return createHash('sha256').update(bytes).digest('hex');
}

/** A picture that is turned down, and where it stood. */
export function noPicture(path: string, message: string): Refusal {
  return new Refusal(400, 'no-picture', message, [{ path, message }]);
}

interface Size {
  readonly format: string;
  readonly width: number;
  readonly height: number;
}

/** How large a picture says it is, which costs nothing to read. */
async function sizeOf(bytes: Buffer, path: string): Promise<Size> {
  const unreadable = () =>
    noPicture(path, 'This is no picture that can be read; send a JPEG, PNG, WebP or GIF.');
  let size: Size;
  try {
    size = await sharp(bytes, { limitInputPixels: false }).metadata();
  } catch {
    throw unreadable();
  }
  const { format, width, height } = size;
  if (!formats.includes(format)) throw unreadable();
  if (width * height > mostPixels || Math.max(width, height) > longestSentPx) {
    throw noPicture(
      path,
      `This picture is ${width} × ${height} pixels; at most ${longestSentPx} on a side and ${mostPixels / 1e6} million in all are taken.`,
    );
  }
  return size;
}

/** @throws Refusal 400 at `path` when the picture is torn */
async function unpacked<T>(path: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch {
    throw noPicture(path, 'This picture is torn: it begins well and can’t be read to its end.');
  }
}

/**
 * A picture as it will be kept: upright, at most 1600 pixels long, a JPEG without what the camera
 * wrote beside it (where it was taken, say).
 *
 * @throws Refusal 400 when the bytes are no picture, a torn one, or one too large to unpack
 */
export async function shrunkPhoto(bytes: Buffer, path = 'photo'): Promise<KeptPhoto> {
  await sizeOf(bytes, path);
  const { data, info } = await unpacked(path, () =>
    sharp(bytes, { limitInputPixels: mostPixels, failOn: 'error', sequentialRead: true })
      .rotate()
      .resize({ width: longestPx, height: longestPx, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: jpegQuality })
      .toBuffer({ resolveWithObject: true }),
  );
  return {
    ...{ id: photoIdOf(data), sentId: photoIdOf(bytes), bytes: data },
    ...{ widthPx: info.width, heightPx: info.height },
  };
}

/** A picture’s red, green and blue, a byte each, upright, rows from the top. */
export interface ColourPhoto {
  readonly bytes: Buffer;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Longer than this a picture of a card shows nothing more, pixels. */
const longestMeasuredPx = 4500;

/**
 * A picture as it is measured: upright, in its colours.
 *
 * @throws Refusal 400 when the bytes are no picture, a torn one, or one too large to unpack
 */
export async function colourPhoto(bytes: Buffer, path = 'picture'): Promise<ColourPhoto> {
  await sizeOf(bytes, path);
  const { data, info } = await unpacked(path, () =>
    sharp(bytes, { limitInputPixels: mostPixels, failOn: 'error', sequentialRead: true })
      .rotate()
      .flatten({ background: '#ffffff' })
      .resize({
        ...{ width: longestMeasuredPx, height: longestMeasuredPx },
        ...{ fit: 'inside', withoutEnlargement: true },
      })
      .toColourspace('srgb')
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true }),
  );
  return { bytes: data, widthPx: info.width, heightPx: info.height };
}

/**
 * A photo that was carried out and comes back. One that is as photos are kept here, with nothing
 * hidden beside the picture, is taken byte for byte; any other is made so, as when it is sent.
 *
 * @throws Refusal 400 at `path` when it is no picture
 */
export async function sentPhoto(bytes: Buffer, path: string): Promise<KeptPhoto> {
  const { format, width, height } = await sizeOf(bytes, path);
  const asKept = format === 'jpeg' && Math.max(width, height) <= longestPx && isPlainJpeg(bytes);
  if (!asKept) return shrunkPhoto(bytes, path);
  // Unpacked to its end only to see that it can be.
  await unpacked(path, () => sharp(bytes, { failOn: 'error' }).raw().toBuffer());
  const id = photoIdOf(bytes);
  return { id, sentId: id, bytes, widthPx: width, heightPx: height };
}
