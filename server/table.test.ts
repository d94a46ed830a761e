import { genericFeet } from '../core/kit/generic-feet';
import { genericMachines } from '../core/kit/generic-machines';
import { usualEdge } from '../core/edge/things';
import type { TableSet } from '../contract/set-table';
import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.stop());

const counts = async () => {
  const tables = ['projects', 'edges', 'plans', 'cloths', 'machines', 'feet', 'needles', 'threads'];
  const lists = await Promise.all(
    [...tables, 'attempts'].map(
      async (table) => (await server.http.get(`/api/${table}`)).body.length,
    ),
  );
  return lists as number[];
};
const demo = (here: boolean) => server.http.post('/api/demo').send({ here });

const machine = { name: 'My machine', specs: genericMachines.lockstitch, note: '' };
const feet = genericFeet.slice(0, 3).map(({ id: _id, ...foot }) => ({ ...foot, note: '' }));
const cloth = {
  name: 'Blue linen',
  weightClass: 'medium',
  tests: { construction: 'woven' },
  note: '',
};
const { ...sleeve } = usualEdge('sleeve');
const edge = {
  project: 'Tunic',
  draft: { ...sleeve, name: 'Sleeve', on: 'tunic', crossings: [] },
};

test('the demo is put away as a whole, and one undo brings it back as it was', async () => {
  const before = await counts();
  const { body } = await demo(false).expect(200);
  expect(body.kept).toEqual([]);
  expect(await counts()).toEqual(before.map(() => 0));
  await server.http.post('/api/undo').expect(200);
  expect(await counts()).toEqual(before);
  // Away, and back without undo: as on the first day.
  await demo(false);
  await demo(true).expect(200);
  expect(await counts()).toEqual(before);
  expect((await demo(true)).body.moved).toBe(0);
});

test('what one’s own edge uses of the demo stays, and is named', async () => {
  const project = (await server.http.post('/api/projects').send({ name: 'Mine', note: '' })).body;
  await server.http
    .post('/api/edges')
    .send({ ...edge.draft, projectId: project.id, clothId: 'cloth-linen' })
    .expect(201);
  const { body } = await demo(false).expect(200);
  const cloths = (await server.http.get('/api/cloths')).body as { id: string; name: string }[];
  expect(cloths.map(({ id }) => id)).toEqual(['cloth-linen']);
  expect(body.kept).toContain(cloths[0]!.name);
  expect((await server.http.get('/api/edges')).body).toHaveLength(1);
});

test('a table is set in one change, and taken back by one undo', async () => {
  await demo(false);
  const { status, body } = await server.http
    .post('/api/table')
    .send({ machine, feet, cloth, edge });
  expect(status).toBe(201);
  const set = body as TableSet;
  expect(set.footIds).toHaveLength(3);
  const made = (await server.http.get(`/api/edges/${set.edgeId}`)).body;
  expect(made).toMatchObject({ projectId: set.projectId, clothId: set.clothId, name: 'Sleeve' });
  await server.http.post('/api/undo').expect(200);
  expect(await counts()).toEqual([0, 0, 0, 0, 0, 0, 0, 0, 0]);
});

test('what is wrong is named where it stands, and nothing of it is kept', async () => {
  const before = await counts();
  const nothing = await server.http.post('/api/table').send({});
  expect(nothing.status).toBe(400);
  const odd = await server.http
    .post('/api/table')
    .send({ machine: { ...machine, specs: { ...machine.specs, maxWidthMm: 90 } } });
  expect(odd.body.error.issues[0].path).toBe('machine.specs.maxWidthMm');
  const clothless = await server.http.post('/api/table').send({ machine, edge });
  expect(clothless.status).toBe(400);
  const heavy = await server.http.post('/api/table').send({
    machine,
    cloth: {
      ...cloth,
      tests: { construction: 'woven', weight: { widthMm: 10, lengthMm: 10, grams: 1.4 } },
    },
  });
  expect(heavy.body.error.issues[0].path).toMatch(/^cloth\./);
  expect(await counts()).toEqual(before);
});
