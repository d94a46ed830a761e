import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.stop());

const get = async (path: string) => (await server.http.get(`/api/${path}`)).body;
const draft = {
  projectId: 'project-lantern-parade',
  ...{ name: 'Side', on: 'bag', clothId: 'cloth-canvas', shape: 'straight', lengthMm: 640 },
  ...{ minRadiusMm: null, turnDegrees: null, passesOverMm: null, crossings: [] },
};

describe('edges', () => {
  test('a new edge has no finish until one is taken', async () => {
    const { status, body: edge } = await server.http
      .post('/api/edges')
      .send({ ...draft, shape: 'tube' });
    expect(status).toBe(201);
    const [plan] = await get(`plans?edgeId=${edge.id}`);
    expect(edge).toMatchObject({ purpose: 'hem', oldHem: null, pair: 'alone', depthMm: null });
    expect(plan).toMatchObject({ finish: null, settings: null, needleSize: 90 });
    const patch = (body: object) =>
      server.http.patch(`/api/plans/${plan.id}`).send({ version: plan.version, ...body });
    const settings = { widthMm: 2, lengthMm: 2, needlePositionMm: 0, guideMm: -1 };
    const early = await patch({ settings }).expect(400);
    expect(early.body.error.issues[0]).toMatchObject({ path: 'settings' });
    const scrap = { planId: plan.id, settings, counts: [], note: 'looked at' };
    const { body } = await server.http.post('/api/attempts').send(scrap).expect(409);
    expect(body.error).toMatchObject({ code: 'no-finish' });
    await server.http.get(`/api/plans/${plan.id}/gauge.pdf`).expect(409);
    await server.http.get(`/api/plans/${plan.id}/worked`).expect(200);
    const taken = await patch({
      finish: 'double-hem',
      fold: { variant: 'equal', depthMm: 20 },
    }).expect(200);
    expect(taken.body.finish).toBe('double-hem');
    await server.http.post('/api/undo').expect(200);
    expect((await get(`plans/${plan.id}`)).finish).toBeNull();
  });

  describe('how an edge was measured', () => {
    const make = (patch: object) => server.http.post('/api/edges').send({ ...draft, ...patch });
    const patch = async ({ id, version }: { id: string; version: number }, body: object) =>
      server.http.patch(`/api/edges/${id}`).send({ version, ...body });
    const flare = { kind: 'flare', by: 'fraction', fraction: 0.5 };

    test('shape, length, radius and turn follow, and are no one’s to say beside it', async () => {
      const slant = { kind: 'slant', flatWidthMm: 230, left: { frontMm: 1010, backMm: 1010 } };
      const { body: leg } = await make({ form: { ...slant, right: null }, lengthMm: 99 }).expect(
        201,
      );
      expect(leg).toMatchObject({ shape: 'tube', lengthMm: 460, minRadiusMm: null });
      const { body: skirt } = await make({ form: flare, lengthMm: 2600 }).expect(201);
      expect(skirt).toMatchObject({ shape: 'outside-curve', lengthMm: 2600 });
      expect(skirt.minRadiusMm).toBeCloseTo(2600 / Math.PI, 9);
      const longer = await patch(skirt, { lengthMm: 5200 });
      expect(longer.body.minRadiusMm).toBeCloseTo(5200 / Math.PI, 9);
      const again = await patch(longer.body, { shape: 'straight', minRadiusMm: null });
      expect(again.body).toMatchObject({ shape: 'straight', form: null, minRadiusMm: null });
      await server.http.post('/api/undo').expect(200);
      expect(await get(`edges/${skirt.id}`)).toMatchObject({ form: flare, shape: 'outside-curve' });
    });

    test.each([
      [
        { kind: 'taper', rawFlatMm: 165, landingFlatMm: 190, seams: 2, insideAllowanceMm: 4 },
        'form.insideAllowanceMm',
      ],
      [{ ...flare, fraction: 9 }, 'form.fraction'],
      [{ kind: 'flare', by: 'hip', hipMm: 700, heightMm: 300 }, 'form.hipMm'],
      [{ kind: 'flare', by: 'guess' }, 'form.by'],
      [{ kind: 'round' }, 'form.kind'],
      [
        { kind: 'curved', curves: [{ fromMm: 600, toMm: 700, radiusMm: 90, side: 'outside' }] },
        'form.curves.0.toMm',
      ],
      [
        {
          kind: 'cornered',
          sides: [300, 200, 250, 200].map((lengthMm) => ({
            ...{ lengthMm, angleDegrees: 90, mitred: true },
          })),
        },
        'form.sides.3.lengthMm',
      ],
      [{ kind: 'curved', curves: [] }, 'form.curves'],
    ])('%j is refused at its field', async (form, path) => {
      const { body } = await make({ form }).expect(400);
      expect(body.error.issues[0].path).toBe(path);
    });

    test('a crossing is judged by the length that follows', async () => {
      const sides = [100, 100, 100, 100].map((lengthMm) => ({
        ...{ lengthMm, angleDegrees: 90, mitred: false },
      }));
      const crossings = [{ kind: 'open', atMm: 500, widthMm: 12 }];
      const { body } = await make({ form: { kind: 'cornered', sides }, crossings }).expect(400);
      expect(body.error.issues[0].path).toBe('crossings.0.atMm');
    });
  });

  describe('what an edge is for', () => {
    const make = (patch: object) => server.http.post('/api/edges').send({ ...draft, ...patch });
    const oldHem = { depthMm: 13, sewn: 'topstitched', keepLook: true };
    test.each([
      [
        'an allowance with a hem’s depth',
        { purpose: 'allowance', depthMm: 40 },
        'depthMm',
        /40 mm/,
      ],
      ['an allowance with an old hem', { purpose: 'allowance', oldHem }, 'oldHem', /hem/],
      ['a seam alone', { purpose: 'seam', seamAllowanceMm: 15 }, 'secondEdge', /second one/],
      [
        'a seam without its allowance',
        { purpose: 'seam', secondEdge: 'back' },
        'seamAllowanceMm',
        /15/,
      ],
      ['a hem joined to something', { secondEdge: 'back' }, 'secondEdge', /Only a seam/],
      [
        'an old hem deeper than the leg',
        { oldHem: { ...oldHem, depthMm: 400 } },
        'oldHem.depthMm',
        /up to 320 mm/,
      ],
      ['no purpose at all', { purpose: 'pocket' }, 'purpose', /hem, opening, allowance, seam/],
      ['an old hem sewn somehow', { oldHem: { ...oldHem, sewn: 'glued' } }, 'oldHem.sewn', /chain/],
    ])('%s is refused by name, and nothing is stored', async (_, patch, path, words) => {
      const before = await get('edges');
      const { body } = await make(patch).expect(400);
      expect(body.error.issues).toContainEqual(
        expect.objectContaining({ path, message: expect.stringMatching(words) }),
      );
      expect(await get('edges')).toEqual(before);
    });

    test('is kept with its state, changed, and undone', async () => {
      const { body: seam } = await make({
        ...{ purpose: 'seam', secondEdge: 'back, side', seamAllowanceMm: 15, pair: 'pair' },
      }).expect(201);
      const patched = await server.http
        .patch(`/api/edges/${seam.id}`)
        .send({ version: seam.version, purpose: 'hem', secondEdge: null, oldHem, joined: 'round' })
        .expect(200);
      expect(patched.body).toMatchObject({ purpose: 'hem', oldHem, joined: 'round' });
      await server.http.post('/api/undo').expect(200);
      expect(await get(`edges/${seam.id}`)).toMatchObject({ purpose: 'seam', oldHem: null });
    });

    test('a planned finish that it no longer serves is kept', async () => {
      const cape = await get('edges/edge-cape');
      await server.http
        .patch('/api/edges/edge-cape')
        .send({ version: cape.version, purpose: 'allowance' })
        .expect(200);
      expect((await get('plans/plan-cape')).finish).toBe('blind-hem');
      await server.http.post('/api/undo').expect(200);
    });
  });

  test('a crossing off its edge is refused by name, also when the edge is cut shorter', async () => {
    const edge = await get('edges/edge-trousers');
    const change = (patch: object) =>
      server.http.patch('/api/edges/edge-trousers').send({ version: edge.version, ...patch });
    const off = await change({ crossings: [{ kind: 'felled', atMm: 900, widthMm: 12 }] });
    expect(off.status).toBe(400);
    expect(off.body.error.issues[0]).toMatchObject({
      path: 'crossings.0.atMm',
      message: expect.stringContaining('0 to 460 mm'),
    });
    const short = await change({ lengthMm: 200 });
    expect(short.status).toBe(400);
    expect(short.body.error.issues[0].path).toBe('crossings.1.atMm');
    const kind = await change({ crossings: [{ kind: 'zip', atMm: 9, widthMm: 12 }] });
    expect(kind.body.error.issues[0].path).toBe('crossings.0.kind');
    expect(await get('edges/edge-trousers')).toEqual(edge);
  });
});
