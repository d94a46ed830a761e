import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import type { AttemptRecord, PlanRecord } from '../contract/records';
import { asking, capeSettings } from './scraps.fixture';
import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.stop());

const { record, book, get } = asking(() => server);
const settings = capeSettings;

describe('what an attempt holds', () => {
  test('symptoms, verdict, photo, day and what else was set come back, and can be changed', async () => {
    const png = await sharp({
      create: { width: 8, height: 6, channels: 3, background: '#888' },
    })
      .png()
      .toBuffer();
    const photo = await server.http
      .post('/api/photos')
      .set('Content-Type', 'application/octet-stream')
      .send(png)
      .expect(201);
    const whole = {
      ...{ symptoms: ['ridge', 'skipped'], verdict: 'nearly', photoId: photo.body.id },
      ...{ sewnOn: '2026-02-03', dialValues: { needle: '80', differential: 1.2 } },
    };
    const { body } = await record(whole).expect(201);
    expect(body).toMatchObject({
      ...whole,
      ...{ number: 2, finish: 'blind-hem', clothId: 'cloth-flannel', footId: 'foot-blind-fixed' },
    });
    const changed = await server.http
      .patch(`/api/attempts/${body.id}`)
      .send({ version: body.version, verdict: 'keep', symptoms: [], note: 'Held.' })
      .expect(200);
    expect(changed.body).toMatchObject({ verdict: 'keep', symptoms: [], note: 'Held.' });
    await server.http.post('/api/undo').expect(200);
    expect(await get<AttemptRecord>(`attempts/${body.id}`)).toMatchObject(whole);
    // Of a scrap that was only looked at any photo says something, that of its other face as well.
    await record({ counts: [], otherFacePhotoId: photo.body.id }).expect(201);
  });

  test.each<[string, object, string, RegExp]>([
    [
      'more faults than stitches',
      { counts: [{ check: 'bite', n: 5, short: 4, over: 2 }] },
      'counts.0.short',
      /more than the 5/,
    ],
    [
      'a negative count',
      { counts: [{ check: 'bite', n: 5, short: -1, over: 0 }] },
      'counts.0.short',
      /negative/,
    ],
    [
      'a check of another finish',
      { counts: [{ check: 'feed', n: 5, short: 1, over: 0 }] },
      'counts.0.check',
      /it has bite, run/,
    ],
    ['a day to come', { sewnOn: '2999-01-01' }, 'sewnOn', /has not come yet/],
    ['no day', { sewnOn: 'soon' }, 'sewnOn', /2026-11-25/],
    ['a photo that is not there', { photoId: 'a'.repeat(64) }, 'photoId', /no photo/],
    [
      'a photo of its other face that is not there',
      { otherFacePhotoId: 'a'.repeat(64) },
      'otherFacePhotoId',
      /no photo/,
    ],
    ['a symptom nobody knows', { symptoms: ['gremlins'] }, 'symptoms.0', /no such symptom/],
    ['a zero byte', { note: 'a\0b' }, 'note', /zero byte/],
    ['nothing at all', { counts: [] }, 'counts', /Count at least one/],
    ['no dials where there are some', { settings: null }, 'settings', /where the dials stood/],
    [
      'a plan that is gone',
      { planId: 'plan-of-another-tab' },
      'planId',
      /taken out, perhaps in another tab/,
    ],
  ])('%s is refused at its place, and nothing is written', async (_, patch, path, words) => {
    const before = await book();
    const { body } = await record(patch).expect(400);
    expect(body.error.issues).toContainEqual(
      expect.objectContaining({ path, message: expect.stringMatching(words) }),
    );
    expect(await book()).toEqual(before);
  });

  test('a photo that is none is refused before it is pointed at', async () => {
    const { body } = await server.http
      .post('/api/photos')
      .set('Content-Type', 'application/octet-stream')
      .send(Buffer.from('no picture'))
      .expect(400);
    expect(body.error.message).toMatch(/picture/);
  });

  test('a finish without a margin is looked at: symptoms and values, no dials', async () => {
    const { version } = await get<PlanRecord>('plans/plan-apron');
    await server.http
      .patch('/api/plans/plan-apron')
      .send({ version, finish: 'pinked', fold: { variant: 'stitched' }, settings: null })
      .expect(200);
    const { body } = await record({
      ...{ planId: 'plan-apron', settings: null, counts: [] },
      ...{ symptoms: ['skipped'], dialValues: { length: 2.4 } },
    }).expect(201);
    expect(body).toMatchObject({ finish: 'pinked', settings: null, number: 1 });
    await record({ planId: 'plan-apron', settings: null }).expect(400);
  });

  test('an overlocker’s scrap is counted by its knife, under its own foot', async () => {
    const settings = { widthMm: 2, lengthMm: 2.5, needlePositionMm: 0, guideMm: 0 };
    const { body } = await record({
      ...{ planId: 'plan-lining', settings },
      ...{ counts: [{ check: 'trim', n: 24, short: 2, over: 0 }] },
    }).expect(201);
    expect(body).toMatchObject({ finish: 'serged', names: { foot: 'its own foot' } });
    await record({ planId: 'plan-lining', settings: null }).expect(400);
  });

  test('keeping a setting is a verdict too, undone with it', async () => {
    const plan = await get<PlanRecord>('plans/plan-cape');
    await server.http
      .patch('/api/plans/plan-cape')
      .send({ version: plan.version, keptAttemptId: 'scrap-cape-1' })
      .expect(200);
    expect((await get<AttemptRecord>('attempts/scrap-cape-1')).verdict).toBe('keep');
    await server.http.post('/api/undo').expect(200);
    expect((await get<AttemptRecord>('attempts/scrap-cape-1')).verdict).toBeNull();
    expect((await get<PlanRecord>('plans/plan-cape')).keptAttemptId).toBeNull();
  });

  test('one pin for a cloth, a finish and a machine', async () => {
    const pin = async (id: string) => {
      const { version } = await get<AttemptRecord>(`attempts/${id}`);
      await server.http.patch(`/api/attempts/${id}`).send({ version, pinned: true }).expect(200);
    };
    const { body } = await record({ verdict: 'keep' }).expect(201);
    await pin('scrap-cape-1');
    await pin('scrap-tunic-1');
    await pin(body.id as string);
    const pinned = (await book('?size=200')).rows.filter((row) => row.pinned).map(({ id }) => id);
    expect(new Set(pinned)).toEqual(new Set([body.id, 'scrap-tunic-1']));
  });
});

describe('a ladder', () => {
  const rungs = (change: object = {}) => ({
    attempts: [0, 1, 2].map((i) => ({
      ...{ id: randomUUID(), settings: { ...settings, widthMm: 2 + i / 10 }, note: '' },
      counts: [{ check: 'bite', n: 12, short: 3 - i, over: 0 }],
      ...(i === 2 ? change : {}),
    })),
  });
  const send = (body: object) => server.http.post('/api/plans/plan-cape/attempts').send(body);

  test('is recorded in one go, numbered on, and one undo takes all of it back', async () => {
    const body = rungs();
    const created = await send(body).expect(201);
    expect((created.body as AttemptRecord[]).map(({ number }) => number)).toEqual([2, 3, 4]);
    // Sent twice, recorded once.
    await send(body).expect(200);
    expect(await get<unknown[]>('attempts?planId=plan-cape')).toHaveLength(4);
    const history = await get<{ undo: string }>('history');
    expect(history.undo).toBe('new ladder of 3 scraps');
    await server.http.post('/api/undo').expect(200);
    expect(await get<unknown[]>('attempts?planId=plan-cape')).toHaveLength(1);
  });

  test.each([
    [{ counts: [{ check: 'bite', n: 12, short: 13, over: 0 }] }, 'attempts.2.counts.0.short'],
    [{ counts: [{ check: 'grip', n: 12, short: 1, over: 0 }] }, 'attempts.2.counts.0.check'],
    [{ settings: { ...settings, widthMm: 14 } }, 'attempts.2.settings.widthMm'],
  ])('with one wrong rung none is recorded, and the rung is named: %#', async (wrong, path) => {
    const { body } = await send(rungs(wrong)).expect(400);
    expect(body.error.issues.map((issue: { path: string }) => issue.path)).toContain(path);
    expect(await get<unknown[]>('attempts?planId=plan-cape')).toHaveLength(1);
  });

  test('none, too many, and a plan that is gone', async () => {
    await send({ attempts: [] }).expect(400);
    await send({ attempts: Array.from({ length: 13 }, () => rungs().attempts[0]) }).expect(400);
    await server.http.post('/api/plans/nowhere/attempts').send(rungs()).expect(400);
  });
});
