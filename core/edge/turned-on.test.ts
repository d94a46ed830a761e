import fc from 'fast-check';
import { lengthThroughMm, parallel, parallelLengthMm, placesOf } from './course';
import { fullnessesOf } from './fullness';
import { courseOf } from './form-course';
import { edgeOf, mm, sides } from './forms.fixture';
import type { CurvedForm, EdgeForm } from './form';
import { clipStopsShortMm, missesCurveMm, releaseCuts } from './release';
import { radiusOfRiseMm } from './three-points';
import { turnOnEdge } from './turned-on';

const woven = { construction: 'woven' } as const;
const tail: CurvedForm = {
  kind: 'curved',
  curves: [
    { fromMm: 60, toMm: 220, radiusMm: 110, side: 'outside' },
    { fromMm: 330, toMm: 480, radiusMm: 180, side: 'inside' },
  ],
};
const up = (depthMm: number, allowanceMm = depthMm) => ({ depthMm, allowanceMm });

describe('lines beside an edge', () => {
  test('are as long as they are when they are drawn', () => {
    const forms = fc.oneof(
      fc.constant<EdgeForm>(tail),
      fc
        .tuple(mm(200, 900), mm(200, 900))
        .map(([a, b]) => sides([a, 90], [b, 90], [a, 90], [b, 90])),
      fc
        .double({ min: 0.2, max: 1, noNaN: true })
        .map((fraction): EdgeForm => ({ kind: 'flare', by: 'fraction', fraction })),
    );
    fc.assert(
      fc.property(forms, mm(-40, 40), (form, inMm) => {
        const course = courseOf(edgeOf(form, 1200));
        const drawn = lengthThroughMm(parallel(placesOf(course), inMm));
        // Arcs are drawn in steps of under four degrees.
        expect(Math.abs(parallelLengthMm(course, inMm) - drawn)).toBeLessThan(drawn * 1e-3 + 0.1);
      }),
    );
  });

  test('a full circle: the raw edge and the landing, as the formula has them', () => {
    const circle = edgeOf({ kind: 'flare', by: 'fraction', fraction: 1 }, 4400);
    const turn = turnOnEdge(circle, up(20), woven);
    const radius = 4400 / (2 * Math.PI);
    expect(turn.rawEdgeMm).toBeCloseTo((4400 * (radius + 20)) / radius, 6);
    expect(turn.landsOnMm).toBeCloseTo((4400 * (radius - 20)) / radius, 6);
    expect(turn.fullness).toMatchObject([{ kind: 'full', way: 'eased' }]);
    expect(turn.cuts).toEqual([]);
  });

  test('a napkin: each side is cut longer by twice the allowance', () => {
    const napkin = edgeOf(sides([420, 90], [420, 90], [420, 90], [420, 90]));
    const turn = turnOnEdge(napkin, up(20, 28), woven);
    expect(turn.rawEdgeMm).toBeCloseTo(4 * (420 + 56), 9);
    expect(turn.landsOnMm).toBeCloseTo(4 * (420 - 40), 9);
    expect(turn.corners.map(({ sewLineFromCornerMm }) => sewLineFromCornerMm)).toEqual([
      ...[expect.closeTo(56, 9), expect.closeTo(56, 9), expect.closeTo(56, 9)],
      expect.closeTo(56, 9),
    ]);
  });
});

describe('what fits and what does not', () => {
  test('a shirt tail is too full in the one curve and too short in the other', () => {
    const kinds = fullnessesOf(edgeOf(tail, 1200), 10, woven).map(({ kind }) => kind);
    expect(kinds.sort()).toEqual(['full', 'short']);
    // Ten deep it is too full at 110 and too short at 180: both are cut into, each in its way.
    const cuts = turnOnEdge(edgeOf(tail, 1200), up(10), woven).cuts.map(({ kind }) => kind);
    expect(cuts).toEqual(['notches', 'clips']);
  });

  test('the worse comes first, whichever curve was named first', () => {
    fc.assert(
      fc.property(mm(20, 800), mm(20, 800), mm(3, 40), (out, round, depth) => {
        const form: CurvedForm = {
          kind: 'curved',
          curves: [
            { fromMm: 0, toMm: 40, radiusMm: out, side: 'outside' },
            { fromMm: 50, toMm: 90, radiusMm: round, side: 'inside' },
          ],
        };
        const [first, ...rest] = fullnessesOf(edgeOf(form, 1200), depth, woven);
        const other = { ...form, curves: [...form.curves].reverse() };
        expect(fullnessesOf(edgeOf(other, 1200), depth, woven)[0]).toEqual(first);
        const tooFull = rest.some((it) => it.kind === 'full' && it.way === 'too full');
        expect(tooFull).toBe(false);
      }),
    );
  });

  test('a leg that widens towards its raw edge is full, one that narrows is let out instead', () => {
    const leg = (rawFlatMm: number): EdgeForm => ({
      ...{ kind: 'taper', rawFlatMm, landingFlatMm: 190, seams: 2, insideAllowanceMm: 15 },
    });
    expect(turnOnEdge(edgeOf(leg(170)), up(40), woven)).toMatchObject({
      fullness: [{ kind: 'fits' }],
      taper: { missingMm: 20, letOutMm: 5, takeInMm: 5 },
      ...{ rawEdgeMm: 340, landsOnMm: 380 },
    });
    const wide = turnOnEdge(edgeOf(leg(198)), up(40), woven).fullness[0]!;
    expect(wide).toMatchObject({ kind: 'full', way: 'eased', share: expect.closeTo(8 / 190, 9) });
  });

  test('legs that taper differently are each shared on their own, and the fuller one is told', () => {
    const form: EdgeForm = {
      ...{ kind: 'taper', rawFlatMm: 170, landingFlatMm: 190, seams: 2, insideAllowanceMm: 15 },
      right: { rawFlatMm: 198, landingFlatMm: 190 },
    };
    const turn = turnOnEdge(edgeOf(form), up(40), woven);
    expect(turn.taper).toMatchObject({ missingMm: 20, letOutMm: 5 });
    expect(turn.rightTaper).toMatchObject({ missingMm: -8, letOutMm: 0, takeInMm: 0 });
    expect(turn.fullness[0]).toMatchObject({ kind: 'full', way: 'eased' });
    expect(turnOnEdge(edgeOf({ ...form, right: null }), up(40), woven).rightTaper).toBeNull();
  });

  test('a radius by three points: they lie on its circle', () => {
    fc.assert(
      fc.property(mm(20, 800), fc.double({ min: 0.05, max: 1, noNaN: true }), (across, share) => {
        const rise = (across / 2) * share;
        const radius = radiusOfRiseMm(across, rise);
        // The middle of the circle lies this far below the chord; both ends are a radius from it.
        expect(Math.hypot(across / 2, radius - rise)).toBeCloseTo(radius, 6);
      }),
    );
    expect(radiusOfRiseMm(100, 50)).toBeCloseTo(50, 9);
  });

  test('nothing is asked of an edge that is not turned', () => {
    const turn = turnOnEdge(edgeOf(tail, 1200), up(0, -6), woven);
    expect(turn).toMatchObject({ fullness: [{ kind: 'fits' }], cuts: [], corners: [] });
  });
});

describe('clips and notches', () => {
  test('never reach the line that holds, and leave the fold half a millimetre off at most', () => {
    fc.assert(
      fc.property(mm(15, 900), mm(2, 60), (radiusMm, turnedMm) => {
        const { everyMm, longMm, opensMm } = releaseCuts(radiusMm, turnedMm, 'inside');
        expect(longMm).toBeLessThanOrEqual(Math.max(0, turnedMm - clipStopsShortMm));
        // The chord between two clips, by its circle.
        const off = radiusMm - Math.sqrt(Math.max(0, radiusMm ** 2 - (everyMm / 2) ** 2));
        expect(off).toBeLessThan(missesCurveMm * 1.15);
        // All round, the clips open by what the raw edge is short of where it lands: 4πD.
        const cuts = (2 * Math.PI * radiusMm) / everyMm;
        expect(cuts * opensMm).toBeCloseTo(4 * Math.PI * turnedMm, 6);
      }),
    );
  });
});
