import { examplePlan } from '../../core/plan/example.fixture';
import { server } from './server.fixture';

const post = (name: string, body: object) => server.http.post(`/api/compute/${name}`).send(body);
const cloth = examplePlan.cloth;

describe('shape', () => {
  const asked = async (body: object) => (await post('shape', body).expect(200)).body;

  test('a taper', async () => {
    const trousers = { rawFlatMm: 165.1, landingFlatMm: 190.5, seams: 2, insideAllowanceMm: 15 };
    const answer = await asked({ kind: 'taper', ...trousers });
    expect(answer.missingMm).toBeCloseTo(25.4, 6);
    expect(answer.letOutMm).toBeCloseTo(6.35, 6);
    expect(answer.takeInMm).toBeCloseTo(6.35, 6);
    expect(answer.possible).toBe(true);
    const none = await asked({ kind: 'taper', ...trousers, insideAllowanceMm: 6, depthMm: 40 });
    expect(none).toMatchObject({ possible: false, letOutMm: 0, deepestMm: 0 });
  });

  test('a slant, and a pair', async () => {
    const leg = { frontMm: 1010, backMm: 1022 };
    const answer = await asked({ kind: 'slant', ...leg, flatWidthMm: 230, depthMm: 40 });
    expect(answer.angleDegrees).toBeCloseTo(2.987, 3);
    expect(answer.marks).toMatchObject([
      { place: 'front-crease', mm: 1010 },
      { place: 'seams', mm: 1016 },
      { place: 'back-crease', mm: 1022 },
    ]);
    expect(answer.snipOpensMm).toBeCloseTo(8.325, 3);
    const pair = await asked({
      ...{ kind: 'pair', flatWidthMm: 230, allowanceMm: 50 },
      ...{ left: leg, right: { frontMm: 1004, backMm: 1022 } },
    });
    expect(pair.longer).toEqual({
      front: { leg: 'left', byMm: 6 },
      back: { leg: 'same', byMm: 0 },
    });
    expect(pair.marks).toHaveLength(12);
  });

  test('a full circle in viscose', async () => {
    const circle = { kind: 'flare', lengthMm: 4400, circleFraction: 1, cloth };
    const answer = await asked({ ...circle, depthMm: 20 });
    expect(answer.radiusMm).toBeCloseTo(700.28, 2);
    expect(answer.fullnessPercent).toBeCloseTo(5.88, 2);
    expect(answer.deepestMm).toBeCloseTo(6.933, 3);
    expect(answer.deepestEasedMm).toBeCloseTo(20.397, 3);
    expect(answer).toMatchObject({ toleratedPercent: 2, how: 'ease' });
    expect((await asked({ ...circle, depthMm: 6 })).how).toBe('press');
    expect((await asked({ ...circle, depthMm: 40 })).how).toBe('narrower');
    expect((await asked({ ...circle, depthMm: 900 })).fullnessPercent).toBeNull();
  });

  test('a corner, a curve and an opening', async () => {
    const corner = await asked({ kind: 'corner', allowanceMm: 28, angleDegrees: 90 });
    expect(corner.sewLineFromCornerMm).toBeCloseTo(56, 9);
    expect(corner.trimFromCornerMm).toBeCloseTo(47.515, 3);
    const { releaseEveryMm } = await asked({ kind: 'curve', radiusMm: 70, marginMm: 0.7 });
    expect(releaseEveryMm).toBeCloseTo(19.8, 1);
    const neck = { kind: 'opening', lengthMm: 508, trimMm: 15, stretchPercent: 24, side: 'inside' };
    const answer = await asked({ ...neck, passesMm: 570 });
    expect(answer.openingMm).toBeCloseTo(602.25, 2);
    expect(answer.passes).toBe(true);
    expect((await asked({ ...neck, passesMm: 680 })).passes).toBe(false);
  });

  test.each([
    [{ kind: 'slant', frontMm: 900, backMm: 1000, flatWidthMm: 200, depthMm: 40 }, 'backMm'],
    [{ kind: 'corner', allowanceMm: 28, angleDegrees: 10 }, 'angleDegrees'],
    [{ kind: 'flare', lengthMm: 4400, depthMm: 20, cloth }, 'circleFraction'],
    [{ kind: 'flare', lengthMm: 900, radiusMm: 20, depthMm: 20, cloth }, 'radiusMm'],
    [{ kind: 'flare', lengthMm: 900, hipMm: 950, heightMm: 500, depthMm: 20, cloth }, 'hipMm'],
    [{ kind: 'opening', lengthMm: 300, trimMm: 90, stretchPercent: 0, side: 'outside' }, 'trimMm'],
    [{ kind: 'square' }, 'kind'],
    [
      { kind: 'taper', rawFlatMm: 0, landingFlatMm: 190, seams: 2, insideAllowanceMm: 9 },
      'rawFlatMm',
    ],
  ])('%j is refused at its field', async (body, path) => {
    const { status, body: answer } = await post('shape', body);
    expect(status).toBe(400);
    expect(answer.error.issues[0].path).toBe(path);
    expect(answer.error.message).not.toMatch(/[{}]|NaN|undefined/);
  });
});

describe('the same edge, where it matters to the folds and to what crosses it', () => {
  const circle = {
    lengthMm: 4400,
    form: { kind: 'flare', by: 'fraction', fraction: 1 },
  };
  const folds = (edge: object, depthMm = 20) =>
    post('folds', { finish: 'single-hem', variant: 'serged', depthMm, cloth, edge });

  test('folds: how long the raw edge is, where it lands, and what it takes', async () => {
    const { body } = await folds(circle).expect(200);
    expect(body.marks).toMatchObject([{ name: 'hemline', fromRawEdgeMm: 20 }]);
    const radius = 4400 / (2 * Math.PI);
    expect(body.onEdge.rawEdgeMm).toBeCloseTo((4400 * (radius + 20)) / radius, 6);
    expect(body.onEdge.landsOnMm).toBeCloseTo((4400 * (radius - 20)) / radius, 6);
    expect(body.onEdge.fullness).toMatchObject([{ kind: 'full', how: 'eased' }]);
    const taper = {
      ...{ kind: 'taper', rawFlatMm: 165.1, landingFlatMm: 190.5 },
      ...{ seams: 2, insideAllowanceMm: 15 },
    };
    const leg = (await folds({ lengthMm: 360, form: taper }, 40).expect(200)).body.onEdge;
    expect(leg).toMatchObject({ rawEdgeMm: 330.2, landsOnMm: 381 });
    expect(leg.taper.letOutMm).toBeCloseTo(6.35, 6);
    const plain = await post('folds', {
      finish: 'single-hem',
      variant: 'serged',
      depthMm: 20,
      cloth,
    });
    expect(plain.body).not.toHaveProperty('onEdge');
  });

  test('crossings: the perimeter, and curves and corners along it', async () => {
    const side = (lengthMm: number) => ({ lengthMm, angleDegrees: 90, mitred: true });
    const napkin = { kind: 'cornered', sides: [side(420), side(400), side(420), side(400)] };
    const { body } = await post('crossings', {
      ...{ cloth, layersAtStitch: 3, crossings: [] },
      edge: { lengthMm: 1000, form: napkin },
    }).expect(200);
    expect(body).toMatchObject({ lengthMm: 1640, closed: true });
    expect(body.hands.map(({ fromMm }: { fromMm: number }) => fromMm)).toEqual([
      ...[420, 820, 1240, 1640],
    ]);
    const tail = {
      kind: 'curved',
      curves: [{ fromMm: 60, toMm: 220, radiusMm: 70, side: 'outside' }],
    };
    const curved = await post('crossings', {
      ...{ cloth, layersAtStitch: 3, crossings: [], marginMm: 0.7 },
      edge: { lengthMm: 1200, form: tail },
    }).expect(200);
    expect(curved.body.hands).toMatchObject([
      { kind: 'curve', fromMm: 60, toMm: 220, everyMm: expect.closeTo(19.8, 1) },
    ]);
  });

  test('what cannot be is told at the field of the edge', async () => {
    const tail = {
      kind: 'curved',
      curves: [{ fromMm: 60, toMm: 50, radiusMm: 70, side: 'inside' }],
    };
    const wrong = await folds({ lengthMm: 1200, form: tail }).expect(400);
    expect(wrong.body.error.issues).toMatchObject([{ path: 'edge.form.curves.0.toMm' }]);
    const none = await post('crossings', { cloth, layersAtStitch: 3, crossings: [] }).expect(400);
    expect(none.body.error.issues).toMatchObject([{ path: 'lengthMm' }]);
    const unknown = await folds({ ...circle, colour: 'red' }).expect(400);
    expect(unknown.body.error.message).toContain('colour');
  });
});
