import { Router } from 'express';
import { notFound } from '../http/refusal';
import { bringBack, listRemoved } from '../store/removed';
import type { Store } from '../store/store';

/** What was taken out in the last thirty days, and bringing it back. */
export function removedRoutes(store: Store): Router {
  const router = Router();

  router.get('/removed', async (_request, response) => {
    response.json(await listRemoved(store));
  });

  router.post('/removed/:id/restore', async (request, response) => {
    const { id } = request.params;
    if (!/^\d{1,15}$/.test(id)) throw notFound('removal of the last thirty days', id);
    const restored = await store.change<string>(
      (label) => `bring back ${label}`,
      (change) => bringBack(store, change, Number(id)),
    );
    response.json({ restored });
  });
  return router;
}
