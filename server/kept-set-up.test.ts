import { edgeDraft, planDraft, type AttemptRecord, type PlanRecord } from '../contract/records';
import { asking } from './scraps.fixture';
import { resources } from './store/resources';
import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.stop());

const { record, book, get } = asking(() => server);

/** Changes a plan of the demo. */
async function patch(id: string, body: object) {
  const { version } = await get<PlanRecord>(`plans/${id}`);
  return server.http.patch(`/api/plans/${id}`).send({ version, ...body });
}

describe('what is kept of a set-up', () => {
  test('whatever is asked when a record is made can be changed later, but whose it is', () => {
    expect(resources['plans']?.patchable).toEqual(
      Object.keys(planDraft.shape).filter((field) => field !== 'edgeId'),
    );
    expect(resources['edges']?.patchable).toEqual(
      Object.keys(edgeDraft.shape).filter((field) => field !== 'projectId'),
    );
  });

  test('aim, thread, its colour and the reference are kept, and one undo each takes them back', async () => {
    const before = await get<PlanRecord>('plans/plan-cape');
    const wish = { aim: 'hide', thread: 'contrasting', threadColour: '#c8102e' };
    expect((await patch('plan-cape', wish)).body).toMatchObject(wish);
    await server.http.post('/api/undo').expect(200);
    expect((await get<PlanRecord>('plans/plan-cape')).aim).toBe(before.aim);
    const { body } = await patch('plan-apron', {
      ...{ footId: 'foot-zigzag', reference: 'right inner toe edge', settings: null },
      stitch: { pattern: 'zigzag', anchor: 'centre', runStitches: 1 },
    });
    expect(body).toMatchObject({ footId: 'foot-zigzag', reference: 'right inner toe edge' });
  });

  test('a reference that the foot has not is named with those it has, and nothing is kept', async () => {
    const before = await get<PlanRecord>('plans/plan-apron');
    const { status, body } = await patch('plan-apron', {
      ...{ footId: 'foot-zigzag', reference: 'the moon' },
    });
    expect(status).toBe(400);
    expect(body.error.issues[0].path).toBe('reference');
    expect(body.error.issues[0].message).toMatch(/the moon.*right inner toe edge/);
    expect(await get<PlanRecord>('plans/plan-apron')).toEqual(before);
  });

  test('a strip of a cloth that is not on the shelf is named, and nothing is kept', async () => {
    const before = await get<PlanRecord>('plans/plan-collar');
    const { status, body } = await patch('plan-collar', { stripClothId: 'cloth-of-the-moon' });
    expect(status).toBe(400);
    expect(body.error.issues[0].path).toBe('stripClothId');
    expect(await get<PlanRecord>('plans/plan-collar')).toEqual(before);
  });

  test('a cloth that a strip is cut from stays on the shelf', async () => {
    expect((await patch('plan-collar', { stripClothId: 'cloth-linen' })).status).toBe(200);
    const strips = (await get<{ clothId: string }[]>('edges')).filter(
      ({ clothId }) => clothId === 'cloth-linen',
    );
    // With every edge of it gone, the strip alone still uses it.
    for (const edge of strips as unknown as { id: string; version: number }[]) {
      await server.http.delete(`/api/edges/${edge.id}?version=${edge.version}`).expect(204);
    }
    const { version } = await get<{ version: number }>('cloths/cloth-linen');
    const { body } = await server.http
      .delete(`/api/cloths/cloth-linen?version=${version}`)
      .expect(409);
    expect(body.error).toMatchObject({ code: 'in-use' });
  });
});

describe('a scrap of a looped edge', () => {
  const measured = { beforeMm: 100, afterMm: 112, lockMm: 1.2 };
  const scrap = { planId: 'plan-lining', counts: [], dialValues: { differential: 1 } };
  const settings = async () => {
    const [last] = (await get<AttemptRecord[]>('attempts')).filter(
      ({ planId }) => planId === 'plan-lining',
    );
    return last?.settings ?? { widthMm: 5, lengthMm: 2.5, needlePositionMm: 0, guideMm: 0 };
  };

  test('is measured, kept, and can be measured again', async () => {
    const { body } = await record({ ...scrap, settings: await settings(), measured }).expect(201);
    expect(body.measured).toEqual(measured);
    const again = { ...measured, afterMm: 104 };
    const changed = await server.http
      .patch(`/api/attempts/${body.id}`)
      .send({ version: body.version, measured: again });
    expect(changed.status).toBe(200);
    expect(changed.body.measured).toEqual(again);
  });

  test('that grew longer than it can is refused where it was measured, and nothing is kept', async () => {
    const before = await book();
    const { body } = await record({
      ...{ ...scrap, settings: await settings() },
      measured: { ...measured, afterMm: 400 },
    }).expect(400);
    expect(body.error.issues[0].path).toBe('measured.afterMm');
    expect(body.error.issues[0].message).toMatch(/100 mm/);
    expect(await book()).toEqual(before);
  });

  test('is nothing that an edge without loopers can have', async () => {
    const { body } = await record({ measured }).expect(400);
    expect(body.error.issues[0].path).toMatch(/^measured/);
  });
});

describe('a scrap of another pass', () => {
  test('is recorded by the pass’s own set-up; one that the work has not is named', async () => {
    const { version } = await get<PlanRecord>('plans/plan-trousers');
    await server.http
      .patch('/api/plans/plan-trousers')
      .send({ version, finish: 'single-hem', fold: { variant: 'overcast', depthMm: 25 } })
      .expect(200);
    const before = await book();
    const { body } = await record({
      ...{ planId: 'plan-trousers', pass: 'gilding', counts: [], note: 'x' },
    }).expect(400);
    expect(body.error.issues[0].path).toBe('pass');
    expect(await book()).toEqual(before);
    const [known] = /it has ([\w-]+)/.exec(body.error.issues[0].message)?.slice(1) ?? [];
    expect(known).toBeDefined();
    const own = await record({
      ...{
        planId: 'plan-trousers',
        pass: known,
        counts: [],
        settings: { widthMm: 5, lengthMm: 2.5, needlePositionMm: 0, guideMm: 2.5 },
        note: 'overcast alone',
      },
    });
    expect(own.status).toBe(201);
    expect(own.body).toMatchObject({ pass: known });
    expect(own.body.finish).not.toBe('single-hem');
  });

  test('follows the way this person usually goes, as the page does', async () => {
    const mine = await get<{ version: number }>('preferences/mine');
    await server.http
      .patch('/api/preferences/mine')
      .send({ version: mine.version, schools: { 'raw-edge': 'serged' } })
      .expect(200);
    await patch('plan-trousers', {
      ...{ finish: 'blind-hem', fold: { variant: 'flat', depthMm: 30, extensionMm: 8 } },
      ...{ footId: 'foot-blind-fixed', settings: null },
      stitch: { pattern: 'blind-woven', anchor: 'right', runStitches: 5 },
    });
    const { status, body } = await record({
      ...{ planId: 'plan-trousers', pass: 'raw-edge', counts: [], note: 'serged alone' },
      settings: { widthMm: 5, lengthMm: 2.5, needlePositionMm: 0, guideMm: 0 },
    });
    expect([status, body.finish]).toEqual([201, 'serged']);
  });
});
