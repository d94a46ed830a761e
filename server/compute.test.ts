import fc from 'fast-check';
import { examplePlan } from '../core/plan/example.fixture';
import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.stop());

const post = (name: string, body: object) => server.http.post(`/api/compute/${name}`).send(body);
const settings = { finish: 'blind-hem', ...examplePlan };
const cloth = examplePlan.cloth;

describe('the compute API', () => {
  test('measure', async () => {
    const { status, body } = await post('measure', { text: '1 1/2 in', unit: 'in', round: '1/16' });
    expect(status).toBe(200);
    expect(body).toMatchObject({ display: { in: '1 1/2', mm: '38.1' }, roundingErrorMm: 0 });
    expect(body.mm).toBeCloseTo(38.1, 9);
  });

  test('cloth', async () => {
    const { body } = await post('cloth', { construction: 'knit', sampleGrams: 3.2 });
    expect(body.weightGsm).toBeCloseTo(320, 6);
    expect(body.thicknessMm).toBeCloseTo(1, 6);
    expect(body.estimated).toContain('thicknessMm');
  });

  test('folds', async () => {
    const wish = { finish: 'blind-hem', variant: 'flat', depthMm: 40, extensionMm: 8 };
    const { body } = await post('folds', { ...wish, turnMm: null, channelMm: null, cloth });
    expect(body).toMatchObject({
      allowanceMm: 48,
      marks: [
        { name: 'hemline', fromRawEdgeMm: 48, action: 'press' },
        { name: 'temporary-fold', fromRawEdgeMm: 88, action: 'temporary' },
      ],
      layersAtStitch: 1,
      stitchFromHemlineMm: 40,
    });
  });

  test('folds takes what cloth answered', async () => {
    const answered = await post('cloth', { construction: 'woven', sampleGrams: 1.8 });
    const { status, body } = await post('folds', {
      finish: 'blind-hem',
      variant: 'enclosed',
      depthMm: 30,
      extensionMm: 6,
      turnMm: 10,
      cloth: { construction: 'woven', ...answered.body },
    });
    expect(status).toBe(200);
    expect(body.stackMm).toBeCloseTo(0.4 * 0.7, 9);
  });

  test('settings', async () => {
    const { body } = await post('settings', settings);
    expect(body.settings).toEqual({
      widthMm: 2,
      lengthMm: 1.8,
      needlePositionMm: 0.5,
      guideMm: -1,
    });
    expect(body.margin).toEqual({
      leftMm: expect.closeTo(0.3, 9),
      rightMm: expect.closeTo(0.6, 9),
      leftFault: 'missed',
      rightFault: 'shows',
    });
    expect(body.sigmaMm).toBeCloseTo(0.202, 9);
    expect(body.chance).toBeCloseTo(0.92976, 4);
    expect(body.stitchesPerMetre).toBeCloseTo(555.556, 2);
    expect(body.checks.map(({ name }: { name: string }) => name)).toEqual(['bite', 'run']);
  });

  test('learn', async () => {
    const sample = {
      settings: { widthMm: 2, lengthMm: 1.8, needlePositionMm: 0.5, guideMm: -1 },
      check: 'bite',
      n: 24,
      short: 7,
      over: 0,
    };
    const { body } = await post('learn', { ...settings, samples: [sample] });
    expect(body.next.change).toEqual({ dial: 'width', fromMm: 2, toMm: 2.5 });
    expect(body.shiftInterval[0]).toBeLessThan(body.shiftMm);
    expect(body.enough).toBe(false);
    expect(body.predicted.expectedFaults).toBeCloseTo(
      (1400 / (6 * 1.8)) * (1 - body.predicted.ok),
      6,
    );
  });

  test.each([
    ['measure', { text: 'wide', unit: 'in' }, 'text', 'not a length'],
    ['measure', { text: '3', unit: 'ell' }, 'unit', 'in, cm or mm'],
    ['cloth', { construction: 'woven', sampleGrams: 2, colour: 'red' }, 'colour', 'no field'],
    [
      'folds',
      { finish: 'blind-hem', variant: 'flat', depthMm: 0, extensionMm: 8, cloth },
      'depthMm',
      '3 to 500',
    ],
    [
      'folds',
      { finish: 'blind-hem', variant: 'flat', depthMm: 6, extensionMm: 8, cloth },
      'extensionMm',
      'wider than the hem',
    ],
    ['folds', { finish: 'ruffle', variant: 'flat', cloth }, 'finish', 'no finish'],
    [
      'settings',
      { ...settings, machine: { ...settings.machine, widthStepMm: 0 } },
      'machine.widthStepMm',
      '0.01 to 5',
    ],
    [
      'settings',
      { ...settings, fold: { ...settings.fold, extensionMm: 41 } },
      'fold.extensionMm',
      'wider than the hem of 40 mm',
    ],
    [
      'settings',
      { ...settings, foot: { ...settings.foot, guide: { rangeMm: [2, -2] } } },
      'foot.guide.rangeMm',
      'first number must be less',
    ],
    [
      'settings',
      { ...settings, foot: { ...settings.foot, slotMm: [-0.5, 0.5] } },
      'foot.slotMm',
      'clears the foot',
    ],
    [
      'settings',
      { ...settings, machine: { ...settings.machine, hue: 3 } },
      'machine.hue',
      'no field',
    ],
    ['learn', { ...settings, samples: [] }, 'samples', 'at least one'],
  ])('%s refuses at the field: %#', async (name, request, path, words) => {
    const { status, body } = await post(name, request);
    expect(status).toBe(400);
    expect(body.error.issues).toContainEqual({ path, message: expect.stringContaining(words) });
    expect(JSON.stringify(body)).not.toMatch(/\.[tj]s:\d+/);
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
        typeof value === 'object' ? Object.keys(value).map((inner) => [key, inner]) : [[key]],
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
