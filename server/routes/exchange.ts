import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import express, { Router, type Request, type RequestHandler } from 'express';
import { exchangeTables, mostExpandedBytes, mostImportBytes } from '../../contract/exchange';
import { takeSnapshot } from '../database/snapshots';
import type { JudgedRow } from '../exchange/judge-rows';
import { csvOf, jsonFiles, jsonOf } from '../exchange/write-file';
import { authorOf, clientOf } from '../http/author';
import { abortedWith } from '../http/gone';
import { Refusal, notFound } from '../http/refusal';
import type { Change } from '../store/change';
import type { Store } from '../store/store';
import type { Importer, Looked } from '../work/importer';
import { Jobs } from '../work/jobs';
import { heard } from '../work/told-refusal';

function bytesOf(request: Request): Buffer {
  const bytes: unknown = request.body;
  if (Buffer.isBuffer(bytes) && bytes.length > 0) return bytes;
  throw new Refusal(400, 'no-body', 'Send the bytes of a JSON or CSV file.');
}

async function writeLot(change: Change, rows: readonly JudgedRow[]): Promise<void> {
  for (const table of exchangeTables) {
    const added = rows.filter((row) => row.table === table && row.outcome === 'added');
    await change.createMany(
      table,
      added.map(({ id, draft, createdAt }) => ({
        ...draft,
        id: id ?? randomUUID(),
        ...(createdAt ? { createdAt } : {}),
      })),
    );
  }
  for (const { table, outcome, before, draft } of rows) {
    if (outcome === 'changed' && before && draft) {
      await change.update(table, before.id, before.version, draft);
    }
  }
}

/** @throws Refusal when a file cannot be taken, or is not what was looked at */
function refuseOther({ refusal, digest }: Looked, asked: unknown): void {
  if (refusal) heard({ refused: refusal });
  if (asked === digest) return;
  const message = 'What would become of this file is not what was looked at; look again.';
  throw new Refusal(409, 'stale', message, [{ path: 'digest', message }]);
}

/** What a table's CSV is called. */
const csvName = (table: (typeof exchangeTables)[number]) =>
  `${table === 'attempts' ? 'sample-book' : table}.csv`;

/** Shelf, drawer and book carried out and in, as JSON or CSV; whole or not at all. */
export function exchangeRoutes(store: Store, importer: Importer): Router {
  const router = Router();
  const plain = express.raw({ type: () => true, limit: mostImportBytes });
  const packed = express.raw({ type: () => true, limit: mostExpandedBytes });
  const file: RequestHandler = (request, response, next) =>
    (request.headers['content-encoding'] === undefined ? plain : packed)(request, response, next);
  const jobs = new Jobs();

  /** Looks at a file; whoever named the job can ask meanwhile how far it is. */
  const look = <T>(
    request: Request,
    gone: AbortSignal,
    use: (looked: Looked) => Promise<T>,
  ): Promise<T> => {
    const bytes = bytesOf(request);
    return jobs.run(request, (progress) =>
      importer.look({ bytes, client: clientOf(request), gone, progress }, use),
    );
  };

  router.get('/export/:name', async (request, response) => {
    const { name } = request.params;
    const csv = exchangeTables.find((table) => name === csvName(table));
    const whole = Object.hasOwn(jsonFiles, name) ? (name as keyof typeof jsonFiles) : null;
    if (!whole && !csv) throw notFound('export', name);
    const parts = Readable.from(csv ? csvOf(store, csv) : jsonOf(store, whole!));
    // The first part is there before the answer begins: what goes wrong at once is still told.
    await once(parts, 'readable');
    response
      .set('Content-Disposition', `attachment; filename="${name}"`)
      .type(csv ? 'text/csv; charset=utf-8' : 'application/json');
    await pipeline(parts, response).catch(() => response.destroy());
  });

  router.get('/import/progress/:job', (request, response) => {
    response.json(jobs.of(request.params.job));
  });

  router.post('/import/preview', file, async (request, response) => {
    const preview = await look(request, abortedWith(response), (looked) =>
      Promise.resolve(looked.preview),
    );
    response.type('json').send(preview);
  });

  router.post('/import', file, async (request, response) => {
    const preview = await look(request, abortedWith(response), async (looked) => {
      refuseOther(looked, request.query['digest']);
      const { connection, folder } = store.database;
      await store.alone(() => takeSnapshot(connection, folder, 'before-import'));
      await store.change(
        looked.label,
        async (change) => {
          await change.keepPhotos(looked.photos);
          for await (const lot of looked.lots()) await writeLot(change, lot);
        },
        authorOf(request),
      );
      return looked.preview;
    });
    response.type('json').send(preview);
  });
  return router;
}
