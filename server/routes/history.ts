import { Router } from 'express';
import { authorOf } from '../http/author';
import type { Store } from '../store/store';

/** What undo and redo would do, and doing it. */
export function historyRoutes(store: Store): Router {
  const router = Router();
  router.get('/history', async (request, response) => {
    response.json(await store.history(authorOf(request).person));
  });
  router.post('/undo', async (request, response) => {
    const by = authorOf(request);
    const done = await store.undo(by);
    response.json({ done, ...(await store.history(by.person)) });
  });
  router.post('/redo', async (request, response) => {
    const by = authorOf(request);
    const done = await store.redo(by);
    response.json({ done, ...(await store.history(by.person)) });
  });
  return router;
}
