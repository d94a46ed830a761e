import { Router } from 'express';
import * as z from 'zod';
import { pageSizesMm, type PageSize } from '../../core/fold/gauge';
import { foldPlanOf } from '../../core/plan/fold-plan';
import { gaugeMarks } from '../../core/plan/gauge-marks';
import { Refusal, parseBody } from '../http/refusal';
import { marksSheet } from '../print/marks-sheet';
import { sheetPdf } from '../print/sheet-pdf';
import { gaugeSheet } from '../print/gauge-sheet';
import { sheetSvg } from '../print/sheet-svg';
import { planDraftOf, propertiesOf, takenFinish } from '../store/sewing-plan';
import type { Store } from '../store/store';

const pages = Object.keys(pageSizesMm) as [PageSize, ...PageSize[]];
const query = z.strictObject({
  page: z.enum(pages, { error: `A page is ${pages.join(' or ')}.` }).default('a4'),
});

/** What is printed of a plan. */
export function printRoutes(store: Store, fontFile: string): Router {
  const router = Router();
  router.get('/plans/:id/gauge.:format', async (request, response) => {
    const { format, id } = request.params;
    if (format !== 'pdf' && format !== 'svg') {
      throw new Refusal(404, 'not-found', 'A gauge comes as gauge.pdf or gauge.svg.');
    }
    const { page } = parseBody(query, { ...request.query });
    const draft = planDraftOf(await store.find('plans', id));
    const finish = takenFinish(draft);
    const edge = await store.find('edges', draft.edgeId);
    const cloth = propertiesOf(await store.find('cloths', edge.clothId));
    const marks = gaugeMarks(foldPlanOf(finish, { wish: draft.fold, cloth }));
    if (marks.length === 0) {
      throw new Refusal(409, 'no-marks', `${finish.name} has nothing to press or measure.`);
    }
    const sheet = gaugeSheet(`${finish.name}, ${String(edge['name'])}`, marks, page);
    response.set('Content-Disposition', `inline; filename="fold-gauge-${page}.${format}"`);
    if (format === 'svg') response.type('image/svg+xml').send(sheetSvg(sheet));
    else response.type('application/pdf').send(await sheetPdf(sheet, fontFile));
  });

  router.get('/edges/:id/marks.:format', async (request, response) => {
    const { format, id } = request.params;
    if (format !== 'pdf' && format !== 'svg') {
      throw new Refusal(404, 'not-found', 'A sheet of marks comes as marks.pdf or marks.svg.');
    }
    const { page } = parseBody(query, { ...request.query });
    const edge = await store.find('edges', id);
    const [plan] = await store.list('plans', { edgeId: id });
    const cloth = propertiesOf(await store.find('cloths', edge.clothId));
    // Before a finish is taken the wished depth is all there is.
    const wished = edge.depthMm ?? 0;
    const folds = plan?.finish
      ? foldPlanOf(takenFinish(plan), { wish: plan.fold, cloth })
      : { allowanceMm: wished, finishedDepthMm: wished };
    const { name, form, lengthMm, minRadiusMm } = edge;
    const sheet = marksSheet(
      {
        ...{ name, form, lengthMm, minRadiusMm },
        ...{ allowanceMm: folds.allowanceMm, depthMm: folds.finishedDepthMm },
      },
      page,
    );
    response.set('Content-Disposition', `inline; filename="marks-${page}.${format}"`);
    if (format === 'svg') response.type('image/svg+xml').send(sheetSvg(sheet));
    else response.type('application/pdf').send(await sheetPdf(sheet, fontFile));
  });
  return router;
}
