import express, { Router } from 'express';
import { mostPhotoBytes, photoId } from '../../contract/photo';
import { clientOf } from '../http/author';
import { Refusal, notFound } from '../http/refusal';
import type { Pictures } from '../photos/pictures';
import type { Store } from '../store/store';

/** Photos: sent as the bytes of a picture, kept under their hash. */
export function photoRoutes(store: Store, pictures: Pictures): Router {
  const router = Router();

  router.post(
    '/photos',
    express.raw({ type: () => true, limit: mostPhotoBytes }),
    async (request, response) => {
      const bytes: unknown = request.body;
      if (!Buffer.isBuffer(bytes) || bytes.length === 0) {
        throw new Refusal(400, 'no-body', 'Send the bytes of a picture.');
      }
      const kept = await pictures.run('shrunk', bytes, 'photo', clientOf(request));
      await store.keepPhotos([kept]);
      const { id, widthPx, heightPx } = kept;
      response.status(201).json({ id, widthPx, heightPx });
    },
  );

  router.get('/photos/:id', async (request, response) => {
    const { id } = request.params;
    const bytes = photoId.safeParse(id).success ? await store.photo(id) : null;
    if (!bytes) throw notFound('photo', id);
    response
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .type(pictureType(bytes))
      .send(bytes);
  });
  return router;
}

/** The form of a picture by its first bytes; what is kept here is always one of these. */
function pictureType(bytes: Buffer): string {
  if (bytes[0] === 0x89) return 'image/png';
  if (bytes[0] === 0x47) return 'image/gif';
  return bytes[0] === 0x52 ? 'image/webp' : 'image/jpeg';
}
