import express, { Router } from 'express';
import { mostPhotoBytes } from '../../contract/photo';
import { clientOf } from '../http/author';
import { abortedWith } from '../http/gone';
import { Refusal } from '../http/refusal';
import type { Pictures } from '../photos/pictures';
import type { Compute } from '../work/compute';

/** A photographed scrap measured: the bytes of a picture in, what it shows out. */
export function scrapRoutes(compute: Compute, pictures: Pictures): Router {
  const router = Router();
  router.post(
    '/compute/scrap',
    express.raw({ type: () => true, limit: mostPhotoBytes }),
    async (request, response) => {
      const gone = abortedWith(response);
      const bytes: unknown = request.body;
      if (!Buffer.isBuffer(bytes) || bytes.length === 0) {
        throw new Refusal(400, 'no-body', 'Send the bytes of a picture.');
      }
      const client = clientOf(request);
      const photo = await pictures.run('colours', bytes, 'picture', client);
      const picture = { width: photo.widthPx, height: photo.heightPx, bytes: photo.bytes };
      const asked = { query: { ...request.query }, picture };
      response.json(await compute.inner('scrap', asked, { client, gone }));
    },
  );
  return router;
}
