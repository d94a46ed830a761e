import fc from 'fast-check';
import { examplePlan } from '../../core/plan/example.fixture';
import { server } from './server.fixture';

const post = (name: string, body: object) => server.http.post(`/api/compute/${name}`).send(body);
const settings = { finish: 'blind-hem', ...examplePlan };

describe('wrong input to the compute API', () => {
  test('what is nested by the thousand is refused, on every route, and nothing breaks', async () => {
    for (const depth of [33, 4000, 60_000]) {
      for (const name of [
        'measure',
        'cloth',
        'folds',
        'crossings',
        'settings',
        'learn',
        'finishes',
      ]) {
        const { status, body } = await server.http
          .post(`/api/compute/${name}`)
          .set('Content-Type', 'application/json')
          .send('['.repeat(depth) + ']'.repeat(depth));
        expect([depth, name, status]).toEqual([depth, name, 400]);
        expect(body.error.message).toContain('nested more than 32 deep');
      }
    }
    const object = `${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}`;
    const imported = await server.http
      .post('/api/import/preview')
      .set('Content-Type', 'application/octet-stream')
      .send(object);
    expect(imported.status).toBe(400);
  });

  test('a body that is not JSON, none at all, and one of another type', async () => {
    const broken = await server.http
      .post('/api/compute/measure')
      .set('Content-Type', 'application/json')
      .send('{"text":');
    expect([broken.status, broken.body.error.code]).toEqual([400, 'not-json']);
    const none = await server.http.post('/api/compute/measure');
    expect([none.status, none.body.error.code]).toEqual([400, 'no-body']);
    const form = await server.http.post('/api/compute/measure').type('form').send('text=3');
    expect([form.status, form.body.error.code]).toEqual([415, 'not-json']);
    const large = await post('measure', { text: 'x'.repeat(300_000) });
    expect([large.status, large.body.error.code]).toEqual([413, 'too-large']);
  });

  test('whatever JSON is sent, nothing is ever a 500', async () => {
    const names = ['measure', 'cloth', 'folds', 'settings', 'learn'];
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...names), fc.jsonValue(), async (name, body) => {
        const { status } = await server.http
          .post(`/api/compute/${name}`)
          .set('Content-Type', 'application/json')
          .send(JSON.stringify(body));
        expect([200, 400]).toContain(status);
      }),
      { numRuns: 150 },
    );
  });

  test('a good request with one field gone wrong is never a 500 either', async () => {
    const wrong = fc.constantFrom<unknown>(null, '', -1, 0, 1e9, [], {}, 'x', true, [0, 0]);
    const where = fc.constantFrom(
      ...Object.entries(settings).flatMap(([key, value]) =>
        typeof value === 'object' && value !== null
          ? Object.keys(value).map((inner) => [key, inner])
          : [[key]],
      ),
    );
    await fc.assert(
      fc.asyncProperty(where, wrong, async (path, value) => {
        const request = structuredClone(settings) as Record<string, unknown>;
        const [outer = '', inner] = path;
        if (inner) (request[outer] as Record<string, unknown>)[inner] = value;
        else request[outer] = value;
        const { status } = await post('settings', request);
        expect([200, 400]).toContain(status);
      }),
      { numRuns: 200 },
    );
  });
});
