import { Router } from 'express';
import { demoRequest, setTableRequest } from '../../contract/set-table';
import { authorOf } from '../http/author';
import { parseBody } from '../http/refusal';
import { bringDemoBack, putDemoAway } from '../store/demo';
import { setTable } from '../store/set-table';
import type { Store } from '../store/store';

/** What stands on the table to begin with: one's own things, or the demo. Each is one change. */
export function tableRoutes(store: Store): Router {
  const router = Router();
  router.post('/table', async (request, response) => {
    const asked = parseBody(setTableRequest, request.body);
    const set = await store.change(
      asked.edge ? `new edge “${asked.edge.draft.name}”` : 'set the table',
      (change) => setTable(change, asked),
      authorOf(request),
    );
    response.status(201).json(set);
  });

  router.post('/demo', async (request, response) => {
    const { here } = parseBody(demoRequest, request.body);
    const demo = await store.sums.inner('wardrobe', null);
    response.json(
      await store.change(
        here ? 'bring the demo back' : 'put the demo away',
        (change) => (here ? bringDemoBack : putDemoAway)(change, demo),
        authorOf(request),
      ),
    );
  });
  return router;
}
