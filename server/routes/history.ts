import { Router } from 'express';
import type { Store } from '../store/store';

/** What undo and redo would do, and doing it. */
export function historyRoutes(store: Store): Router {
  const router = Router();
  router.get('/history', async (_request, response) => {
    response.json(await store.history());
  });
  router.post('/undo', async (_request, response) => {
    const done = await store.undo();
    response.json({ done, ...(await store.history()) });
  });
  router.post('/redo', async (_request, response) => {
    const done = await store.redo();
    response.json({ done, ...(await store.history()) });
  });
  return router;
}
