import { examplePlan } from '../../core/plan/example.fixture';
import { server } from './server.fixture';

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

  test.each<[string, object, object]>([
    ['single-hem', { depthMm: 25 }, { allowanceMm: 25, layersAtStitch: 2 }],
    ['double-hem', { depthMm: 20, turnMm: 8 }, { allowanceMm: 28, layersAtStitch: 3 }],
    ['jeans-hem', { depthMm: 13 }, { allowanceMm: 26, layersAtStitch: 3 }],
    ['wide-hem', { depthMm: 20, turnMm: 5 }, { allowanceMm: 25, feedMm: 25 }],
    ['rolled-hem', { channelMm: 4 }, { allowanceMm: 8, feedMm: 8.6, marks: [] }],
    [
      'kept-hem',
      { shortenMm: 50 },
      { allowanceMm: 0, trim: { needed: true, leaveMm: 15, cutAwayMm: 10 } },
    ],
    ['overcast', {}, { allowanceMm: 0, layersAtStitch: 1, marks: [] }],
    ['overcast', { variant: 'join', seamAllowanceMm: 6 }, { layersAtStitch: 2 }],
    ['serged', { seamAllowanceMm: 10 }, { allowanceMm: 10 }],
    ['serged-rolled', {}, { allowanceMm: 6, assumed: { seamAllowanceMm: 6, depthMm: 3 } }],
    ['bound', { depthMm: 10, seamAllowanceMm: 15 }, { allowanceMm: -15, cutting: 'bias' }],
    [
      'bound',
      { variant: 'fold-over-elastic', depthMm: 10, statedStripMm: null },
      { allowanceMm: 0, layersAtStitch: 3, cutting: 'none' },
    ],
    ['french-seam', { seamAllowanceMm: 15, secondPassMm: 6 }, { layersAtStitch: 4 }],
    ['shell-edge', { depthMm: 6 }, { allowanceMm: 6 }],
    ['fringe', { depthMm: 12 }, { allowanceMm: 12 }],
    ['pinked', {}, { allowanceMm: 0, marks: [] }],
  ])('folds of %s with %j', async (finish, wish, answer) => {
    const { status, body } = await post('folds', { finish, ...wish, cloth });
    expect(status).toBe(200);
    expect(body).toMatchObject(answer);
    for (const { fromRawEdgeMm, action, measuredFrom } of body.marks) {
      expect(fromRawEdgeMm).toBeGreaterThan(0);
      expect(['press', 'temporary', 'stitch', 'cut']).toContain(action);
      expect(['raw-edge', 'seam-line', 'first-seam']).toContain(measuredFrom);
    }
  });

  test('a binding’s strip', async () => {
    const { body } = await post('folds', { finish: 'bound', depthMm: 10, coreMm: 8, cloth });
    const core = 8 + 2 * 0.6;
    expect(body.stripWidthMm).toBeCloseTo(40 + (Math.PI / 2) * (core + 0.6) - (core + 1.2), 9);
  });

  test.each([
    ['double-hem', { depthMm: 10, turnMm: 12 }, 'turnMm', ['12', '10']],
    ['french-seam', { seamAllowanceMm: 10, secondPassMm: 9.5 }, 'secondPassMm', ['9.5', '10']],
    ['kept-hem', { shortenMm: 3 }, 'shortenMm', ['3', '6']],
    ['rolled-hem', { channelMm: 0 }, 'channelMm', ['0', '1 to 8']],
    ['bound', { depthMm: 1 }, 'depthMm', ['1 mm', '2.2']],
    ['bound', { variant: 'satin', depthMm: 8, turnMm: 12 }, 'depthMm', ['8', '12']],
    ['pinked', { depthMm: 4 }, 'depthMm', ['no use']],
    ['blind-hem', { depthMm: 40, extensionMm: 8, variant: 'frilled' }, 'variant', ['tacked']],
  ])('%s with %j is refused by both numbers', async (finish, wish, path, words) => {
    const { status, body } = await post('folds', { finish, ...wish, cloth });
    expect(status).toBe(400);
    expect(body.error.issues[0].path).toBe(path);
    for (const word of words) expect(body.error.issues[0].message).toContain(word);
  });

  test('settings of a finish without a margin say so', async () => {
    const { status, body } = await post('settings', {
      ...settings,
      finish: 'pinked',
      fold: { variant: 'plain' },
    });
    expect(status).toBe(400);
    expect(body.error.issues[0].message).toContain('starting values only');
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

  test('crossings', async () => {
    const { status, body } = await post('crossings', {
      cloth,
      layersAtStitch: 3,
      lengthMm: 420,
      crossings: [{ kind: 'felled', atMm: 100, widthMm: 12 }],
      closed: true,
      sole: { toeMm: 12, heelMm: 14 },
      presserLiftMm: 6,
    });
    expect(status).toBe(200);
    expect(body.profile.map(({ layers }: { layers: number }) => layers)).toEqual([3, 12, 3]);
    expect(body.maxStackMm).toBeCloseTo(12 * 0.6 * 0.7, 9);
    expect(body.passes).toBe(false);
    // 5.04 hammered to 3.53 goes under a foot that is pushed up to 8.
    expect(body.verdict).toBe('with-care');
    expect(body.hammeredMm).toBeCloseTo(12 * 0.6 * 0.7 * 0.7, 9);
    expect(body.startAtMm).toBeCloseTo(91, 9);
    expect(body.zones.map(({ kind }: { kind: string }) => kind)).toEqual([
      'handwheel',
      'shim-behind',
      'shim-front',
    ]);
  });

  test('crossings off the edge, of no kind, or without an edge are refused by name', async () => {
    const request = { cloth, layersAtStitch: 2, lengthMm: 420, closed: false };
    const ask = async (crossing: object, more: object = {}) =>
      (await post('crossings', { ...request, crossings: [crossing], ...more })).body.error
        .issues[0];
    expect(await ask({ kind: 'open', atMm: -1, widthMm: 5 })).toMatchObject({
      path: 'crossings.0.atMm',
      message: 'A crossing at -1 mm is off the edge; it can be at 0 to 420 mm.',
    });
    expect((await ask({ kind: 'zip', atMm: 1, widthMm: 5 })).path).toBe('crossings.0.kind');
    expect((await ask({ kind: 'open', atMm: 1, widthMm: 0 })).message).toContain('1 to 200');
    expect((await ask({ kind: 'open', atMm: 1, widthMm: 5 }, { presserLiftMm: 0 })).path).toBe(
      'presserLiftMm',
    );
    const lower = { presserLiftMm: 6, presserLiftHighMm: 5 };
    expect((await ask({ kind: 'open', atMm: 1, widthMm: 5 }, lower)).path).toBe(
      'presserLiftHighMm',
    );
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
      'too narrow for a size 80 needle; it needs 1.4 mm',
    ],
    [
      'settings',
      { ...settings, machine: { ...settings.machine, patterns: ['straight', 'zigzag'] } },
      'stitch.pattern',
      'This machine has no blind-woven stitch; it has straight, zigzag.',
    ],
    [
      'settings',
      { ...settings, machine: { ...settings.machine, patterns: ['cover-left'] } },
      'machine.patterns',
      'cannot have cover-left; it can have straight, zigzag',
    ],
    [
      'learn',
      {
        ...settings,
        samples: [
          {
            settings: { widthMm: 8, lengthMm: 2, needlePositionMm: 0, guideMm: -1 },
            check: 'bite',
            n: 9,
            short: 0,
            over: 0,
          },
        ],
      },
      'samples.0.settings.widthMm',
      'Width: 8 mm is past what there is; it can be from 0 to 7 mm.',
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
    expect(body.error.issues).toContainEqual(
      expect.objectContaining({ path, message: expect.stringContaining(words) }),
    );
    expect(JSON.stringify(body)).not.toMatch(/\.[tj]s:\d+/);
  });
});
