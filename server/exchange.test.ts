import fc from 'fast-check';
import Papa from 'papaparse';
import sharp from 'sharp';
import type { ImportPreview } from '../contract/exchange';
import { guarded, unguarded } from './exchange/cell';
import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.stop());

const send = (path: string, text: string | Buffer) =>
  server.http.post(`/api/${path}`).set('Content-Type', 'application/octet-stream').send(text);
const preview = async (text: string | Buffer): Promise<ImportPreview> =>
  (await send('import/preview', text).expect(200)).body as ImportPreview;
const exported = async (name: string): Promise<Buffer> =>
  (await server.http.get(`/api/export/${name}`).buffer(true).responseType('blob').expect(200))
    .body as Buffer;
const import_ = async (text: string | Buffer) => {
  const { digest } = await preview(text);
  return send(`import?digest=${digest}`, text);
};
const howMany = async () =>
  Number((await server.http.get('/api/cloths?limit=1')).headers['x-total-count']);
const cloths = async () =>
  (await server.http.get('/api/cloths')).body as { id: string; name: string; version: number }[];

/** Everything the demo has goes, as a person would take it away. */
async function wipe(): Promise<void> {
  for (const table of ['projects', 'cloths', 'machines', 'feet', 'needles', 'threads']) {
    const rows = (await server.http.get(`/api/${table}`)).body as { id: string; version: number }[];
    for (const { id, version } of rows) {
      await server.http.delete(`/api/${table}/${id}?version=${version}`).expect(204);
    }
  }
}

async function withPhoto(): Promise<string> {
  const picture = await sharp({
    create: { width: 40, height: 30, channels: 3, background: '#963226' },
  })
    .png()
    .toBuffer();
  const { id } = (
    await server.http.post('/api/photos').set('Content-Type', 'image/png').send(picture).expect(201)
  ).body as { id: string };
  await server.http.patch('/api/cloths/cloth-denim').send({ version: 1, photoId: id }).expect(200);
  return id;
}

describe('round trip', () => {
  test('export, wipe, import, export gives the same bytes, photos included', async () => {
    await withPhoto();
    const before = await exported('shelf-and-drawer.json');
    await wipe();
    expect(await cloths()).toEqual([]);
    const { body } = (await import_(before)) as unknown as { body: ImportPreview };
    expect(body).toMatchObject({ counts: { added: 29, changed: 0, refused: 0 }, photos: 1 });
    expect((await exported('shelf-and-drawer.json')).equals(before)).toBe(true);
  });

  test('into another house: the photo comes along', async () => {
    const id = await withPhoto();
    const file = await exported('shelf-and-drawer.json');
    await server.stop();
    server = await startServer();
    await wipe();
    await server.http.get(`/api/photos/${id}`).expect(404);
    await import_(file);
    const answer = await server.http.get(`/api/photos/${id}`).expect(200);
    expect(answer.headers['content-type']).toBe('image/jpeg');
    expect((await exported('shelf-and-drawer.json')).equals(file)).toBe(true);
  });

  test.each(['cloths', 'machines', 'feet', 'needles', 'threads'])(
    '%s as CSV: out, away, in, out',
    async (table) => {
      const before = await exported(`${table}.csv`);
      expect((await preview(before)).counts).toMatchObject({ added: 0, changed: 0, refused: 0 });
      await wipe();
      await import_(before);
      expect((await exported(`${table}.csv`)).toString()).toBe(before.toString());
    },
  );

  test('an import is one step of undo and of redo', async () => {
    const csv = `name,construction,weightClass\n${Array.from({ length: 700 }, (_, i) => `Cloth ${i},woven,light`).join('\n')}`;
    await import_(csv);
    expect(await howMany()).toBe(709);
    expect((await server.http.get('/api/history')).body.undo).toBe('import of 700 cloths');
    await server.http.post('/api/undo').expect(200);
    expect(await cloths()).toHaveLength(9);
    await server.http.post('/api/redo').expect(200);
    expect(await howMany()).toBe(709);
  });
});

describe('CSV', () => {
  test('any name comes back as it was, and none is a formula', async () => {
    const nasty = ['=1+1', '+a', '-b', '@c', "'=d", "''-e", 'a,"b"\nc', ' padded', 'é漢', '\tx'];
    await wipe();
    const drafts = nasty.map((name, i) => ({
      id: `n${i}`,
      // A name has no line breaks; a note has.
      name: `${name.replace('\n', ' ')}${i}`,
      size: 80,
      point: 'ball',
      left: 1,
      note: name,
    }));
    const json = JSON.stringify({
      format: 'pin-margin-shelf-and-drawer',
      version: 1,
      needles: drafts,
    });
    await import_(json);
    const csv = (await exported('needles.csv')).toString();
    expect(csv.endsWith('\r\n')).toBe(true);
    const rows = Papa.parse<string[]>(csv.trimEnd()).data.slice(1);
    for (const row of rows) for (const cell of row) expect(cell).not.toMatch(/^[=+\-@\t\r]/);
    expect((await preview(csv)).counts).toMatchObject({ same: nasty.length, changed: 0 });
  });

  test('guarding and unguarding any text gives it back', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.string().map((text) => `'=${text}`),
          fc.string().map((t) => `=${t}`),
        ),
        (text) => {
          expect(unguarded(guarded(text))).toBe(text);
          expect(guarded(text)).not.toMatch(/^[=+\-@\t\r]/);
        },
      ),
    );
  });

  test('a few columns change a few fields, and leave the rest', async () => {
    const csv = 'id;name;lengthLeftMm;fibre\ncloth-linen;Linen, washed;120,5;linen\n';
    const { rows } = await preview(csv);
    expect(rows[0]).toMatchObject({ outcome: 'changed', fields: ['name', 'lengthLeftMm'] });
    await import_(csv);
    const linen = (await server.http.get('/api/cloths/cloth-linen')).body;
    expect(linen).toMatchObject({
      lengthLeftMm: 120.5,
      tests: { sampleGrams: 1.5 },
      widthMm: 1400,
    });
  });

  test('a guide that moves is not half of one that stands', async () => {
    const csv = 'id,name,guidance,guideAtMm\nfoot-blind-screw,Blind foot,blade,-1\n';
    await import_(csv);
    const foot = (await server.http.get('/api/feet/foot-blind-screw')).body;
    expect(foot.specs.guide).toEqual({ atMm: -1 });
  });
});

describe('bad files leave everything as it was', () => {
  const kept = async (work: () => Promise<unknown>) => {
    const before = await exported('shelf-and-drawer.json');
    await work();
    expect((await exported('shelf-and-drawer.json')).equals(before)).toBe(true);
  };
  const refusedWhole = (file: string | Buffer, words: RegExp) =>
    kept(async () => {
      for (const path of ['import/preview', 'import?digest=x']) {
        const { body } = await send(path, file).expect(400);
        expect(body.error.message).toMatch(words);
      }
    });

  test('truncated JSON', async () => {
    const whole = await exported('shelf-and-drawer.json');
    await refusedWhole(whole.subarray(0, whole.length / 2), /cut short/);
  });
  test('truncated CSV, inside a quotation', () =>
    refusedWhole('name,construction\n"Half a na', /never closed/));
  test('truncated CSV, inside a row', () =>
    kept(async () => {
      const { rows, counts } = await preview(
        'name,construction,weightClass\nWhole,woven,light\nHalf,wo',
      );
      expect(counts).toMatchObject({ added: 1, refused: 1 });
      expect(rows[1]).toMatchObject({ place: 'row 3', outcome: 'refused' });
      expect(rows[1]!.issues[0]!.message).toMatch(/2 cells and the header 3/);
      await send(
        'import?digest=x',
        'name,construction,weightClass\nWhole,woven,light\nHalf,wo',
      ).expect(400);
    }));
  test('fifty thousand rows', () =>
    refusedWhole(
      `name,construction\n${'Cloth,woven\n'.repeat(50_000)}`,
      /50,000 rows; at most 25,000/,
    ));
  test('two rows with one id', () =>
    kept(async () => {
      const csv = 'id,name,construction,weightClass\na,One,woven,light\na,Two,woven,light\n';
      const { rows } = await preview(csv);
      expect(rows.map(({ outcome }) => outcome)).toEqual(['refused', 'refused']);
      expect(rows[0]!.issues[0]).toEqual({
        path: 'id',
        message: 'The id “a” is there 2 times: row 2, row 3.',
      });
      expect((await send('import?digest=x', csv).expect(400)).body.error.code).toBe('refused-rows');
    }));
  test.each([
    ['', /empty|bytes/],
    ['[]', /should be "pin-margin/],
    ['{"format":"pin-margin-shelf-and-drawer","version":9}', /version 9/],
    ['{"format":"pin-margin-shelf-and-drawer","version":1,"cloths":{}}', /should be a list/],
    ['a,b\n1,2\n', /first line should name the columns/],
    ['name,name,construction\n1,2,woven\n', /there twice/],
    [Buffer.from([0x89, 0x50, 0, 0, 1, 2]), /no text/],
  ])('%#', async (file, words) => refusedWhole(file, words));

  test('a row that cannot be refuses the whole file, and each row says why', () =>
    kept(async () => {
      const csv =
        'name,construction,weightClass,stackHeightMm,stackLayers,widthMm\nGood,woven,light,,,\n,tweed,light,3,,9999999\n';
      const { rows } = await preview(csv);
      expect(rows[0]!.outcome).toBe('added');
      expect(rows[1]!.issues.map(({ path }) => path).sort()).toEqual([
        'construction',
        'name',
        'widthMm',
      ]);
      const { body } = await send('import?digest=x', csv).expect(400);
      expect(body.error.message).toMatch(/1 of 2 rows cannot be taken, so none was/);
    }));

  test('what was looked at is what happens: another shelf asks for another look', async () => {
    const csv = 'id,name,construction,weightClass\ncloth-linen,New name,woven,light\n';
    const { digest } = await preview(csv);
    await server.http.patch('/api/cloths/cloth-linen').send({ version: 1, note: 'x' }).expect(200);
    await kept(() => send(`import?digest=${digest}`, csv).expect(409));
  });

  test.each(['import/preview', 'import?digest=x', 'photos', 'cloths'])(
    '%s: what says it is compressed and is not',
    async (path) => {
      const { body } = await server.http
        .post(`/api/${path}`)
        .set('Content-Type', 'application/json')
        .set('Content-Encoding', 'gzip')
        .send('no gzip')
        .expect(400);
      expect(body.error.code).toBe('not-read');
    },
  );

  test('a photo that is none, or another than its id says', () =>
    kept(async () => {
      const id = 'a'.repeat(64);
      const file = JSON.stringify({
        format: 'pin-margin-shelf-and-drawer',
        version: 1,
        cloths: [
          {
            name: 'X',
            weightClass: 'light',
            tests: { construction: 'woven' },
            note: '',
            photoId: id,
          },
        ],
        photos: [{ id, base64: Buffer.from('no picture').toString('base64') }],
      });
      const { rows } = await preview(file);
      expect(rows[0]!.issues[0]!.message).toMatch(/photos\[0\].*no picture/);
    }));
});

describe('mended, with a report', () => {
  test('a formula in a name is kept as text', async () => {
    const csv = 'name,construction,weightClass\n"=HYPERLINK(""x"")",woven,light\n';
    const { rows } = await preview(csv);
    expect(rows[0]).toMatchObject({ outcome: 'added', name: '=HYPERLINK("x")' });
    expect(rows[0]!.repairs[0]!.message).toMatch(/spreadsheet formula/);
    await import_(csv);
    expect((await exported('cloths.csv')).toString()).toContain(`'=HYPERLINK`);
  });

  test('unknown columns and fields are left out', async () => {
    const { rows, repairs } = await preview(
      'name,construction,weightClass,shop\nA,woven,light,corner\n',
    );
    expect(repairs).toEqual(['The column “shop” is not known; it is left out.']);
    expect(rows[0]!.outcome).toBe('added');
  });

  test.each([
    [
      'UTF-8 with its mark',
      Buffer.from('\uFEFFname,construction,weightClass\nÉtamine,woven,light\n'),
      0,
    ],
    [
      'UTF-16',
      Buffer.from('\uFEFFname,construction,weightClass\nÉtamine,woven,light\n', 'utf16le'),
      1,
    ],
    [
      'Windows-1252',
      Buffer.from('name,construction,weightClass\n\xc9tamine,woven,light\n', 'latin1'),
      1,
    ],
  ])('%s', async (_, file, said) => {
    const { rows, repairs } = await preview(file);
    expect(rows[0]).toMatchObject({ name: 'Étamine', outcome: 'added' });
    expect(repairs).toHaveLength(said);
  });
});

describe('photos', () => {
  const send_ = (bytes: Buffer) =>
    server.http.post('/api/photos').set('Content-Type', 'image/jpeg').send(bytes);
  test('thirty megabytes are refused, with both sizes', async () => {
    const { body } = await send_(Buffer.alloc(30 * 1024 * 1024, 1)).expect(413);
    expect(body.error.message).toBe('What was sent is 30 MB; at most 12 MB are taken here.');
  });
  test('what is no picture, and a torn one, are refused', async () => {
    const whole = await sharp({
      create: { width: 300, height: 300, channels: 3, background: '#123456' },
    })
      .jpeg()
      .toBuffer();
    const drawing = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>');
    for (const bytes of [Buffer.from('hello'), whole.subarray(0, 400), drawing]) {
      const { body } = await send_(bytes).expect(400);
      expect(body.error.code).toBe('no-picture');
    }
    await server.http.get('/api/photos/../x').expect(404);
    await server.http.get(`/api/photos/${'0'.repeat(64)}`).expect(404);
  });
  test('a large one is made smaller, and what the camera wrote goes', async () => {
    const large = await sharp({
      create: { width: 3000, height: 2000, channels: 3, background: '#8ba26f' },
    })
      .withExif({ IFD0: { Copyright: 'somebody' } })
      .jpeg()
      .toBuffer();
    const { body } = await send_(large).expect(201);
    expect(body).toMatchObject({ widthPx: 1600, heightPx: 1067 });
    const kept = (await server.http.get(`/api/photos/${body.id}`).responseType('blob')).body;
    expect((await sharp(kept as Buffer).metadata()).exif).toBeUndefined();
    // Sent again it is the same.
    expect((await send_(large).expect(201)).body.id).toBe(body.id);
  });
  test('a cloth points at a photo that is there, or is refused', async () => {
    const { body } = await server.http
      .patch('/api/cloths/cloth-linen')
      .send({ version: 1, photoId: '0'.repeat(64) })
      .expect(400);
    expect(body.error.issues[0].path).toBe('photoId');
  });
});
