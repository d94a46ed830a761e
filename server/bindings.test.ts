import { examplePlan } from '../core/plan/example.fixture';
import type { AttemptRecord, PlanRecord } from '../contract/records';
import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.stop());

const get = async <T>(path: string): Promise<T> =>
  (await server.http.get(`/api/${path}`).expect(200)).body as T;

/** Changes a plan of the demo. */
async function patch(id: string, body: object) {
  const { version } = await get<PlanRecord>(`plans/${id}`);
  return server.http.patch(`/api/plans/${id}`).send({ version, ...body });
}

const bound = {
  ...{ finish: 'bound', fold: { variant: 'double-fold', depthMm: 9, statedStripMm: 40 } },
  ...{ attachmentId: 'attachment-binder', footId: 'foot-straight', machineId: 'machine-home' },
  stitch: { pattern: 'straight', anchor: 'centre', runStitches: 1 },
  ...{ schools: { attach: 'binder-attachment' }, settings: null },
};

describe('a plan with an attachment before its foot', () => {
  test('is sewn with both, and the scrap names both', async () => {
    expect((await patch('plan-tabard', bound)).status).toBe(200);
    const settings = { widthMm: 0, lengthMm: 2.5, needlePositionMm: 0, guideMm: -3 };
    const { body, status } = await server.http.post('/api/attempts').send({
      ...{ planId: 'plan-tabard', settings, note: '', corners: { n: 4, missed: 1 } },
      counts: [
        { check: 'back', n: 24, short: 2, over: 0 },
        { check: 'front', n: 24, short: 0, over: 1 },
      ],
    });
    expect(status).toBe(201);
    const scrap = body as AttemptRecord;
    expect(scrap.names.foot).toBe('Binder attachment, narrow, before Straight-stitch foot');
    expect(scrap.footId).toBe('attachment-binder');
    // The slot is the foot's, the guide the attachment's.
    expect(scrap.setUp.foot).toMatchObject({
      slotMm: [-1, 1],
      guide: { rangeMm: [-8, 2], stepMm: 0.5 },
    });
    expect(scrap.setUp.binder).toMatchObject({ mouthMm: 44, stripMm: 40 });
    expect(scrap.corners).toEqual({ n: 4, missed: 1 });
  });

  test('keeps where it stands; more corners missed than sewn are refused', async () => {
    const { body } = await patch('plan-tabard', { ...bound, placing: { standOffMm: 18 } });
    expect(body).toMatchObject({ placing: { standOffMm: 18 }, attachmentId: 'attachment-binder' });
    const { status, body: refused } = await server.http.post('/api/attempts').send({
      ...{ planId: 'plan-tabard', settings: null, counts: [], note: '' },
      corners: { n: 2, missed: 3 },
    });
    expect(status).toBe(400);
    expect(refused.error.issues[0].path).toBe('corners.missed');
  });

  test('an attachment that is not in the drawer is named; one that is used stays', async () => {
    const { status, body } = await patch('plan-tabard', { ...bound, attachmentId: 'of-the-moon' });
    expect(status).toBe(400);
    expect(body.error.issues[0].path).toBe('attachmentId');
    await patch('plan-tabard', bound);
    const { version } = await get<{ version: number }>('feet/attachment-binder');
    const removed = await server.http.delete(`/api/feet/attachment-binder?version=${version}`);
    expect(removed.status).toBe(409);
  });
});

describe('a binder over the compute API', () => {
  const settings = {
    ...{ ...examplePlan, finish: 'bound' },
    fold: { variant: 'double-fold', depthMm: 8, statedStripMm: 32.5 },
    stitch: { pattern: 'straight', anchor: 'centre' },
    foot: { slotMm: [-1.5, 1.5], guidance: 'edge', guide: { rangeMm: [-8, 2], stepMm: 0.5 } },
    aids: { wrap: 'binder' },
  };
  const asked = (binder: object | null) =>
    server.http.post('/api/compute/settings').send({ ...settings, binder });

  test('fits its strip and changes nothing; play in its flange costs certainty', async () => {
    const plain = (await asked(null)).body.chance as number;
    const flange = { mouthMm: 42, flangeMm: [10, 40] };
    expect((await asked({ ...flange, placing: { flangeMm: 32 } })).body.chance).toBe(plain);
    const loose = await asked({ ...flange, placing: { flangeMm: 36 } });
    expect(loose.body.chance).toBeLessThan(plain);
  });

  test.each([
    [{ mouthMm: 30 }, 'binder.mouthMm', /strip of 32 mm.*mouth of 30 mm; up to 30 mm/],
    [
      { flangeMm: [10, 40], placing: { flangeMm: 50 } },
      'binder.placing.flangeMm',
      /from 10 to 40 mm.*50 mm/,
    ],
    [
      { flangeMm: [10, 40], placing: { flangeMm: 24 } },
      'binder.placing.flangeMm',
      /24 mm jams a strip of 32 mm/,
    ],
    [{ flangeMm: [10, 24] }, 'binder.flangeMm', /32 mm is outside.*10 to 24 mm fits/],
  ])('%j: what would fit is said', async (binder, path, words) => {
    const { status, body } = await asked(binder);
    expect(status).toBe(400);
    expect(body.error.issues[0].path).toBe(path);
    expect(body.error.issues[0].message).toMatch(words);
  });

  test('a place is learned of front and back together', async () => {
    const at = { widthMm: 0, lengthMm: 2.5, needlePositionMm: 0, guideMm: -3 };
    const { status, body } = await server.http.post('/api/compute/learn').send({
      ...{ ...settings, binder: { mouthMm: 42 } },
      samples: [{ settings: at, check: 'front', n: 24, short: 22, over: 0 }],
    });
    expect(status).toBe(200);
    expect(body.shiftMm).toBeGreaterThan(1);
    // The whole attachment is moved as far, though nobody looked at the back.
    expect(body.next.change.dial).toBe('guide');
    expect(body.next.change.toMm).toBeLessThan(-4);
  });
});

describe('a cutting plan on paper', () => {
  const sheet = (query: string) => server.http.get(`/api/plans/plan-collar/strip.svg?${query}`);

  test('numbers its strips and has a line at 45° at true scale', async () => {
    const { status, text } = await sheet('page=a4&way=bias&wideMm=1500&longMm=400')
      .buffer(true)
      .parse((response, done) => {
        let body = '';
        response.on('data', (chunk: Buffer) => (body += chunk.toString()));
        response.on('end', () => done(null, body));
      })
      .then((response) => ({ status: response.status, text: response.body as string }));
    expect(status).toBe(200);
    expect(text).toContain('Strips for Lantern-bearer');
    expect(text).toContain('the bias: 45°');
    const lines = [...text.matchAll(/x1="(\S+)" y1="(\S+)" x2="(\S+)" y2="(\S+)"/g)].map((it) =>
      it.slice(1).map(Number),
    );
    // As far up as along, 90 mm.
    expect(
      lines.some(
        ([x1 = 0, y1 = 0, x2 = 0, y2 = 0]) =>
          Math.abs(x2 - x1 - 90) < 1e-6 && Math.abs(y1 - y2 - 90) < 1e-6,
      ),
    ).toBe(true);
  });

  test.each([
    ['way=spiral', 'way'],
    ['wideMm=2', 'wideMm'],
    ['page=a0', 'page'],
  ])('%s is named', async (query, path) => {
    const { status, body } = await sheet(query);
    expect(status).toBe(400);
    expect(body.error.issues[0].path).toBe(path);
  });

  test('a ready-made strip has nothing to cut', async () => {
    const { status, body } = await server.http.get('/api/plans/plan-blanket/strip.pdf');
    expect([status, body.error.code]).toEqual([409, 'no-strip']);
  });

  test('comes as PDF too', async () => {
    const { status, headers } = await server.http.get('/api/plans/plan-collar/strip.pdf?way=tube');
    expect([status, headers['content-type']]).toEqual([200, 'application/pdf']);
  });
});
