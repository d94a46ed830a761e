import { garmentKinds, type Garment } from '../core/garment/garment';
import type { Worktable } from '../contract/worktable';
import type { OrderedWork } from '../core/garment/work-of';
import type { EdgeRecord, PlanRecord, ProjectRecord } from '../contract/records';
import { beginsAt } from './print/evenings-calendar';
import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.stop());

const get = async <T>(path: string): Promise<T> =>
  (await server.http.get(`/api/${path}`).expect(200)).body as T;
const made = async (kind: string, clothId = 'cloth-ponte') =>
  server.http.post('/api/garments').send({ kind, name: 'For the parade', clothId });
const edgesOf = (projectId: string) => get<EdgeRecord[]>(`edges?projectId=${projectId}`);
const patched = async (project: ProjectRecord, garment: Partial<Garment>) =>
  server.http
    .patch(`/api/projects/${project.id}`)
    .send({ version: project.version, garment: { ...project.garment, ...garment } });

test.each(garmentKinds)('a %s begins with its edges and seams, in one change', async (kind) => {
  const { status, body } = await made(kind);
  expect(status).toBe(201);
  const project = body as ProjectRecord;
  const edges = await edgesOf(project.id);
  expect(edges.length).toBeGreaterThan(0);
  const ids = edges.map(({ id }) => id);
  for (const { edgeId, seamId } of project.garment!.meets) {
    expect(ids).toContain(edgeId);
    expect(edges.find(({ id }) => id === seamId)?.purpose).toBe('seam');
  }
  // Each kind's order is tried in `core/garment`; here that it comes over the wire.
  if (kind === 'tote') {
    const order = await get<OrderedWork>(`projects/${project.id}/order`);
    expect(order.unplanned).toEqual([]);
    expect(order.best.sequence).toHaveLength(order.tasks.length);
  }
  await server.http.post('/api/undo').expect(200);
  await server.http.get(`/api/projects/${project.id}`).expect(404);
  expect(await get<EdgeRecord[]>(`edges?projectId=${project.id}`)).toEqual([]);
});

test('what a garment can’t begin with is told at its field', async () => {
  const bad = await made('cape');
  expect(bad.status).toBe(400);
  expect(bad.body.error.issues[0]).toMatchObject({ path: 'kind' });
  const clothless = await made('tote', 'no-such-cloth');
  expect(clothless.status).toBe(400);
  expect(clothless.body.error.issues[0]).toMatchObject({ path: 'clothId' });
});

test('edges of elsewhere, seams that are none, and rings are refused by name', async () => {
  const project = (await made('tote')).body as ProjectRecord;
  const edges = await edgesOf(project.id);
  const of = (name: string) => edges.find((edge) => edge.name === name)!.id;
  const [top, sides] = [of('Top edge'), of('Sides and bottom')];
  const elsewhere = await patched(project, {
    meets: [{ edgeId: 'edge-cape', seamId: sides, edge: 'before' }],
  });
  expect(elsewhere.status).toBe(400);
  expect(elsewhere.body.error.issues[0].path).toBe('garment.meets.0.edgeId');
  const noSeam = await patched(project, { meets: [{ edgeId: sides, seamId: top, edge: 'after' }] });
  expect(noSeam.body.error.issues[0].message).toBe('“Top edge” is no seam.');
  const ring = await patched(project, {
    meets: [
      { edgeId: top, seamId: sides, edge: 'before' },
      { edgeId: top, seamId: sides, edge: 'after' },
    ],
  });
  expect(ring.status).toBe(400);
  expect(ring.body.error.issues[0].message).toMatch(
    /ring: Top edge before Sides and bottom before Top edge/,
  );
});

test('an edge that is gone leaves the rest of the garment as it was', async () => {
  const project = (await made('tote')).body as ProjectRecord;
  const [, top] = await edgesOf(project.id);
  await server.http.delete(`/api/edges/${top!.id}?version=${top!.version}`).expect(204);
  // What was kept for it says nothing meanwhile, and stands in nobody's way.
  expect((await patched(project, { ready: ['aid iron'] })).status).toBe(200);
  const order = await get<OrderedWork>(`projects/${project.id}/order`);
  expect(order.tasks.some(({ edgeId }) => edgeId === top!.id)).toBe(false);
});

test('a ring of single steps is told by edge and step, and is no fault of the server', async () => {
  const project = (await made('curtain')).body as ProjectRecord;
  const order = await get<OrderedWork>(`projects/${project.id}/order`);
  const [a, b] = order.tasks.filter(({ edgeId }) => edgeId !== null).map(({ id }) => id);
  expect((await patched(project, { before: [[b!, a!]] })).status).toBe(200);
  const { status, body } = await server.http.get(`/api/projects/${project.id}/order`);
  expect(status).toBe(400);
  expect(body.error.issues[0].message).toMatch(/^This order goes round in a ring: “Sides, /);
});

const evenings = {
  ...{ startOn: '2027-03-25', weekdays: [4, 0], fromTime: '19:30', minutes: 45 },
  timeZone: 'Europe/Vienna',
};

test('evenings come as a calendar in universal time, right over a change to summer time', async () => {
  const project = (await made('tote')).body as ProjectRecord;
  const none = await server.http.get(`/api/projects/${project.id}/evenings.ics`);
  expect(none.status).toBe(409);
  expect((await patched(project, { evenings })).status).toBe(200);
  const { text, headers } = await server.http
    .get(`/api/projects/${project.id}/evenings.ics`)
    .expect(200);
  expect(headers['content-type']).toMatch(/^text\/calendar/);
  expect(text.startsWith('BEGIN:VCALENDAR\r\n')).toBe(true);
  const starts = [...text.matchAll(/DTSTART:(\S+)/g)].map(([, start]) => start);
  // Thursday is still in winter, Sunday 28 March 2027 is the first day of summer time.
  expect(starts.slice(0, 2)).toEqual(['20270325T183000Z', '20270328T173000Z']);
  expect(new Set([...text.matchAll(/UID:(\S+)/g)].map(([, id]) => id)).size).toBe(starts.length);
  for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
});

test('a time that the clock jumps over is an hour later, in any zone', () => {
  const at = (day: string, fromTime: string, timeZone: string) =>
    beginsAt(day, { ...evenings, fromTime, timeZone }).toISOString();
  expect(at('2027-03-28', '02:30', 'Europe/Vienna')).toBe('2027-03-28T01:30:00.000Z');
  expect(at('2027-07-01', '19:30', 'Asia/Kathmandu')).toBe('2027-07-01T13:45:00.000Z');
  expect(at('2027-07-01', '19:30', 'America/St_Johns')).toBe('2027-07-01T22:00:00.000Z');
});

test('evenings that can’t be are told at their field', async () => {
  const project = (await made('tote')).body as ProjectRecord;
  for (const [field, value] of Object.entries({
    startOn: '2027-02-30',
    weekdays: [],
    fromTime: '25:00',
    minutes: 3,
    timeZone: 'Moon/Sea',
  })) {
    const { status, body } = await patched(project, { evenings: { ...evenings, [field]: value } });
    expect(status).toBe(400);
    expect(body.error.issues[0].path).toMatch(`garment.evenings.${field}`);
  }
});

test('what steps took is kept with their plan, and a pace comes of it', async () => {
  const plan = await get<PlanRecord>('plans/plan-cape');
  const took = { cut: { minutes: 4, usualMinutes: 2 } };
  const answer = await server.http
    .patch('/api/plans/plan-cape')
    .send({ version: plan.version, ticks: ['cut'], took });
  expect(answer.status).toBe(200);
  expect((await get<PlanRecord>('plans/plan-cape')).took).toEqual(took);
});

test('the worktable says of every edge what comes next', async () => {
  const { edges } = await get<Worktable>('worktable');
  const of = (edgeId: string) => edges.find((edge) => edge.edgeId === edgeId)!;
  expect(edges).toHaveLength((await get<EdgeRecord[]>('edges')).length);
  expect(of('edge-shirt').next).toEqual({ kind: 'scrap', number: 1, change: null });
  // Seven of twenty-four bites missed: a dial is to be turned before the second scrap.
  const cape = of('edge-cape');
  expect(cape).toMatchObject({ scraps: 1, keptNumber: null, next: { kind: 'scrap', number: 2 } });
  expect(cape.next).toHaveProperty('change.toMm', expect.any(Number));
  // Three scraps, the last two clean.
  expect(of('edge-tunic').next).toEqual({ kind: 'keep', number: 3 });
  const tunic = await get<PlanRecord>('plans/plan-tunic');
  await server.http
    .patch('/api/plans/plan-tunic')
    .send({ version: tunic.version, keptAttemptId: 'scrap-tunic-3', ticks: ['cut'] })
    .expect(200);
  const after = (await get<Worktable>('worktable')).edges;
  expect(after[0]).toMatchObject({
    ...{ edgeId: 'edge-tunic', keptNumber: 3, stepsDone: 1 },
    next: { kind: 'steps', left: expect.any(Number), minutes: expect.any(Number) },
  });
});

test('of a project its own edges alone; of none, a clear no', async () => {
  const project = (await made('curtain')).body as ProjectRecord;
  const { edges } = await get<Worktable>(`worktable?projectId=${project.id}`);
  expect(edges.map(({ next }) => next)).toEqual(edges.map(() => ({ kind: 'choose' })));
  expect(edges).toHaveLength(3);
  await server.http.get('/api/worktable?projectId=none').expect(404);
  await server.http.get('/api/worktable?edge=1').expect(400);
});
