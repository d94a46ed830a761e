import { randomUUID } from 'node:crypto';
import { request as httpRequest } from 'node:http';
import { personHeader, tabHeader } from '../contract/headers';
import type { ChangedEvent } from '../contract/event';
import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.stop());

const as = (person: string, tab = person) => ({ [personHeader]: person, [tabHeader]: tab });
const edge = async () =>
  (await server.http.get('/api/edges/edge-cape').expect(200)).body as {
    version: number;
    name: string;
    lengthMm: number;
  };
const patch = async (person: string, fields: object) =>
  server.http
    .patch('/api/edges/edge-cape')
    .set(as(person))
    .send({ version: (await edge()).version, ...fields })
    .expect(200);

describe('undo is one’s own', () => {
  test('it takes back the last change of whoever asks, and leaves what others did', async () => {
    await patch('ann', { name: 'Ann’s' });
    await patch('ben', { lengthMm: 2000 });
    const { body } = await server.http.post('/api/undo').set(as('ann')).expect(200);
    expect(body.done).toContain('name');
    expect(await edge()).toMatchObject({ name: 'Cape, lower edge', lengthMm: 2000 });
    await server.http.post('/api/undo').set(as('ann')).expect(409);
    await server.http.post('/api/redo').set(as('ann')).expect(200);
    expect(await edge()).toMatchObject({ name: 'Ann’s', lengthMm: 2000 });
    const { body: history } = await server.http.get('/api/history').set(as('ben')).expect(200);
    expect(history.undo).toContain('lengthMm');
  });

  test('where somebody built on it, it says so and changes nothing', async () => {
    await patch('ann', { name: 'Ann’s' });
    await patch('ben', { name: 'Ben’s' });
    const { body } = await server.http.post('/api/undo').set(as('ann')).expect(409);
    expect(body.error).toMatchObject({ code: 'built-on' });
    expect(body.error.message).toMatch(/name of edge “Ben’s” was changed since by somebody else/);
    expect(await edge()).toMatchObject({ name: 'Ben’s' });
  });

  test('a name that is none is refused', () =>
    server.http.get('/api/history').set(personHeader, 'a b/c').expect(400));
});

/** Listens to the line of changes. */
function listening(since?: string) {
  const { address } = server;
  let text = '';
  const asked = httpRequest(`${address}/api/events${since === undefined ? '' : `?since=${since}`}`);
  asked.on('response', (response) => {
    response.on('data', (part: Buffer) => (text += part.toString()));
    response.on('error', () => undefined);
  });
  asked.on('error', () => undefined);
  asked.end();
  const events = () =>
    [...text.matchAll(/^data: (.*)$/gm)].map(([, data]) => JSON.parse(data!) as ChangedEvent);
  const until = async (holds: () => boolean) => {
    for (let i = 0; i < 3000 && !holds(); i++) await new Promise((next) => setTimeout(next, 20));
    expect(holds()).toBe(true);
  };
  return {
    events,
    until,
    lastId: () => [...text.matchAll(/^id: (.*)$/gm)].at(-1)?.[1],
    begun: () => until(() => text.includes('listening')),
    end: () => asked.destroy(),
  };
}

describe('every tab hears of changes', () => {
  test('by whose tab and which record, within a second; after sleep it is told what it missed', async () => {
    const line = listening();
    await line.begun();
    await patch('ann', { name: 'One' });
    await line.until(() => line.events().length === 1);
    expect(line.events()[0]).toEqual({ tab: 'ann', records: [['edges', 'edge-cape']] });
    const known = line.lastId();
    line.end();
    await patch('ben', { name: 'Two' });
    await server.http.post('/api/undo').set(as('ben')).expect(200);
    const again = listening(known);
    await again.until(() => again.events().length === 2);
    expect(again.events().map(({ tab }) => tab)).toEqual(['ben', 'ben']);
    again.end();
  });

  test.each(['0badf00d-7', 'x', '../..'])(
    'one that knew another run, %s, asks for all anew',
    async (since) => {
      const line = listening(since);
      await line.until(() => line.events().length === 1);
      expect(line.events()).toEqual([{ tab: '', records: null }]);
      line.end();
    },
  );
});

describe('what holds whoever writes', () => {
  const scrap = (patchOf: object = {}) => ({
    ...{ id: randomUUID(), planId: 'plan-cape', note: '' },
    settings: { widthMm: 2.2, lengthMm: 1.8, needlePositionMm: 0.4, guideMm: -1 },
    counts: [{ check: 'bite', n: 24, short: 1, over: 0 }],
    ...patchOf,
  });
  const plan = async (id: string) => (await server.http.get(`/api/plans/${id}`)).body;

  test('a plan keeps no scrap of another edge, and none that is gone', async () => {
    const { version } = await plan('plan-cape');
    await server.http
      .patch('/api/plans/plan-cape')
      .send({ version, keptAttemptId: 'scrap-tunic-1' })
      .expect(400);
    const own = await plan('plan-cape');
    await server.http
      .patch('/api/plans/plan-cape')
      .send({ version: own.version, keptAttemptId: 'scrap-cape-1' })
      .expect(200);
    const kept = (await server.http.get('/api/attempts/scrap-cape-1')).body;
    await server.http.delete(`/api/attempts/scrap-cape-1?version=${kept.version}`).expect(204);
    expect((await plan('plan-cape')).keptAttemptId).toBeNull();
  });

  test('a scrap that comes back gets a number of its own', async () => {
    const { body: first } = await server.http.get('/api/attempts/scrap-cape-1');
    await server.http.delete(`/api/attempts/scrap-cape-1?version=${first.version}`).expect(204);
    await server.http.post('/api/attempts').set(as('ben')).send(scrap()).expect(201);
    await server.http.post('/api/undo').expect(200);
    const { body } = await server.http.get('/api/attempts?planId=plan-cape');
    const numbers = (body as { number: number }[]).map(({ number }) => number).sort();
    expect(numbers).toEqual([1, 2]);
  });

  test('one id with another content is refused, the same twice is one', async () => {
    const one = scrap();
    await server.http.post('/api/attempts').send(one).expect(201);
    await server.http.post('/api/attempts').send(one).expect(200);
    await server.http
      .post('/api/attempts')
      .send({ ...one, note: 'another' })
      .expect(409);
  });
});

describe('who gets in', () => {
  test.each(['cross-site', 'same-site'])('a page of another site, %s, may not even read', (site) =>
    server.http.get('/api/book').set('Sec-Fetch-Site', site).expect(403),
  );

  test('a name with what can’t be seen is refused at its field', async () => {
    const { body } = await server.http
      .post('/api/projects')
      .send({ name: 'Lan\u202etern', note: '' })
      .expect(400);
    expect(body.error.issues).toMatchObject([{ path: 'name' }]);
  });
});

test('health tells when the file is another one', async () => {
  expect((await server.http.get('/api/health').expect(200)).body).toEqual({ ok: true });
  const { file } = server.store.database;
  const { renameSync } = await import('node:fs');
  renameSync(file, `${file}-away`);
  const { body, headers } = await server.http.get('/api/health').expect(503);
  expect(body.error).toMatchObject({ code: 'folder-gone' });
  expect(headers['retry-after']).toBeDefined();
  await server.http.post('/api/projects').send({ name: 'New', note: '' }).expect(503);
  renameSync(`${file}-away`, file);
  await server.http.get('/api/health').expect(200);
  await server.http.post('/api/projects').send({ name: 'New', note: '' }).expect(201);
});
