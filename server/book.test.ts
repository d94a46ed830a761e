import type { RemovedEntry, WorkedBefore } from '../contract/book';
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

describe('the book', () => {
  test('pages, sorted and narrowed', async () => {
    const all = await book('?size=200');
    expect(all.total).toBe(all.rows.length);
    const days = all.rows.map(({ sewnOn }) => sewnOn ?? '');
    expect([...days].sort().reverse()).toEqual(days);
    const second = await book('?size=5&page=1');
    expect(second.rows.map(({ id }) => id)).toEqual(all.rows.slice(5, 10).map(({ id }) => id));
    const byCloth = (await book('?sort=cloth&dir=asc&size=200')).rows.map(
      ({ names }) => names.cloth,
    );
    expect([...byCloth].sort()).toEqual(byCloth);
    const faults = (await book('?sort=faults&size=200')).rows.map(({ counts }) => {
      const { n, short, over } = counts.at(-1)!;
      return (short + over) / n;
    });
    expect([...faults].sort((a, b) => b - a)).toEqual(faults);
  });

  test('what worked on this cloth, and with this foot', async () => {
    const denim = await book('?clothId=cloth-denim&verdict=keep');
    expect(denim.total).toBeGreaterThan(0);
    for (const row of denim.rows) {
      expect([row.clothId, row.verdict]).toEqual(['cloth-denim', 'keep']);
    }
    const foot = await book('?footId=foot-overcast');
    expect(new Set(foot.rows.map(({ footId }) => footId))).toEqual(new Set(['foot-overcast']));
  });

  test('words are looked for in names, finish and note; signs are taken as they are', async () => {
    expect((await book('?q=denim%20jeans')).rows.every((row) => row.finish === 'jeans-hem')).toBe(
      true,
    );
    expect((await book('?q=denim%20jeans')).total).toBeGreaterThan(0);
    expect((await book('?q=starched')).total).toBe(1);
    for (const sign of ['%25', '_', "'", '%5C', '"', ';--']) {
      expect((await book(`?q=${sign}zz`)).total).toBe(0);
    }
  });

  test.each([
    '?size=0',
    '?size=999',
    '?page=-1',
    '?sort=id',
    '?dir=up',
    '?hue=1',
    '?verdict=x',
    '?q=a&q=b',
  ])('%s is refused', async (query) => {
    const { body } = await server.http.get(`/api/book${query}`).expect(400);
    expect(body.error.issues.length).toBeGreaterThan(0);
  });

  test('what it can be narrowed to, with how many there are', async () => {
    const choices =
      await get<Record<string, { id: string; name: string; scraps: number }[]>>('book/choices');
    const { total } = await book();
    for (const list of Object.values(choices)) {
      expect(list.reduce((sum, { scraps }) => sum + scraps, 0)).toBe(total);
    }
    expect(choices['finishes']).toContainEqual(
      expect.objectContaining({ id: 'blind-hem', name: 'Blind hem' }),
    );
  });

  test('it outlives its edge, and is tied to it again when that comes back', async () => {
    const { version } = await get<{ version: number }>('edges/edge-cape');
    await server.http.delete(`/api/edges/edge-cape?version=${version}`).expect(204);
    const alone = await get<AttemptRecord>('attempts/scrap-cape-1');
    expect(alone).toMatchObject({ planId: null, finish: 'blind-hem' });
    expect((await book('?q=flannel&size=200')).rows.map(({ id }) => id)).toContain('scrap-cape-1');
    // Its note may still be mended, its counts not.
    await server.http
      .patch('/api/attempts/scrap-cape-1')
      .send({ version: alone.version, note: 'Kept.' })
      .expect(200);
    await server.http
      .patch('/api/attempts/scrap-cape-1')
      .send({ version: alone.version + 1, counts: [] })
      .expect(400);
    const [entry] = await get<RemovedEntry[]>('removed');
    await server.http.post(`/api/removed/${entry!.id}/restore`).expect(200);
    expect(await get<AttemptRecord>('attempts/scrap-cape-1')).toMatchObject({
      ...{ planId: 'plan-cape', note: 'Kept.' },
    });
  });

  test('three edges make a habit', async () => {
    expect(await get('book/usual')).toBeNull();
    for (const plan of ['plan-cape', 'plan-tunic', 'plan-tabard']) {
      await record({ planId: plan, verdict: 'keep', settings: { ...settings, widthMm: 2 } }).expect(
        201,
      );
    }
    // The tunic had three scraps before, the cape one, the tabard none.
    expect(await get('book/usual')).toEqual({ median: 2, middle: [1.5, 3], edges: 3 });
  });
});

describe('what was taken out', () => {
  const removeScrap = async (id: string) => {
    const { version } = await get<AttemptRecord>(`attempts/${id}`);
    await server.http.delete(`/api/attempts/${id}?version=${version}`).expect(204);
  };

  test('comes back after much else was changed, as a change of its own', async () => {
    await removeScrap('scrap-tunic-2');
    for (const note of ['a', 'b', 'c']) {
      const { version } = await get<{ version: number }>('projects/project-lantern-parade');
      await server.http
        .patch('/api/projects/project-lantern-parade')
        .send({ version, note })
        .expect(200);
    }
    const [entry] = await get<RemovedEntry[]>('removed');
    expect(entry).toMatchObject({ label: 'scrap 2', counts: { attempts: 1 } });
    await server.http.post(`/api/removed/${entry!.id}/restore`).expect(200);
    expect(await get<RemovedEntry[]>('removed')).toEqual([]);
    expect((await get<{ undo: string }>('history')).undo).toBe('bring back scrap 2');
    await server.http.post('/api/undo').expect(200);
    await server.http.get('/api/attempts/scrap-tunic-2').expect(404);
  });

  test('undo takes it off the list; a second restore changes nothing', async () => {
    await removeScrap('scrap-tunic-2');
    const [entry] = await get<RemovedEntry[]>('removed');
    await server.http.post('/api/undo').expect(200);
    expect(await get<RemovedEntry[]>('removed')).toEqual([]);
    await server.http.post(`/api/removed/${entry!.id}/restore`).expect(200);
    expect(await get<unknown[]>('attempts?planId=plan-tunic')).toHaveLength(3);
  });

  test('thirty days are kept however many changes come after; thirty-one are not', async () => {
    await removeScrap('scrap-tunic-2');
    const { changes } = server.store.database.models;
    const removal = await changes.findOne({ where: { removal: true } });
    const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString();
    await removal!.update({ at: ago(29) });
    // As if thousands of changes had come since: the next one forgets whatever may be forgotten.
    await server.store.database.sequelize.query(
      "UPDATE sqlite_sequence SET seq = 9000 WHERE name = 'changes'",
    );
    await record().expect(201);
    expect(await get<RemovedEntry[]>('removed')).toHaveLength(1);
    await removal!.update({ at: ago(31) });
    expect(await get<RemovedEntry[]>('removed')).toEqual([]);
    await server.http.post(`/api/removed/${String(removal!.get('id'))}/restore`).expect(404);
    await record({ note: 'one more' }).expect(201);
    expect(await changes.findByPk(Number(removal!.get('id')))).toBeNull();
  });

  test('what it hung on is gone: said, and nothing is half restored', async () => {
    const remove = async (path: string) => {
      const { version } = await get<{ version: number }>(path);
      await server.http.delete(`/api/${path}?version=${version}`).expect(204);
    };
    await remove('edges/edge-cape');
    await remove('projects/project-lantern-parade');
    const [project, edge] = await get<RemovedEntry[]>('removed');
    const { body } = await server.http.post(`/api/removed/${edge!.id}/restore`).expect(409);
    expect(body.error.message).toMatch(/project it belongs to/);
    await server.http.post(`/api/removed/${project!.id}/restore`).expect(200);
    await server.http.post(`/api/removed/${edge!.id}/restore`).expect(200);
    expect(await get<unknown[]>('attempts?planId=plan-cape')).toHaveLength(1);
  });

  test.each(['0', '-1', 'x', '99999', '1e3'])('no removal %s', (id) =>
    server.http.post(`/api/removed/${id}/restore`).expect(404),
  );
});

describe('what worked before', () => {
  test('a new plan finds its own set-up, and what of it carries over', async () => {
    const worked = await get<WorkedBefore>('plans/plan-trousers/worked');
    expect(worked.nearest[0]).toMatchObject({
      likeness: { cloth: 'same', machine: 'same', foot: 'same', distance: 0 },
      attempt: { finish: 'jeans-hem', verdict: 'keep' },
    });
    expect(worked.from.sameSetUp?.scraps).toBe(1);
    expect(worked.from.hand?.guidance).toBe('edge');
    expect(worked.carried.guide?.shift?.sdMm).toBeLessThan(0.5);
  });

  test('a foot used on several cloths has an offset of its own', async () => {
    const plan = await get<PlanRecord>('plans/plan-veil');
    await server.http
      .patch('/api/plans/plan-veil')
      .send({
        ...{ version: plan.version, machineId: 'machine-fine', footId: 'foot-blind-fixed' },
        settings: null,
      })
      .expect(200);
    const { from, carried } = await get<WorkedBefore>('plans/plan-veil/worked');
    expect(from.sameSetUp).toBeNull();
    expect(from.foot!.cloths).toBeGreaterThanOrEqual(4);
    // The demo's hand lets the fold run a quarter to the left on that foot.
    expect(from.foot!.mm).toBeLessThan(-0.05);
    expect(from.foot!.mm).toBeGreaterThan(-0.45);
    expect(carried.guide?.shift?.mm).toBe(from.foot!.mm);
  });

  test('its own scraps are not what worked elsewhere; a pin comes first', async () => {
    const { version } = await get<AttemptRecord>('attempts/earlier-1-3');
    await server.http
      .patch('/api/attempts/earlier-1-3')
      .send({ version, pinned: true })
      .expect(200);
    const worked = await get<WorkedBefore>('plans/plan-cape/worked');
    expect(worked.nearest[0]).toMatchObject({ pinnedHere: true, attempt: { id: 'earlier-1-3' } });
    expect(worked.nearest.map(({ attempt }) => attempt.planId)).not.toContain('plan-cape');
  });

  test('no plan, no answer', () => server.http.get('/api/plans/nowhere/worked').expect(404));
});

test('the skill of every kind of guidance, or that there is not enough yet', async () => {
  const skills =
    await get<{ guidance: string; now: { factor: number } | null; scraps: number }[]>('book/skill');
  const blade = skills.find(({ guidance }) => guidance === 'blade');
  expect(blade!.scraps).toBeGreaterThan(10);
  expect(blade!.now!.factor).toBeGreaterThan(0.5);
  expect(blade!.now!.factor).toBeLessThan(2);
  expect(skills.find(({ guidance }) => guidance === 'bar')).toMatchObject({ now: null, scraps: 2 });
});
