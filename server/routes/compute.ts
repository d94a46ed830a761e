import { Router } from 'express';
import { computations, type Computation } from '../compute/computations';
import { clientOf } from '../http/author';
import { abortedWith } from '../http/gone';
import type { Compute } from '../work/compute';

/** The core over HTTP: stateless sums, documented in docs/api.md. */
export function computeRoutes(compute: Compute): Router {
  const router = Router();
  for (const name of Object.keys(computations) as Computation[]) {
    router.post(`/${name}`, async (request, response) => {
      const gone = abortedWith(response);
      const json = await compute.run(name, request.body, clientOf(request), gone);
      response.type('json').send(json);
    });
  }
  return router;
}
