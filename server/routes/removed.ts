import { Router } from 'express';
import * as z from 'zod';
import { authorOf } from '../http/author';
import { notFound, parseBody } from '../http/refusal';
import { bringBack, listRemoved } from '../store/removed';
import type { Store } from '../store/store';

const removedQuery = z.strictObject({
  /** Older ones than the one with this id. */
  before: z.coerce.number().int().positive().optional(),
  limit: z.coerce.number().int().min(1).max(200).default(50),
});

/** What was taken out in the last thirty days, and bringing it back. */
export function removedRoutes(store: Store): Router {
  const router = Router();

  router.get('/removed', async (request, response) => {
    response.json(await listRemoved(store, parseBody(removedQuery, { ...request.query })));
  });

  router.post('/removed/:id/restore', async (request, response) => {
    const { id } = request.params;
    if (!/^\d{1,15}$/.test(id)) throw notFound('removal of the last thirty days', id);
    const restored = await store.change<string>(
      (label) => `bring back ${label}`,
      (change) => bringBack(store, change, Number(id)),
      authorOf(request),
    );
    response.json({ restored });
  });
  return router;
}
