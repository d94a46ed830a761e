import { examplePlan } from '../../core/plan/example.fixture';
import { genericMachines } from '../../core/kit/generic-machines';
import { server } from './server.fixture';

const learn = (body: object) => server.http.post('/api/compute/learn').send(body);
const serged = {
  ...examplePlan,
  finish: 'serged',
  cloth: { ...examplePlan.cloth, construction: 'knit', stretchPercent: 35, recoveryPercent: 95 },
  fold: { variant: 'three-wide' },
  machine: genericMachines.overlocker,
  foot: { slotMm: [-8, 8], guidance: 'mark', guide: { atMm: 0 } },
  stitch: { pattern: 'overedge-three-wide', anchor: 'centre', runStitches: 1 },
};

describe('what a marked length says of the differential', () => {
  test.each([
    // 1.0 · 112/100 = 1.12: the nearest of the dial's steps.
    [100, 112, 1, 1.1, 'grew'],
    [100, 92, 1.3, 1.2, 'drew-in'],
    [200, 260, 1, 1.3, 'grew'],
  ])('%d mm that came out as %d at %d asks for %d', async (beforeMm, afterMm, at, to, last) => {
    const { body } = await learn({
      ...serged,
      samples: [{ beforeMm, afterMm, differential: at }],
    }).expect(200);
    expect(body.next.change).toMatchObject({ dial: 'differential', from: at, to });
    expect(body.differential).toMatchObject({ last, enough: false });
  });

  test('no difference is enough, and moves nothing', async () => {
    const { body } = await learn({
      ...serged,
      samples: [{ beforeMm: 100, afterMm: 100, differential: 1.2 }],
    }).expect(200);
    expect(body.next.change).toBeNull();
    expect(body.enough).toBe(true);
  });

  test.each([
    ['grown beyond what the cloth stretches', { afterMm: 150 }, 'samples.0.afterMm', /135 mm/],
    [
      'a differential the machine has not',
      { afterMm: 110, differential: 9 },
      'samples.0.differential',
      /2/,
    ],
    ['nothing after', { afterMm: -4 }, 'samples.0.afterMm', /./],
  ])('%s is refused where it stands', async (_, sample, path, words) => {
    const { status, body } = await learn({
      ...serged,
      samples: [{ beforeMm: 100, differential: 1, ...sample }],
    });
    expect(status).toBe(400);
    expect(body.error.issues[0].path).toBe(path);
    expect(body.error.issues[0].message).toMatch(words);
  });

  test('nothing is measured so on a machine without loopers', async () => {
    const { body } = await learn({
      ...examplePlan,
      finish: 'blind-hem',
      samples: [{ beforeMm: 100, afterMm: 104, differential: 1 }],
    }).expect(400);
    expect(body.error.issues[0].message).toMatch(/overlocker or a coverstitch/);
  });
});

describe('a sample with a set-up of its own', () => {
  const binding = {
    ...examplePlan,
    finish: 'bound',
    fold: { variant: 'double-fold', depthMm: 12 },
    foot: { slotMm: [-1.5, 1.5], guidance: 'blade', guide: { rangeMm: [-3, 3] } },
    stitch: { pattern: 'straight', anchor: 'centre' },
  };
  const settings = { widthMm: 0, needlePositionMm: 0, guideMm: 1.5, lengthMm: 2.4 };
  const sample = { settings, check: 'front', n: 24, short: 5, over: 0 };

  test('is judged by the depth it was sewn with, not by today’s', async () => {
    const today = await learn({ ...binding, samples: [sample] }).expect(200);
    const fold = { variant: 'double-fold', depthMm: 6 };
    const then = await learn({ ...binding, samples: [{ ...sample, fold }] }).expect(200);
    const asThen = await learn({ ...binding, fold, samples: [sample] }).expect(200);
    expect(then.body.shiftMm).toBeCloseTo(asThen.body.shiftMm, 9);
    expect(then.body.sigmaMm).toBeCloseTo(asThen.body.sigmaMm, 9);
    expect(today.status).toBe(200);
  });

  test('counts for a check that its set-up did not have are named, with those it had', async () => {
    const { body } = await learn({
      ...binding,
      samples: [{ ...sample, check: 'feed', fold: { variant: 'double-fold', depthMm: 6 } }],
    }).expect(400);
    expect(body.error.issues[0].path).toBe('samples.0.check');
    expect(body.error.issues[0].message).toMatch(/front/);
  });
});
