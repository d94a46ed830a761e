import { createHash } from 'node:crypto';
import { request as httpRequest } from 'node:http';
import { Readable } from 'node:stream';
import fc from 'fast-check';
import sharp from 'sharp';
import tar from 'tar-stream';
import type { ArchiveTaken, SnapshotEntry } from '../../contract/archive';
import { startServer, type RunningServer } from '../testing.fixture';

let server: RunningServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.stop());

const out = async (path = 'archive', from = server): Promise<Buffer> => {
  const { body } = await from.http
    .get(`/api/${path}`)
    .buffer(true)
    .responseType('blob')
    .expect(200);
  return body as Buffer;
};
const take = (bytes: Buffer, into = server) =>
  into.http.post('/api/archive').set('Content-Type', 'application/x-tar').send(bytes);
const get = async <T>(path: string, from = server) =>
  (await from.http.get(`/api/${path}`).expect(200)).body as T;

interface Entry {
  readonly name: string;
  readonly bytes: Buffer;
}

async function entriesOf(archive: Buffer): Promise<Entry[]> {
  const extract = tar.extract();
  Readable.from([archive]).pipe(extract);
  const entries: Entry[] = [];
  for await (const entry of extract) {
    const parts: Buffer[] = [];
    for await (const part of entry) parts.push(part as Buffer);
    entries.push({ name: entry.header.name, bytes: Buffer.concat(parts) });
  }
  return entries;
}

async function packed(entries: readonly Entry[]): Promise<Buffer> {
  const pack = tar.pack();
  for (const { name, bytes } of entries) pack.entry({ name }, bytes);
  pack.finalize();
  const parts: Buffer[] = [];
  for await (const part of pack) parts.push(part as Buffer);
  return Buffer.concat(parts);
}

/** The rows of an archive without what each write of a record changes. */
async function writtenIn(archive: Buffer): Promise<string[]> {
  const rows = (await entriesOf(archive)).filter(({ name }) => name.endsWith('.jsonl'));
  return rows.map(({ name, bytes }) =>
    `${name} ${bytes.toString()}`
      .replace(/"version":\d+/g, '')
      .replace(/"(updatedAt|createdAt)":"[^"]*"/g, ''),
  );
}

/** An archive in which one entry reads otherwise, with a manifest that agrees. */
async function rewritten(archive: Buffer, entry: string, change: (text: string) => string) {
  const entries = (await entriesOf(archive)).map(({ name, bytes }) =>
    name === entry ? { name, bytes: Buffer.from(change(bytes.toString())) } : { name, bytes },
  );
  const manifest = entries.at(-1)!;
  const list = JSON.parse(manifest.bytes.toString()) as { sha256: Record<string, string> };
  for (const { name, bytes } of entries.slice(0, -1)) {
    list.sha256[name] = createHash('sha256').update(bytes).digest('hex');
  }
  return packed([
    ...entries.slice(0, -1),
    { ...manifest, bytes: Buffer.from(JSON.stringify(list)) },
  ]);
}

async function sentPhoto(background: string): Promise<string> {
  const photo = await sharp({ create: { width: 30, height: 20, channels: 3, background } })
    .png()
    .toBuffer();
  const { body } = await server.http
    .post('/api/photos')
    .set('Content-Type', 'image/png')
    .send(photo);
  return (body as { id: string }).id;
}

async function lived(): Promise<void> {
  await server.http
    .patch('/api/cloths/cloth-denim')
    .send({ version: 1, photoId: await sentPhoto('#752') })
    .expect(200);
  await server.http
    .patch('/api/edges/edge-cape')
    .send({ version: 1, name: '=ünï “x”' })
    .expect(200);
  const { version } = await get<{ version: number }>('attempts/scrap-cape-1');
  await server.http.delete(`/api/attempts/scrap-cape-1?version=${version}`).expect(204);
}

describe('everything', () => {
  test('out, into an empty folder, and out again gives the same bytes', async () => {
    await lived();
    const before = await out();
    const other = await startServer();
    const { body } = await take(before, other).expect(200);
    expect((body as ArchiveTaken).counts).toMatchObject({ photos: 1, changes: 3 });
    expect((await out('archive', other)).equals(before)).toBe(true);
    // History and what was taken out came along.
    expect((await get<unknown[]>('removed', other)).length).toBe(1);
    await other.http.post('/api/undo').expect(200);
    expect(await get('attempts/scrap-cape-1', other)).toMatchObject({ planId: 'plan-cape' });
    expect(await get<{ total: number }>('book?q=flannel', other)).not.toMatchObject({ total: 0 });
    await other.stop();
  });

  test('is in a common container: a list of files with their checksums', async () => {
    const entries = await entriesOf(await out());
    expect(entries[0]!.name).toBe('about.json');
    expect(entries.at(-1)!.name).toBe('manifest.json');
    const { counts, sha256 } = JSON.parse(entries.at(-1)!.bytes.toString());
    for (const { name, bytes } of entries.slice(0, -1)) {
      expect(sha256[name]).toBe(createHash('sha256').update(bytes).digest('hex'));
    }
    expect(counts.cloths).toBe((await get<unknown[]>('cloths')).length);
  });

  test('what it replaced can be gone back to', async () => {
    const before = await out();
    await lived();
    const { body } = await take(before).expect(200);
    expect(await get('cloths/cloth-denim')).toMatchObject({ photoId: null });
    const { before: snapshot } = body as ArchiveTaken;
    await server.http.post(`/api/snapshots/${snapshot}/restore`).expect(200);
    expect(await get('cloths/cloth-denim')).not.toMatchObject({ photoId: null });
    expect(await get('health')).toEqual({ ok: true });
  });
});

describe('an archive that is not sound', () => {
  let archive: Buffer;
  beforeEach(async () => {
    await lived();
    archive = await out();
  });
  const refused = async (bytes: Buffer, what: RegExp) => {
    const { body } = await take(bytes).expect(400);
    expect(body.error.message).toMatch(what);
    expect((await out()).equals(archive)).toBe(true);
  };

  test.each<[string, (bytes: Buffer) => Buffer, RegExp]>([
    [
      'cut short',
      (bytes) => bytes.subarray(0, Math.floor(bytes.length / 2)),
      /whole archive|ends early/,
    ],
    ['without its end', (bytes) => bytes.subarray(0, -6 * 512), /whole archive|ends early/],
    ['something else', () => Buffer.from('a letter, and not an archive at all'.repeat(40)), /no/],
  ])('%s', (_what, damage, said) => refused(damage(archive), said));

  test('a byte that is another', async () => {
    const at = archive.indexOf('Wool flannel');
    const bytes = Buffer.from(archive);
    bytes[at] = 'X'.charCodeAt(0);
    await refused(bytes, /checksum/);
  });

  test.each<[string, string, (text: string) => string, RegExp]>([
    [
      'a field nobody knows',
      'cloths/000001.jsonl',
      (t) => t.replace('{', '{"spell":1,'),
      /no “spell”/,
    ],
    [
      'a record that is not sound',
      'edges/000001.jsonl',
      (t) => t.replace(/"lengthMm":\d+/, '"lengthMm":-4'),
      /lengthMm/,
    ],
    [
      'a reading no cloth gives',
      'cloths/000001.jsonl',
      (t) => t.replace(/"sampleSideMm":100/, '"sampleSideMm":10'),
      /100 mm square/,
    ],
    [
      'a parent that is missing',
      'edges/000001.jsonl',
      (t) => t.replaceAll('cloth-denim', 'cloth-gone'),
      /points at one that is missing/,
    ],
    [
      'a newer app’s tables',
      'about.json',
      (t) => t.replace(/00\d\d-[a-z-]+/, '0099-later'),
      /newer Pin Margin.*0099-later/,
    ],
    ['a path out of the folder', 'about.json', (t) => t, /nothing of an archive/],
  ])('%s', async (what, entry, change, said) => {
    const bytes = await rewritten(archive, entry, change);
    const entries = await entriesOf(bytes);
    const outside = { name: '../../etc/x', bytes: Buffer.from('x') };
    await refused(what.startsWith('a path') ? await packed([outside, ...entries]) : bytes, said);
  });

  test('whatever byte of it is damaged, it is taken whole or not at all, and nothing answers 500', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.nat({ max: archive.length - 1 }),
        fc.integer({ min: 1, max: 255 }),
        async (at, by) => {
          const bytes = Buffer.from(archive);
          bytes[at] = bytes[at]! ^ by;
          const { status } = await take(bytes);
          expect([200, 400, 413]).toContain(status);
          if (status === 200) expect((await out()).equals(archive)).toBe(true);
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('a project alone', () => {
  test('goes to another shelf with the cloths, feet and photos it needs, and comes back as it was', async () => {
    const { version } = await get<{ version: number }>('attempts/scrap-cape-1');
    const photos = { photoId: await sentPhoto('#257'), otherFacePhotoId: await sentPhoto('#275') };
    await server.http
      .patch('/api/attempts/scrap-cape-1')
      .send({ version, ...photos })
      .expect(200);
    const archive = await out('projects/project-lantern-parade/archive');
    const other = await startServer();
    for (const table of ['attempts', 'projects', 'cloths', 'feet', 'machines']) {
      for (const { id, version } of await get<{ id: string; version: number }[]>(table, other)) {
        await other.http.delete(`/api/${table}/${id}?version=${version}`).expect(204);
      }
    }
    const { body } = await take(archive, other).expect(200);
    expect(body.counts.projects).toBe(1);
    expect(await get('edges/edge-cape', other)).toMatchObject({ clothId: 'cloth-flannel' });
    for (const id of Object.values(photos)) await other.http.get(`/api/photos/${id}`).expect(200);
    const back = await out('projects/project-lantern-parade/archive', other);
    // A record that is taken in begins anew; what a person wrote is the same.
    expect(await writtenIn(back)).toEqual(await writtenIn(archive));
    await other.http.post('/api/undo').expect(200);
    await other.http.get('/api/projects/project-lantern-parade').expect(404);
    await other.stop();
  });

  test('leaves what is here as it is', async () => {
    const archive = await out('projects/project-lantern-parade/archive');
    await server.http.patch('/api/edges/edge-cape').send({ version: 1, name: 'Mine' }).expect(200);
    const { body } = await take(archive).expect(200);
    expect(body.counts).toMatchObject({ projects: 0, edges: 0, cloths: 0 });
    expect(await get('edges/edge-cape')).toMatchObject({ name: 'Mine' });
  });

  test('of a project that is not there is a 404', () =>
    server.http.get(`/api/projects/x'--/archive`).expect(404));
});

describe('snapshots', () => {
  test('tell what differs from now, and going back can be undone', async () => {
    await server.http.post('/api/snapshots').expect(201);
    const { version } = await get<{ version: number }>('attempts/scrap-cape-1');
    await server.http.delete(`/api/attempts/scrap-cape-1?version=${version}`).expect(204);
    const [snapshot] = await get<SnapshotEntry[]>('snapshots');
    expect(snapshot).toMatchObject({ reason: 'by-hand', moreNow: { attempts: -1, cloths: 0 } });
    const { body } = await server.http.post(`/api/snapshots/${snapshot!.id}/restore`).expect(200);
    await server.http.get('/api/attempts/scrap-cape-1').expect(200);
    await server.http.post(`/api/snapshots/${body.before}/restore`).expect(200);
    await server.http.get('/api/attempts/scrap-cape-1').expect(404);
  });

  test.each(['nothing', '..%2F..%2Fetc%2Fpasswd', '2026-01-01T00-00-00-000Z_daily'])(
    'there is none called %s',
    (id) => server.http.post(`/api/snapshots/${id}/restore`).expect(404),
  );
});

test('how far it is can be asked while an archive comes in, and is forgotten after', async () => {
  const archive = await out();
  const half = archive.length >> 1;
  const progress = () => get<{ done: number; total: number }>('archive/progress/slow');
  const sent = new Promise<number>((answered, failed) => {
    const request = httpRequest(`${server.address}/api/archive?job=slow`, {
      method: 'POST',
      headers: { 'content-type': 'application/x-tar', 'content-length': archive.length },
    });
    request.on('error', failed);
    request.on('response', (response) => {
      response.resume();
      answered(response.statusCode ?? 0);
    });
    request.write(archive.subarray(0, half));
    void (async () => {
      for (let i = 0; i < 3000 && (await progress()).done < half; i++) {
        await new Promise((later) => setTimeout(later, 20));
      }
      expect(await progress()).toEqual({ done: half, total: archive.length });
      request.end(archive.subarray(half));
    })().catch(failed);
  });
  expect(await sent).toBe(200);
  expect(await progress()).toEqual({ done: 0, total: 0 });
});
