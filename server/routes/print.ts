import { Router, type Response } from 'express';
import * as z from 'zod';
import { scrapCard, type CardKind } from '../../core/eye/card';
import { pageSizesMm, type PageSize } from '../../core/fold/gauge';
import { cutStrip, stripWays } from '../../core/strip/cut';
import { usualJoinSeamMm, usualPieceMm } from '../../core/strip/needed';
import { stripAlong } from '../../core/plan/strip-along';
import { foldPlanOf } from '../../core/plan/fold-plan';
import { gaugeMarks } from '../../core/plan/gauge-marks';
import { Refusal, parseBody } from '../http/refusal';
import { marksSheet } from '../print/marks-sheet';
import { sheetPdf } from '../print/sheet-pdf';
import { gaugeSheet } from '../print/gauge-sheet';
import { scrapCardSheet } from '../print/scrap-card-sheet';
import { stripSheet } from '../print/strip-sheet';
import { workSheetPdf, type PrintedWork } from '../print/work-sheet';
import { orderOfProject } from './garments';
import { printedEdge, printedGarment } from '../store/printed-work';
import { sheetSvg } from '../print/sheet-svg';
import { planDraftOf, propertiesOf, takenFinish } from '../store/sewing-plan';
import type { Store } from '../store/store';

const pages = Object.keys(pageSizesMm) as [PageSize, ...PageSize[]];
const query = z.strictObject({
  page: z.enum(pages, { error: `A page is ${pages.join(' or ')}.` }).default('a4'),
});

const cardKinds = ['window', 'wrap'] as const satisfies readonly CardKind[];
const cardQuery = z.strictObject({
  ...query.shape,
  kind: z.enum(cardKinds, { error: `A card is ${cardKinds.join(' or ')}.` }).default('window'),
});

const side = z.coerce.number().min(10).max(50_000).optional();
const stripQuery = z.strictObject({
  ...query.shape,
  way: z.enum(stripWays, { error: `Strips are cut ${stripWays.join(', ')}.` }).optional(),
  wideMm: side,
  longMm: side,
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
    const own = draft.stripClothId ? await store.find('cloths', draft.stripClothId) : null;
    const strip = own && propertiesOf(own);
    const marks = gaugeMarks(foldPlanOf(finish, { wish: draft.fold, cloth, strip }));
    if (marks.length === 0) {
      throw new Refusal(409, 'no-marks', `${finish.name} has nothing to press or measure.`);
    }
    const sheet = gaugeSheet(`${finish.name}, ${String(edge['name'])}`, marks, page);
    response.set('Content-Disposition', `inline; filename="fold-gauge-${page}.${format}"`);
    if (format === 'svg') response.type('image/svg+xml').send(sheetSvg(sheet));
    else response.type('application/pdf').send(await sheetPdf(sheet, fontFile));
  });

  router.get('/plans/:id/strip.:format', async (request, response) => {
    const { format, id } = request.params;
    if (format !== 'pdf' && format !== 'svg') {
      throw new Refusal(404, 'not-found', 'A cutting plan comes as strip.pdf or strip.svg.');
    }
    const { page, way, wideMm, longMm } = parseBody(stripQuery, { ...request.query });
    const draft = planDraftOf(await store.find('plans', id));
    const finish = takenFinish(draft);
    const edge = await store.find('edges', draft.edgeId);
    const cloth = await store.find('cloths', edge.clothId);
    const own = draft.stripClothId ? await store.find('cloths', draft.stripClothId) : null;
    const { strip } = foldPlanOf(finish, {
      wish: draft.fold,
      cloth: propertiesOf(cloth),
      strip: own && propertiesOf(own),
    });
    if (!strip || strip.cutting === 'none') {
      throw new Refusal(409, 'no-strip', `${finish.name} has no strip to cut here.`);
    }
    const from = own ?? cloth;
    const { neededMm, ends } = stripAlong(edge, draft);
    const clothMm = [
      wideMm ?? from.widthMm ?? usualPieceMm[0],
      longMm ?? (from.lengthLeftMm || usualPieceMm[1]),
    ] as const;
    const chosen = way ?? (strip.cutting === 'bias' ? 'bias' : 'across');
    const cut = cutStrip({
      ...{ way: chosen, clothMm, stripMm: strip.widthMm, ends, seamMm: usualJoinSeamMm },
      neededMm,
    });
    const sheet = stripSheet(
      {
        ...{ name: edge.name, way: chosen, clothMm, stripMm: strip.widthMm },
        ...{ wantedMm: cut.wantedMm, leftMm: cut.leftMm, pieces: cut.pieces },
        cutting: cut.fewest ?? cut.pieces.length,
      },
      page,
    );
    response.set('Content-Disposition', `inline; filename="strips-${page}.${format}"`);
    if (format === 'svg') response.type('image/svg+xml').send(sheetSvg(sheet));
    else response.type('application/pdf').send(await sheetPdf(sheet, fontFile));
  });

  const sendWork = async (
    response: Response,
    work: PrintedWork,
    asked: Record<string, unknown>,
  ): Promise<void> => {
    const { page } = parseBody(query, asked);
    response
      .set('Content-Disposition', `inline; filename="work-${page}.pdf"`)
      .type('application/pdf')
      .send(await workSheetPdf(work, page, fontFile));
  };
  router.get('/edges/:id/work.pdf', async (request, response) => {
    await sendWork(response, await printedEdge(store, request.params.id), { ...request.query });
  });
  router.get('/projects/:id/work.pdf', async (request, response) => {
    const { id } = request.params;
    const work = await orderOfProject(store, id);
    await sendWork(response, await printedGarment(store, id, work), { ...request.query });
  });

  router.get('/print/scrap-card.:format', async (request, response) => {
    const { format } = request.params;
    if (format !== 'pdf' && format !== 'svg' && format !== 'json') {
      throw new Refusal(404, 'not-found', 'A scrap card comes as .pdf, .svg or .json.');
    }
    const { page, kind } = parseBody(cardQuery, { ...request.query });
    const card = scrapCard(page, kind);
    if (format === 'json') {
      const [widthMm, heightMm] = card.pageMm;
      const { window, marks, rule } = card;
      response.json({ page: { name: page, widthMm, heightMm }, kind, window, marks, rule });
      return;
    }
    const sheet = scrapCardSheet(card);
    response.set('Content-Disposition', `inline; filename="scrap-card-${page}.${format}"`);
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
