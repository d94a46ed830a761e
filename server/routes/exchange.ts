import { randomUUID } from 'node:crypto';
import express, { Router, type Request } from 'express';
import {
  exchangeTables,
  mostImportBytes,
  outcomes,
  type ImportPreview,
} from '../../contract/exchange';
import { digestOf, judgeRows, type JudgedRow } from '../exchange/judge-rows';
import { readFile, type ReadFile } from '../exchange/read-file';
import { sentPhotos, type SentPhotos } from '../exchange/sent-photos';
import { csvOf, jsonFiles, jsonOf } from '../exchange/write-file';
import { Refusal, notFound } from '../http/refusal';
import type { Change, Store } from '../store/store';

interface Judged {
  readonly file: ReadFile;
  readonly photos: SentPhotos;
  readonly rows: readonly JudgedRow[];
  readonly digest: string;
}

function bytesOf(request: Request): Buffer {
  const bytes: unknown = request.body;
  if (Buffer.isBuffer(bytes) && bytes.length > 0) return bytes;
  throw new Refusal(400, 'no-body', 'Send the bytes of a JSON or CSV file.');
}

async function judged(change: Change, bytes: Buffer): Promise<Judged> {
  const file = readFile(bytes);
  const photos = await sentPhotos(change, file);
  const rows = await judgeRows(change, file.rows, photos);
  return { file, photos, rows, digest: digestOf(bytes, rows) };
}

function shown({ file, photos, rows, digest }: Judged): ImportPreview {
  return {
    digest,
    rows: rows.map(({ draft: _draft, before: _before, createdAt: _day, ...row }) => row),
    counts: Object.fromEntries(
      outcomes.map((one) => [one, rows.filter(({ outcome }) => outcome === one).length]),
    ) as ImportPreview['counts'],
    repairs: [...file.repairs],
    photos: photos.whole.length,
  };
}

async function write(change: Change, { photos, rows }: Judged): Promise<void> {
  await change.keepPhotos(photos.whole);
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

/** What a table's CSV is called. */
const csvName = (table: (typeof exchangeTables)[number]) =>
  `${table === 'attempts' ? 'sample-book' : table}.csv`;

/** Shelf, drawer and book carried out and in, as JSON or CSV; whole or not at all. */
export function exchangeRoutes(store: Store): Router {
  const router = Router();
  const file = express.raw({ type: () => true, limit: mostImportBytes });

  router.get('/export/:name', async (request, response) => {
    const { name } = request.params;
    const csv = exchangeTables.find((table) => name === csvName(table));
    const whole = Object.hasOwn(jsonFiles, name) ? (name as keyof typeof jsonFiles) : null;
    if (!whole && !csv) throw notFound('export', name);
    const text = csv ? await csvOf(store, csv) : await jsonOf(store, whole!);
    response
      .set('Content-Disposition', `attachment; filename="${name}"`)
      .type(csv ? 'text/csv; charset=utf-8' : 'application/json')
      .send(text);
  });

  router.post('/import/preview', file, async (request, response) => {
    const bytes = bytesOf(request);
    response.json(shown(await store.reading((change) => judged(change, bytes))));
  });

  router.post('/import', file, async (request, response) => {
    const bytes = bytesOf(request);
    const result = await store.change(labelOf, async (change) => {
      const all = await judged(change, bytes);
      const refused = all.rows.filter(({ outcome }) => outcome === 'refused');
      if (refused.length > 0) {
        throw new Refusal(
          400,
          'refused-rows',
          `${refused.length} of ${all.rows.length} rows cannot be taken, so none was. ${refused[0]!.place}: ${refused[0]!.issues[0]?.message ?? ''}`,
          refused.flatMap(({ place, issues }) =>
            issues.map(({ path, message }) => ({ path: `${place}.${path}`, message })),
          ),
        );
      }
      if (request.query['digest'] !== all.digest) {
        const message = 'What would become of this file is not what was looked at; look again.';
        throw new Refusal(409, 'stale', message, [{ path: 'digest', message }]);
      }
      await write(change, all);
      return all;
    });
    response.json(shown(result));
  });
  return router;
}

/** What undo will call it. */
function labelOf({ rows }: Judged): string {
  const parts = exchangeTables.flatMap((table) => {
    const count = rows.filter((row) => row.table === table && row.outcome !== 'same').length;
    return count > 0 ? [`${count} ${table === 'attempts' ? 'scraps' : table}`] : [];
  });
  return `import of ${parts.join(', ') || 'nothing new'}`;
}
