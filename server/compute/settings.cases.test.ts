import { examplePlan } from '../../core/plan/example.fixture';
import { server } from './server.fixture';

const post = (name: string, body: object) => server.http.post(`/api/compute/${name}`).send(body);
const settings = { finish: 'blind-hem', ...examplePlan };

describe('settings over HTTP', () => {
  test.each([
    [
      'overcast',
      { variant: 'zigzag' },
      { pattern: 'zigzag', anchor: 'centre' },
      ['overhang', 'grip'],
      'guide',
    ],
    ['double-hem', { variant: 'equal', depthMm: 15 }, {}, ['catch'], 'guide'],
    ['rolled-hem', { variant: 'straight', channelMm: 3 }, {}, ['feed'], 'feed'],
    ['bound', { variant: 'double-fold', depthMm: 8 }, {}, ['front', 'back'], 'guide'],
    [
      'shell-edge',
      { variant: 'folded' },
      { pattern: 'shell', runStitches: 3 },
      ['overhang', 'run'],
      'guide',
    ],
    ['kept-hem', { variant: 'seams', shortenMm: 40 }, {}, ['ditch'], 'guide'],
    [
      'french-seam',
      { variant: 'plain', seamAllowanceMm: 15, secondPassMm: 6 },
      {},
      ['enclose'],
      'press',
    ],
  ])('settings of %s', async (id, fold, stitch, names, source) => {
    const { status, body } = await post('settings', {
      ...settings,
      finish: id,
      fold,
      stitch: { pattern: 'straight', anchor: 'centre', ...stitch },
    });
    expect(status).toBe(200);
    expect(body.checks.map(({ name }: { name: string }) => name)).toEqual(names);
    expect(body.checks[0].source).toBe(source);
    expect(body.clearanceMm).toBeGreaterThanOrEqual(0);
    expect(body.chance).toBeGreaterThanOrEqual(0);
    const { settings: dials } = body;
    expect(body.stitchesPerMetre).toBeCloseTo(1000 / dials.lengthMm, 9);
  });

  test.each([
    [3, [-1.5, 1.5], 'the slot of this foot, 3 mm; a gap up to 1.6 mm would fit'],
    [6, [-3, 3], 'the slot of this foot, 6 mm; a gap up to 4.6 mm would fit'],
  ])(
    'a twin needle of %d mm in a slot of %j is refused with what would fit',
    async (twinGapMm, slotMm, words) => {
      const { status, body } = await post('settings', {
        ...settings,
        finish: 'single-hem',
        fold: { variant: 'twin-needle', depthMm: 20 },
        foot: { slotMm, guidance: 'edge', guide: { atMm: -2 } },
        stitch: { pattern: 'straight', anchor: 'centre', twinGapMm },
      });
      expect(status).toBe(400);
      expect(body.error.issues[0]).toMatchObject({
        path: 'stitch.twinGapMm',
        message: `A twin needle of ${twinGapMm} mm is too wide for ${words}.`,
      });
    },
  );

  test('nor does it go through a straight-stitch plate', async () => {
    const { body } = await post('settings', {
      ...settings,
      finish: 'single-hem',
      fold: { variant: 'twin-needle', depthMm: 20 },
      machine: { ...settings.machine, plateHoleMm: [-1, 1] },
      stitch: { pattern: 'straight', anchor: 'centre', twinGapMm: 2 },
    });
    expect(body.error.issues[0].message).toMatch(/the hole in this plate/);
  });

  test('a machine whose length means the repeat is set to the repeat', async () => {
    const usual = (await post('settings', settings)).body;
    const { body } = await post('settings', {
      ...settings,
      machine: { ...settings.machine, maxLengthMm: 20, lengthMeans: 'repeat' },
    });
    expect(body.settings.lengthMm).toBeCloseTo(11, 6);
    expect(body.stitchesPerMetre).toBeCloseTo(6000 / 11, 6);
    expect(usual.settings.lengthMm).toBeCloseTo(1.8, 6);
  });
});
