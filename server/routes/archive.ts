import { rmSync } from 'node:fs';
import { Readable } from 'node:stream';
import { Router, type Request, type Response } from 'express';
import type { ArchiveTaken } from '../../contract/archive';
import { buildFromArchive } from '../archive/build';
import { addFrom, shareOf } from '../archive/project';
import { incomingFile, replaceWith } from '../archive/replace';
import { writeArchive, type Share } from '../archive/write-archive';
import { takeSnapshot } from '../database/snapshots';
import { authorOf, clientOf } from '../http/author';
import type { Pictures } from '../photos/pictures';
import type { Store } from '../store/store';
import { FairQueue } from '../work/fair-queue';
import { Jobs } from '../work/jobs';

/** The bytes of a request as they come, told as a share of what it said it would send. */
async function* counted(request: Request, progress: (done: number, total: number) => void) {
  const total = Number(request.headers['content-length'] ?? 0);
  let done = 0;
  for await (const part of request) {
    const bytes = part as Buffer;
    done += bytes.length;
    progress(done, total);
    yield bytes;
  }
}

/** Everything, or a project, carried out and in as one archive, streamed both ways. */
export function archiveRoutes(store: Store, pictures: Pictures): Router {
  const router = Router();
  const { folder, file: database } = store.database;
  const queue = new FairQueue({
    ...{ atOnce: 1, waitingOfOne: 1, waiting: 4 },
    full: 'Other archives are being read; send it again in a while.',
  });

  const jobs = new Jobs();

  const send = async (response: Response, name: string, share?: Share) => {
    response
      .set('Content-Disposition', `attachment; filename="${name}.tar"`)
      .type('application/x-tar');
    try {
      await writeArchive(database, response, share);
    } catch (error) {
      // What was sent is cut short, which its missing end tells; nobody is left to be told.
      if (!response.headersSent) throw error;
      response.destroy();
    }
  };

  router.get('/archive', (_request, response) => send(response, 'pin-margin-everything'));

  router.get('/projects/:id/archive', async (request, response) => {
    const { id } = await store.find('projects', request.params.id);
    await send(response, 'pin-margin-project', shareOf(id));
  });

  router.get('/archive/progress/:job', (request, response) => {
    response.json(jobs.of(request.params.job));
  });

  router.post('/archive', async (request, response) => {
    const by = authorOf(request);
    const client = clientOf(request);
    const file = incomingFile(folder, 'archive');
    const take = async (progress: (done: number, total: number) => void): Promise<ArchiveTaken> => {
      try {
        const input = Readable.from(counted(request, progress));
        const { about, counts } = await buildFromArchive(input, file, pictures, client);
        if (about.holds === 'everything') {
          return { counts, before: await replaceWith(store, file, 'before-archive') };
        }
        const { connection } = store.database;
        await store.alone(() => takeSnapshot(connection, folder, 'before-project'));
        return { counts: await addFrom(store, file, by), before: null };
      } finally {
        rmSync(file, { force: true });
      }
    };
    response.json(await jobs.run(request, (progress) => queue.run(client, () => take(progress))));
  });
  return router;
}
