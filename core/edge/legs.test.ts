import fc from 'fast-check';
import { mm } from './forms.fixture';
import { longerLeg, pairMarks, slantDegrees, slantMarks, slantTurn } from './slant';
import { deepestSharedMm, deepestUntaperedMm, taperSeam, taperShare } from './taper';

describe('a tapering leg', () => {
  const trousers = { rawFlatMm: 165.1, landingFlatMm: 190.5, seams: 2, insideAllowanceMm: 15 };

  test('an inch is missing: a quarter of it out and in at each of two seams', () => {
    const share = taperShare(trousers);
    expect(share.missingMm).toBeCloseTo(25.4, 6);
    expect(share.letOutMm).toBeCloseTo(6.35, 6);
    expect(share.takeInMm).toBeCloseTo(6.35, 6);
    expect(share).toMatchObject({ possible: true, half: true });
  });

  test('a narrow allowance gives what it has, and the rest is taken in', () => {
    const share = taperShare({ ...trousers, insideAllowanceMm: 10 });
    expect(share.letOutMm).toBe(4);
    expect(share.takeInMm).toBeCloseTo(8.7, 6);
    expect(share).toMatchObject({ possible: true, half: false });
    // Half and half it would do until out and in are 4 mm each.
    expect(deepestSharedMm({ ...trousers, insideAllowanceMm: 10 }, 40)).toBeCloseTo(25.197, 3);
  });

  test('as shallow as that, what is missing presses away', () => {
    // 25.4 of 190.5 at 40 mm; 2 % of 190.5 is missing at 6 mm.
    expect(deepestUntaperedMm(trousers, 40, 0.02)).toBeCloseTo(6, 6);
    expect(deepestUntaperedMm({ ...trousers, rawFlatMm: 190.5 }, 40, 0.02)).toBe(Infinity);
  });

  test('whatever is missing is shared whole, and straight through both seams', () => {
    const tapers = fc.record({
      rawFlatMm: mm(50, 400),
      landingFlatMm: mm(50, 400),
      seams: fc.integer({ min: 1, max: 4 }),
      insideAllowanceMm: mm(0, 40),
    });
    fc.assert(
      fc.property(tapers, mm(5, 100), (taper, depthMm) => {
        const share = taperShare(taper);
        const { missingMm, letOutMm, takeInMm } = share;
        expect(taper.seams * (letOutMm + takeInMm)).toBeCloseTo(Math.max(0, missingMm), 9);
        expect(letOutMm).toBeLessThanOrEqual(share.mostOutMm);
        const [raw, landing] = taperSeam(share, 2 * depthMm);
        // Halfway up, at the hemline, the new line crosses the old one where both ends share alike.
        const middle = (raw!.outMm + landing!.outMm) / 2;
        if (share.half) expect(middle).toBeCloseTo(0, 9);
        expect(landing!.fromRawMm).toBe(2 * depthMm);
      }),
    );
  });
});

describe('a slanted hemline', () => {
  const leg = { frontMm: 1010, backMm: 1022, flatWidthMm: 230 };

  test('its angle, marks and snip', () => {
    expect(slantDegrees(leg)).toBeCloseTo(2.9866, 4);
    expect(slantMarks(leg).map(({ mm: at }) => at)).toEqual([1010, 1016, 1022]);
    const turn = slantTurn(leg, 40);
    expect(turn.snipOpensMm).toBeCloseTo(8.325, 3);
    expect(turn).toMatchObject({ snipAt: 'front-crease', doubleAt: 'back-crease' });
    expect(slantTurn({ ...leg, backMm: 1000 }, 40).snipAt).toBe('back-crease');
    expect(slantTurn({ ...leg, backMm: 1010 }, 40)).toMatchObject({ snipOpensMm: 0, snipAt: null });
  });

  test('folded along a slant, the free edge misses the crease by half of what the snip opens', () => {
    fc.assert(
      fc.property(mm(-80, 80), mm(100, 400), mm(5, 100), (rise, flatWidthMm, depthMm) => {
        const slant = { frontMm: 900, backMm: 900 + rise, flatWidthMm };
        const theta = Math.atan2(rise, flatWidthMm);
        // The point on the crease, D below the hemline measured square to it, mirrored at the line.
        const [x, y] = [0, -depthMm / Math.cos(theta)];
        const [nx, ny] = [Math.sin(theta), Math.cos(theta)];
        const away = x * nx + y * ny;
        const mirroredX = x - 2 * away * nx;
        expect(away).toBeCloseTo(-depthMm, 9);
        const { snipOpensMm } = slantTurn(slant, depthMm);
        // The point that comes to lie D above on the crease's own line misses it by D·sin 2θ / cos θ
        // of the crease's slope; the model counts square to the hem.
        expect(Math.abs(mirroredX) * Math.cos(theta)).toBeCloseTo(snipOpensMm / 2, 6);
      }),
    );
  });

  test('marks of a pair mirror: the same on both layers, and each leg its own', () => {
    const pair = { left: leg, right: { ...leg, frontMm: 1004, backMm: 1018 } };
    const marks = pairMarks(pair, 50);
    expect(marks).toHaveLength(12);
    for (const side of ['left', 'right'] as const) {
      const of = (layer: string) =>
        marks.filter((it) => it.leg === side && it.layer === layer).map(({ mm: at }) => at);
      expect(of('outer')).toEqual(of('inner'));
    }
    expect(marks.every(({ mm: at, cutMm }) => cutMm === at + 50)).toBe(true);
    expect(longerLeg(pair, 'frontMm')).toEqual({ leg: 'left', byMm: 6 });
    expect(longerLeg({ left: leg, right: leg }, 'backMm')).toEqual({ leg: 'same', byMm: 0 });
  });
});
