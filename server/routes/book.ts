import { Router } from 'express';
import { bookQuery, ladderDraft } from '../../contract/book';
import { usualScraps } from '../../core/book/usual';
import { authorOf } from '../http/author';
import { parseBody } from '../http/refusal';
import { recordAttempts } from '../store/attempts';
import { bookChoices, bookPageJson, scrapsUntilKept } from '../store/book';
import type { Store } from '../store/store';
import { skillOverTime, workedBefore } from '../store/worked';

/** The sample book: pages, what it can be narrowed to, and what follows from all of it. */
export function bookRoutes(store: Store): Router {
  const router = Router();

  router.get('/book', async (request, response) => {
    const query = parseBody(bookQuery, { ...request.query });
    response.type('json').send(await bookPageJson(store, query));
  });

  router.get('/book/choices', async (_request, response) => {
    response.json(await bookChoices(store));
  });

  router.get('/book/usual', async (_request, response) => {
    response.json(usualScraps(await scrapsUntilKept(store)));
  });

  router.get('/book/skill', async (_request, response) => {
    response.json(await skillOverTime(store));
  });

  router.get('/plans/:id/worked', async (request, response) => {
    response.json(await workedBefore(store, request.params.id));
  });

  router.post('/plans/:id/attempts', async (request, response) => {
    const planId = request.params.id;
    const { attempts } = parseBody(ladderDraft, request.body);
    const drafts = attempts.map((attempt) => ({ ...attempt, planId }));
    const { rows, existed } = await store.change<{ rows: unknown[]; existed: boolean }>(
      ({ rows: created }) => `new ladder of ${created.length} scraps`,
      (change) => recordAttempts(change, drafts),
      authorOf(request),
    );
    response.status(existed ? 200 : 201).json(rows);
  });
  return router;
}
