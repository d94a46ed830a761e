import { Router } from 'express';
import { garmentRequest } from '../../contract/garment';
import { worktableQuery } from '../../contract/worktable';
import { overEvenings } from '../../core/garment/evenings';
import { plainGarment } from '../../core/garment/garment';
import { paceOf } from '../../core/garment/pace';
import { timedOrder } from '../../core/garment/timed-order';
import { inForce, type OrderedWork } from '../../core/garment/work-of';
import { plainFill } from '../../core/plain-fill';
import { authorOf } from '../http/author';
import { Refusal, parseBody } from '../http/refusal';
import { eveningsCalendar } from '../print/evenings-calendar';
import { createGarment } from '../store/garments';
import { garmentRecords } from '../store/garment-records';
import { worktable } from '../store/worktable';
import { leftChanged } from '../store/put-back';
import type { Store } from '../store/store';

/** A project's work in its order, worked out on a thread of its own. */
export async function orderOfProject(store: Store, projectId: string): Promise<OrderedWork> {
  const project = await store.find('projects', projectId);
  const [records, needles, threads] = await Promise.all([
    garmentRecords(store, projectId),
    store.list('needles'),
    store.list('threads'),
  ]);
  return store.sums.inner('garment', {
    ...{ records, garment: project.garment ?? plainGarment },
    drawer: { needles, threads },
  });
}

/** Projects that are garments: begun from a known kind, put in order, spread over evenings. */
export function garmentRoutes(store: Store): Router {
  const router = Router();
  router.post('/garments', async (request, response) => {
    const asked = parseBody(garmentRequest, request.body);
    const { row } = await store.change(
      () => `new project “${asked.name}”`,
      (change) => createGarment(change, asked),
      authorOf(request),
    );
    response.status(201).json(row);
  });

  router.get('/machines/:id/put-back', async (request, response) => {
    response.json(await leftChanged(store, request.params.id));
  });

  router.get('/worktable', async (request, response) => {
    const { projectId = null } = parseBody(worktableQuery, { ...request.query });
    response.json(await worktable(store, projectId));
  });

  router.get('/projects/:id/order', async (request, response) => {
    response.json(await orderOfProject(store, request.params.id));
  });

  router.get('/projects/:id/evenings.ics', async (request, response) => {
    const project = await store.find('projects', request.params.id);
    const evenings = project.garment?.evenings;
    if (!evenings) {
      throw new Refusal(409, 'no-evenings', 'Say first which evenings there are for this project.');
    }
    const work = await orderOfProject(store, project.id);
    const plans = await store.list('plans');
    const pace = paceOf(plans.flatMap(({ took }) => Object.values(took)));
    const tasks = new Map(work.tasks.map((task) => [task.id, task]));
    const left = timedOrder(work, inForce(work).sequence, pace).filter(
      ({ id }) => !tasks.get(id)?.done,
    );
    const calendar = eveningsCalendar(
      project,
      evenings,
      overEvenings(left, evenings),
      ({ tasks: some }) =>
        some.flatMap((id) => {
          const task = tasks.get(id);
          if (!task) return [];
          const { edgeName, text, values } = task;
          return `${edgeName === null ? '' : `${edgeName}: `}${plainFill(text, values)}`;
        }),
      new Date(),
    );
    response
      .set('Content-Disposition', 'attachment; filename="evenings.ics"')
      .type('text/calendar')
      .send(calendar);
  });
  return router;
}
