import * as z from 'zod';

/** A photo is known by the SHA-256 of its bytes, so that the same one is kept once. */
export const photoId = z
  .string()
  .regex(/^[0-9a-f]{64}$/, 'A photo’s id is the SHA-256 of its bytes, in 64 hexadecimal digits.');

/** Larger files than this are refused, bytes. */
export const mostPhotoBytes = 12 * 1024 * 1024;

/** Where a record points at photos: at its own, and a scrap at that of its other face. */
export const photoFields = ['photoId', 'otherFacePhotoId'] as const;

/** What the server answers when it has kept a photo. */
export const photo = z.object({ id: photoId, widthPx: z.int(), heightPx: z.int() });
export type Photo = z.infer<typeof photo>;
