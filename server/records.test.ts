import { randomUUID } from 'node:crypto';
import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.stop());

const settings = { widthMm: 2.5, lengthMm: 1.8, needlePositionMm: 0.5, guideMm: -1 };
const scrap = (id?: string) => ({
  ...(id ? { id } : {}),
  planId: 'plan-cape',
  settings,
  counts: [{ check: 'bite', n: 24, short: 1, over: 0 }],
  note: 'third',
});
const get = async (path: string) => (await server.http.get(`/api/${path}`)).body;

describe('records', () => {
  test('a new database holds the demo wardrobe', async () => {
    expect(await get('projects')).toHaveLength(1);
    expect((await get('edges?projectId=project-lantern-parade')).length).toBeGreaterThanOrEqual(5);
    expect(await get('machines')).toHaveLength(3);
    expect(await get('feet')).toHaveLength(10);
    expect(await get('needles')).toHaveLength(4);
    expect(await get('threads')).toHaveLength(3);
    const flannel = await get('cloths/cloth-flannel');
    expect(flannel.properties).toMatchObject({ weightGsm: expect.closeTo(310, 6), estimated: [] });
  });

  test('a plan takes another finish whole, or not at all', async () => {
    const plan = await get('plans/plan-veil');
    const change = (patch: object) =>
      server.http.patch('/api/plans/plan-veil').send({ version: plan.version, ...patch });
    const half = await change({ finish: 'french-seam' });
    expect(half.status).toBe(400);
    expect(half.body.error.issues[0].path).toMatch(/^fold\./);
    const dialled = await change({
      finish: 'double-hem',
      fold: { variant: 'equal', depthMm: 10 },
      settings: { widthMm: 2, lengthMm: 2, needlePositionMm: 0, guideMm: -1 },
    });
    expect(dialled.status).toBe(400);
    expect(dialled.body.error.message).toContain('not with blind-woven');
    const whole = await change({
      finish: 'french-seam',
      fold: { variant: 'plain', seamAllowanceMm: 15, secondPassMm: 6 },
      settings: null,
      ticks: ['cut'],
      schools: { ends: 'tails' },
    });
    expect(whole.status).toBe(200);
    expect(await get('plans/plan-veil')).toMatchObject({
      finish: 'french-seam',
      ticks: ['cut'],
      schools: { ends: 'tails' },
    });
    const scrap = await server.http.post('/api/attempts').send({
      planId: 'plan-veil',
      settings: { widthMm: 2, lengthMm: 2, needlePositionMm: 0, guideMm: -1 },
      counts: [{ check: 'bite', n: 2, short: 0, over: 0 }],
      note: '',
    });
    expect(scrap.status).toBe(400);
    await server.http.post('/api/undo');
    expect(await get('plans/plan-veil')).toMatchObject({ finish: 'blind-hem', ticks: [] });
  });

  test('a stale write gets 409 and changes nothing', async () => {
    const { version } = await get('edges/edge-cape');
    const first = await server.http.patch('/api/edges/edge-cape').send({ version, name: 'One' });
    const second = await server.http.patch('/api/edges/edge-cape').send({ version, name: 'Two' });
    expect([first.status, second.status]).toEqual([200, 409]);
    expect(second.body.error.message).toContain('changed elsewhere');
    expect((await get('edges/edge-cape')).name).toBe('One');
  });

  test('of many writes at once with one version, exactly one is taken', async () => {
    const { version } = await get('edges/edge-cape');
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        server.http.patch('/api/edges/edge-cape').send({ version, name: `Writer ${i}` }),
      ),
    );
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
    expect(answers.filter(({ status }) => status === 409)).toHaveLength(11);
  });

  test.each([
    [
      'patch',
      'plans/plan-cape',
      { fold: { variant: 'flat', depthMm: 0, extensionMm: 8 } },
      'fold.depthMm',
    ],
    [
      'patch',
      'plans/plan-cape',
      { fold: { variant: 'flat', depthMm: 3000, extensionMm: 8 } },
      'fold.depthMm',
    ],
    [
      'patch',
      'plans/plan-cape',
      { fold: { variant: 'flat', depthMm: 20, extensionMm: 25 } },
      'fold.extensionMm',
    ],
    ['patch', 'plans/plan-cape', { footId: 'foot-nowhere' }, 'footId'],
    ['patch', 'plans/plan-cape', { settings: { ...settings, widthMm: 9 } }, 'settings'],
    ['patch', 'edges/edge-cape', { lengthMm: -3 }, 'lengthMm'],
    ['patch', 'edges/edge-cape', { tint: 'blue' }, 'tint'],
    ['patch', 'machines/machine-home', { specs: { widthStepMm: 0 } }, 'specs.widthStepMm'],
    [
      'post',
      'attempts',
      { ...scrap(), counts: [{ check: 'bite', n: 3, short: 2, over: 2 }] },
      'counts.0.short',
    ],
    [
      'post',
      'attempts',
      { ...scrap(), settings: { ...settings, widthMm: 9, needlePositionMm: 0 } },
      'settings',
    ],
    [
      'post',
      'attempts',
      { ...scrap(), counts: [{ check: 'wrap', n: 3, short: 2, over: 0 }] },
      'counts.0.check',
    ],
    [
      'patch',
      'attempts/scrap-cape-1',
      { counts: [{ check: 'wrap', n: 3, short: 2, over: 0 }] },
      'counts.0.check',
    ],
  ] as const)('%s %s is refused at its field: %#', async (method, path, body, field) => {
    const before = await get('plans/plan-cape');
    const versioned = method === 'patch' ? { version: (await get(path)).version, ...body } : body;
    const answer = await server.http[method](`/api/${path}`).send(versioned);
    expect(answer.status).toBe(400);
    expect(answer.body.error.issues.map((issue: { path: string }) => issue.path)).toContain(field);
    expect(await get('plans/plan-cape')).toEqual(before);
    expect(await get('history')).toEqual({ undo: null, redo: null });
  });

  test('what does not exist is a 404, in every direction', async () => {
    for (const path of ['edges/none', 'ribbons', 'ribbons/3', 'constructor', 'attempts/1/2']) {
      expect((await server.http.get(`/api/${path}`)).status).toBe(404);
    }
    expect(
      (await server.http.patch('/api/edges/none').send({ version: 1, name: 'x' })).status,
    ).toBe(404);
    expect((await server.http.delete('/api/edges/none?version=1')).status).toBe(404);
    expect((await server.http.get('/api/%E0%A4%A')).status).toBe(400);
  });

  test('a foreign host and a foreign page are turned away', async () => {
    const host = await server.http.get('/api/edges').set('Host', 'elsewhere.example');
    expect([host.status, host.body.error.code]).toEqual([403, 'foreign-host']);
    const page = await server.http.get('/api/edges').set('Origin', 'http://elsewhere.example');
    expect([page.status, page.body.error.code]).toEqual([403, 'foreign-origin']);
  });
});

describe('attempts', () => {
  test('sent twice, recorded once', async () => {
    const id = randomUUID();
    const first = await server.http.post('/api/attempts').send(scrap(id));
    const again = await server.http.post('/api/attempts').send(scrap(id));
    expect([first.status, again.status]).toEqual([201, 200]);
    expect(again.body).toEqual(first.body);
    expect(first.body).toMatchObject({ number: 2, names: { cloth: 'Wool flannel, slate' } });
    const other = { ...scrap(id), counts: [{ check: 'bite', n: 9, short: 0, over: 0 }] };
    expect((await server.http.post('/api/attempts').send(other)).status).toBe(409);
  });

  test('a scrap remembers the set-up it was sewn with', async () => {
    const { body } = await server.http.post('/api/attempts').send(scrap());
    const { version, specs } = await get('feet/foot-blind-fixed');
    const moved = { ...specs, guide: { atMm: -2 } };
    await server.http.patch('/api/feet/foot-blind-fixed').send({ version, specs: moved });
    expect((await get(`attempts/${body.id}`)).setUp.foot.guide).toEqual({ atMm: -1 });
  });
});

describe('undo', () => {
  test('a scrap leaves the dials where it was sewn, and both are taken back as one', async () => {
    const before = await get('plans/plan-veil');
    expect(before.settings).toBeNull();
    const sewn = { widthMm: 1.4, lengthMm: 2, needlePositionMm: 0.2, guideMm: -1 };
    await server.http
      .post('/api/attempts')
      .send({ ...scrap(), planId: 'plan-veil', settings: sewn });
    expect((await get('plans/plan-veil')).settings).toEqual(sewn);
    await server.http.post('/api/undo');
    expect((await get('plans/plan-veil')).settings).toBeNull();
    expect(await get('attempts?planId=plan-veil')).toEqual([]);
  });

  test('takes back and brings again every kind of change, in order', async () => {
    const before = await get('edges/edge-cape');
    await server.http
      .patch('/api/edges/edge-cape')
      .send({ version: before.version, lengthMm: 999 });
    await server.http.post('/api/attempts').send(scrap());
    await server.http.delete(`/api/edges/edge-veil?version=1`);
    expect(await get('plans?edgeId=edge-veil')).toEqual([]);

    expect((await server.http.post('/api/undo')).body.done).toContain('Veil');
    expect(await get('plans?edgeId=edge-veil')).toHaveLength(1);
    await server.http.post('/api/undo');
    expect(await get('attempts?planId=plan-cape')).toHaveLength(1);
    await server.http.post('/api/undo');
    expect((await get('edges/edge-cape')).lengthMm).toBe(before.lengthMm);
    expect((await server.http.post('/api/undo')).status).toBe(409);

    for (let i = 0; i < 3; i++) expect((await server.http.post('/api/redo')).status).toBe(200);
    expect((await get('edges/edge-cape')).lengthMm).toBe(999);
    expect(await get('attempts?planId=plan-cape')).toHaveLength(2);
    expect((await server.http.get('/api/edges/edge-veil')).status).toBe(404);
  });

  test('makes versions held elsewhere stale, and a new change ends what could be redone', async () => {
    const { version } = await get('edges/edge-cape');
    const changed = await server.http.patch('/api/edges/edge-cape').send({ version, name: 'New' });
    await server.http.post('/api/undo');
    const late = await server.http
      .patch('/api/edges/edge-cape')
      .send({ version: changed.body.version, name: 'Late' });
    expect(late.status).toBe(409);
    await server.http.post('/api/attempts').send(scrap());
    expect((await get('history')).redo).toBeNull();
  });

  test('what stands there already is no change: undo does not take it back, redo stays', async () => {
    const { version, lengthMm } = await get('edges/edge-cape');
    const fields = { lengthMm: 999, name: 'Cape' };
    const patch = (body: object) => server.http.patch('/api/edges/edge-cape').send(body);
    const { body: once } = await patch({ version, ...fields });
    // As a page sends it again whose first try landed after all.
    const twice = await patch({ version: once.version, ...fields });
    expect([twice.status, twice.body]).toEqual([200, once]);
    await server.http.post('/api/undo');
    const back = await get('edges/edge-cape');
    expect(back.lengthMm).toBe(lengthMm);
    await patch({ version: back.version, lengthMm });
    expect((await get('history')).redo).not.toBeNull();
  });

  test('a cloth in use stays, and says where it is used', async () => {
    const answer = await server.http.delete('/api/cloths/cloth-canvas?version=1');
    expect(answer.status).toBe(409);
    expect(answer.body.error.message).toContain('used by 1 edge');
  });
});

describe('the file', () => {
  test('everything is still there after a restart, with its journal', async () => {
    const { version } = await get('edges/edge-cape');
    await server.http.patch('/api/edges/edge-cape').send({ version, name: 'Kept' });
    await server.stop(true);
    server = await startServer(server.dataFolder);
    expect((await get('edges/edge-cape')).name).toBe('Kept');
    expect((await get('history')).undo).toContain('Kept');
    expect(await get('projects')).toHaveLength(1);
  });

  test('commits reach the disk before they are acknowledged', async () => {
    const { sequelize } = server.store.database;
    const pragma = async (name: string) => (await sequelize.query(`PRAGMA ${name}`))[0];
    expect(await pragma('journal_mode')).toEqual([{ journal_mode: 'wal' }]);
    const inTransaction = await sequelize.transaction(async (transaction) => {
      const ask = (name: string) => sequelize.query(`PRAGMA ${name}`, { transaction });
      return JSON.stringify([await ask('synchronous'), await ask('foreign_keys')]);
    });
    expect(inTransaction).toContain('"synchronous":2');
    expect(inTransaction).toContain('"foreign_keys":1');
  });
});
