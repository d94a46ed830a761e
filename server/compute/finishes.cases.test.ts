import fc from 'fast-check';
import { cloths, edgeOf, evenWishes, fullKit } from '../../core/choose/cases.fixture';
import { server } from './server.fixture';

const { turnDegrees: _turn, ...edge } = edgeOf({});
const request = {
  cloth: cloths.shirting,
  edge,
  kit: {
    machines: fullKit.machines,
    feet: fullKit.feet.map(({ specs, ...foot }) => ({ ...foot, ...specs })),
  },
  wishes: evenWishes,
};
const post = (body: object) => server.http.post('/api/compute/finishes').send(body);

describe('finishes over HTTP', () => {
  test('a list, best first, each place with its reasons in words', async () => {
    const { status, body } = await post(request);
    expect(status).toBe(200);
    const scores = body.ranked.map(({ score }: { score: number }) => score);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
    for (const { reasons, minutes, minutesPerMetre, stackMm, score, group } of body.ranked) {
      expect(reasons.length).toBeGreaterThan(0);
      expect(minutesPerMetre).toBeGreaterThan(0);
      expect(stackMm).toBeGreaterThan(0);
      for (const { text, weight } of reasons) {
        expect(text).toMatch(/^[A-Z0-9].*\.$/);
        expect(text).not.toMatch(/[{}]|undefined|NaN/);
        expect(Number.isFinite(weight)).toBe(true);
      }
      const sum = reasons.reduce((all: number, { weight }: { weight: number }) => all + weight, 0);
      expect(sum).toBeCloseTo(score, 9);
      const metres = edge.lengthMm / 1000;
      expect(minutesPerMetre).toBeCloseTo(
        minutes.perMetreMinutes + minutes.onceMinutes / metres,
        9,
      );
      expect(group).toMatch(/^[a-z-]+$/);
    }
    const all = [...body.ranked, ...body.ruledOut];
    expect(all.length).toBeGreaterThanOrEqual(30);
    const out = body.ruledOut.find(({ variant }: { variant: string }) => variant === 'tacked');
    expect(out.wouldNeed).toContain('a foot: tacking-attachment');
  });

  test('a circle says how deep it could be', async () => {
    const { body } = await post({
      ...request,
      edge: { ...edge, shape: 'circle', lengthMm: 1130, circleFraction: 1, depthMm: 40 },
    });
    const deep = body.ruledOut.find(({ finish }: { finish: string }) => finish === 'single-hem');
    expect(deep.wouldNeed.join()).toMatch(/a turn of 6 mm at most on this flare/);
  });

  test('thick felt that no French seam can be folded of is ruled out, not refused', async () => {
    const { status, body } = await post({
      ...request,
      cloth: { ...cloths.felt, thicknessMm: 9 },
      edge: { ...edge, purpose: 'seam' },
    });
    expect(status).toBe(200);
    const seam = body.ruledOut.find(({ finish }: { finish: string }) => finish === 'french-seam');
    expect(seam.because.join()).toContain('leave no first pass');
  });

  test('what only serves another purpose is out, with that reason', async () => {
    const find = (body: { ruledOut: { finish: string; because: string[]; group: string }[] }) =>
      body.ruledOut.find(({ finish }) => finish === 'french-seam');
    const hem = (await post(request)).body;
    expect(find(hem)).toMatchObject({ because: ['It serves a seam, and this edge is a hem.'] });
    const seam = (await post({ ...request, edge: { ...edge, purpose: 'seam' } })).body;
    expect(find(seam)).toBeUndefined();
    expect(seam.ranked[0].finish).toBe('french-seam');
  });

  test('an old hem whose look is to stay is kept first; without one nothing is kept', async () => {
    const oldHem = { depthMm: 13, sewn: 'topstitched', keepLook: true };
    const { body } = await post({ ...request, edge: { ...edge, oldHem } });
    expect(body.ranked[0].finish).toBe('kept-hem');
    const out = (await post({ ...request, edge: { ...edge, oldHem: null } })).body.ruledOut;
    expect(out.some(({ finish }: { finish: string }) => finish === 'kept-hem')).toBe(true);
  });

  test.each([
    [{ purpose: 'allowance', depthMm: 40 }, 'edge.depthMm'],
    [{ oldHem: { depthMm: 900, sewn: 'chain', keepLook: false } }, 'edge.oldHem.depthMm'],
    [{ purpose: 'pocket' }, 'edge.purpose'],
    [{ oldHem: { depthMm: 20, sewn: 'glued', keepLook: true } }, 'edge.oldHem.sewn'],
  ])('%j is refused by name', async (patch, path) => {
    const { status, body } = await post({ ...request, edge: { ...edge, ...patch } });
    expect(status).toBe(400);
    expect(body.error.issues[0].path).toBe(path);
  });

  test('a wish beyond its range is refused by name', async () => {
    const { status, body } = await post({ ...request, wishes: { hidden: 2 } });
    expect(status).toBe(400);
    expect(body.error.issues[0]).toEqual({ path: 'wishes.hidden', message: 'It can be 0 to 1.' });
  });

  test('one field gone wrong is never a 500', async () => {
    const wrong = fc.constantFrom<unknown>(null, '', -1, 0, 1e9, [], {}, 'x', true, 0.1, 20);
    const parts = ['cloth', 'edge', 'wishes'] as const;
    const where = fc.constantFrom(
      ...parts.flatMap((part) => Object.keys(request[part]).map((key) => [part, key] as const)),
    );
    await fc.assert(
      fc.asyncProperty(where, wrong, async ([part, key], value) => {
        const body = { ...request, [part]: { ...request[part], [key]: value } };
        expect([200, 400]).toContain((await post(body)).status);
      }),
      { numRuns: 40 },
    );
  });

  test('an edge that was measured is ranked by what follows from that', async () => {
    const flare = { kind: 'flare', by: 'fraction', fraction: 1 };
    const { body: byForm } = await post({
      ...request,
      edge: { ...edge, lengthMm: 1130, form: flare },
    });
    const { body: bySums } = await post({
      ...request,
      edge: {
        ...{ ...edge, lengthMm: 1130, shape: 'circle', circleFraction: 1 },
        minRadiusMm: 1130 / (2 * Math.PI),
      },
    });
    expect(byForm.ranked).toEqual(bySums.ranked);
    expect(byForm.ruledOut).toEqual(bySums.ruledOut);
    const { body: straight } = await post({ ...request, edge: { ...edge, lengthMm: 1130 } });
    expect(byForm.ranked).not.toEqual(straight.ranked);
    const { status, body } = await post({
      ...request,
      edge: { ...edge, form: { kind: 'flare', by: 'radius', radiusMm: 10 } },
    });
    expect(status).toBe(400);
    expect(body.error.issues[0].path).toBe('edge.form.radiusMm');
  });
});
