import sharp from 'sharp';
import type { ImportPreview } from '../../contract/exchange';
import type { AttemptRecord } from '../../contract/records';
import { bytesOf, startServer, type RunningServer } from '../testing.fixture';

let server: RunningServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.stop());

const send = (path: string, bytes: string | Buffer) =>
  server.http.post(`/api/${path}`).set('Content-Type', 'application/octet-stream').send(bytes);
const exported = (name: string) => bytesOf(server, `/api/export/${name}`);
const preview = async (bytes: string | Buffer) =>
  (await send('import/preview', bytes).expect(200)).body as ImportPreview;
const take = async (bytes: string | Buffer) =>
  send(`import?digest=${(await preview(bytes)).digest}`, bytes).expect(200);
const attempts = async () => (await server.http.get('/api/attempts')).body as AttemptRecord[];

/** Takes every scrap out. */
async function emptied() {
  for (const { id, version } of await attempts()) {
    await server.http.delete(`/api/attempts/${id}?version=${version}`).expect(204);
  }
  expect(await attempts()).toEqual([]);
}

/** Gives a scrap a photo, symptoms and a pin, so that all of it has to travel. */
async function dressed() {
  const sent = async (background: string) => {
    const png = await sharp({ create: { width: 9, height: 9, channels: 3, background } })
      .png()
      .toBuffer();
    return ((await send('photos', png).expect(201)).body as { id: string }).id;
  };
  const [photoId, otherFacePhotoId] = [await sent('#a33'), await sent('#3a3')];
  const scrap = (await attempts()).find(({ id }) => id === 'scrap-cape-1')!;
  await server.http
    .patch('/api/attempts/scrap-cape-1')
    .send({
      ...{ version: scrap.version, photoId, otherFacePhotoId, symptoms: ['ridge', 'skipped'] },
      ...{ verdict: 'keep', pinned: true, note: '=1+1, “quoted”\nand a second line; ünï' },
    })
    .expect(200);
}

test.each(['sample-book.json', 'sample-book.csv'])(
  '%s: out, wiped, in, and out again gives the same bytes',
  async (name) => {
    await dressed();
    const before = await exported(name);
    await emptied();
    await take(before);
    expect((await exported(name)).toString()).toBe(before.toString());
    // One step of undo takes all of it back.
    await server.http.post('/api/undo').expect(200);
    expect(await attempts()).toEqual([]);
  },
);

test('read where it was written, everything is there already', async () => {
  const { counts } = await preview(await exported('sample-book.json'));
  expect(counts).toMatchObject({ added: 0, changed: 0, refused: 0 });
});

test('in another house both photos come along and the scrap stands alone', async () => {
  await dressed();
  const book = await exported('sample-book.json');
  await server.stop();
  server = await startServer();
  await emptied();
  const { version } = (await server.http.get('/api/edges/edge-cape')).body as { version: number };
  await server.http.delete(`/api/edges/edge-cape?version=${version}`).expect(204);
  const looked = await preview(book);
  const row = looked.rows.find(({ id }) => id === 'scrap-cape-1')!;
  expect(row).toMatchObject({ outcome: 'added', name: 'blind-hem, Wool flannel, slate' });
  expect(row.repairs).toContainEqual({
    path: 'planId',
    message: 'Its edge is not here; the scrap stands alone.',
  });
  await take(book);
  const scrap = (await attempts()).find(({ id }) => id === 'scrap-cape-1')!;
  expect(scrap).toMatchObject({ planId: null, symptoms: ['ridge', 'skipped'], pinned: true });
  expect(scrap.otherFacePhotoId).not.toBe(scrap.photoId);
  for (const id of [scrap.photoId, scrap.otherFacePhotoId]) {
    await server.http.get(`/api/photos/${id}`).expect(200);
  }
});

test('half of the rows wrong: each says why at its place, and none is taken', async () => {
  const [header, ...lines] = (await exported('sample-book.csv')).toString().trim().split('\r\n');
  const column = (name: string) => header!.split(',').indexOf(name);
  // Cells before the JSON ones hold no comma but in quotes; these lines have none there.
  const wrong: Readonly<Record<number, readonly [string, string]>> = {
    0: ['counts', 'bite 24 20 9'],
    2: ['counts', 'bite twenty'],
    4: ['sewnOn', '2999-12-31'],
    6: ['verdict', 'splendid'],
    8: ['finish', 'gilded'],
  };
  const parsed = lines.slice(0, 10).map((line, i) => {
    const [name, cell] = wrong[i] ?? [];
    if (name === undefined) return line;
    const cells = line.split(/,(?=(?:[^"]*"[^"]*")*[^"]*$)/);
    cells[column(name)] = cell!;
    return cells.join(',');
  });
  const file = [header, ...parsed].join('\r\n');
  const before = await attempts();
  const { counts, rows, digest } = await preview(file);
  expect(counts).toMatchObject({ refused: 5, same: 5 });
  expect(rows[0]!.issues[0]!.message).toMatch(/more than the 24/);
  expect(rows[2]!.issues[0]!.message).toMatch(/“bite twenty” is no count/);
  expect(rows[4]!.issues[0]!.message).toMatch(/has not come yet/);
  expect(rows[6]!.issues[0]!.message).toMatch(/keep, nearly or no/);
  expect(rows[8]!.issues[0]!.message).toMatch(/no finish that is known/);
  const { body } = await send(`import?digest=${digest}`, file).expect(400);
  expect(body.error.message).toMatch(/5 of 10 rows cannot be taken, so none was/);
  expect(await attempts()).toEqual(before);
});

test.each([
  ['{"format":"pin-margin-sample-book","version":1,"attempts":[{"id":"x"}]}', /setUp/],
  ['{"format":"pin-margin-sample-book","version":1,"attempts":[7]}', /record in braces/],
])('a scrap that is none is refused: %s', async (file, words) => {
  const { rows } = await preview(file);
  expect(rows[0]!.outcome).toBe('refused');
  expect(rows[0]!.issues.map(({ path, message }) => `${path} ${message}`).join()).toMatch(words);
});

test('the shelf’s own file is as it was: no scrap in it', async () => {
  const shelf = JSON.parse((await exported('shelf-and-drawer.json')).toString()) as object;
  expect(Object.keys(shelf)).toEqual([
    ...['format', 'version', 'cloths', 'machines', 'feet', 'needles', 'threads', 'photos'],
  ]);
});
