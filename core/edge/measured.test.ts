import fc from 'fast-check';
import { areaBetweenMm2, gapMm, lengthThroughMm, parallel, placesOf } from './course';
import { derivedOf } from './derived';
import { radiusOfConeMm, radiusOfFractionMm } from './flare';
import type { CorneredForm, EdgeForm } from './form';
import { courseOf } from './form-course';
import { formIssues } from './form-issues';
import { handZones } from './hands';
import { edgeIssues, joinIssues } from './edge-issues';
import { mitreOf } from './mitre';
import { isClosed } from './shape';
import { edgeThings, usualEdge, usualForms } from './things';
import { longerLeg, pairMarks, slantDegrees, slantMarks, slantTurn } from './slant';
import { deepestSharedMm, deepestUntaperedMm, taperSeam, taperShare } from './taper';

const mm = (min: number, max: number) =>
  fc.integer({ min: min * 10, max: max * 10 }).map((tenths) => tenths / 10);

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

describe('a mitred corner', () => {
  test('2A at a right angle, trimmed 6 mm outside', () => {
    const { sewLineFromCornerMm, trimFromCornerMm } = mitreOf({
      allowanceMm: 28,
      angleDegrees: 90,
    });
    expect(sewLineFromCornerMm).toBeCloseTo(56, 9);
    expect(trimFromCornerMm).toBeCloseTo(56 - 6 * Math.SQRT2, 9);
  });

  test('turned in, the two ends of the sewing line come to lie on each other, at any angle', () => {
    fc.assert(
      fc.property(mm(5, 60), fc.integer({ min: 20, max: 160 }), (allowanceMm, angleDegrees) => {
        const { sewLineFromCornerMm, seamMm } = mitreOf({ allowanceMm, angleDegrees });
        const half = (angleDegrees * Math.PI) / 360;
        // The raw corner at 0, the bisector along x, one raw edge at half the angle above it.
        const along = [Math.cos(half), Math.sin(half)] as const;
        const inward = [Math.sin(half), -Math.cos(half)] as const;
        const point = along.map((part) => part * sewLineFromCornerMm);
        // Mirrored at the fold, which runs beside the raw edge so far inside.
        const folded = point.map((part, i) => part + 2 * allowanceMm * inward[i]!);
        expect(folded[1]).toBeCloseTo(0, 6);
        const finished = allowanceMm / Math.sin(half);
        expect(Math.hypot(point[0]! - finished, point[1]!)).toBeCloseTo(seamMm, 6);
      }),
    );
  });
});

describe('a flare', () => {
  test('a full circle, a half, and a cone', () => {
    expect(radiusOfFractionMm(4400, 1)).toBeCloseTo(700.28, 2);
    expect(radiusOfFractionMm(4400, 0.5)).toBeCloseTo(1400.56, 2);
    // A half circle from its waist to its hem is a cone.
    const [waist, length] = [Math.PI * 200, 500];
    expect(radiusOfConeMm(waist, Math.PI * (200 + length), length)).toBeCloseTo(700, 6);
  });
});

describe('how an edge runs', () => {
  const pieces = fc.array(
    fc.record({
      lengthMm: mm(20, 400),
      bendRadians: fc.integer({ min: -30, max: 30 }).map((it) => it / 20),
      cornerRadians: fc.constantFrom(0, 0, 0, 0.4, -0.4),
    }),
    { minLength: 1, maxLength: 6 },
  );

  test('as drawn it is as long as it was measured', () => {
    fc.assert(
      fc.property(pieces, (some) => {
        const places = placesOf({ pieces: some, closed: false });
        const length = some.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
        expect(places.at(-1)!.alongMm).toBeCloseTo(length, 6);
        const drawn = lengthThroughMm(parallel(places, 0));
        expect(drawn / length).toBeGreaterThan(0.999);
        expect(drawn).toBeLessThanOrEqual(length + 1e-6);
      }),
    );
  });

  test('the band’s area is length times depth, less or more what its curves and corners take', () => {
    fc.assert(
      fc.property(
        mm(300, 3000),
        mm(2, 40),
        fc.integer({ min: -60, max: 60 }),
        (lengthMm, depthMm, tenths) => {
          const bendRadians = tenths / 10;
          const places = placesOf({
            pieces: [{ lengthMm, bendRadians, cornerRadians: 0 }],
            closed: false,
          });
          // On an arc the band towards the cloth loses half of depth² times the turn.
          fc.pre(Math.abs(bendRadians) * depthMm < lengthMm / 2);
          const area = areaBetweenMm2(parallel(places, 0), parallel(places, depthMm));
          const expected = lengthMm * depthMm - (depthMm * depthMm * bendRadians) / 2;
          expect(area / expected).toBeCloseTo(1, 2);
        },
      ),
    );
  });

  test('a blanket closes, and so does a circle', () => {
    const blanket = sides([762, 90], [1016, 90], [762, 90], [1016, 90]);
    expect(gapMm(placesOf(courseOf(edgeOf(blanket))))).toBeLessThan(1e-6);
    const circle = courseOf({ ...edgeOf({ kind: 'flare', by: 'fraction', fraction: 1 }) });
    expect(circle.closed).toBe(true);
    expect(gapMm(placesOf(circle))).toBeLessThan(1e-6);
  });

  test('every regular figure closes, and its inner line is as much shorter as it turns', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 12 }), mm(50, 500), mm(1, 8), (corners, side, inMm) => {
        const angle = 180 - 360 / corners;
        const form = sides(...Array.from({ length: corners }, () => [side, angle] as const));
        const places = placesOf(courseOf(edgeOf(form)));
        expect(gapMm(places)).toBeLessThan(1e-6);
        const inner = lengthThroughMm(parallel(places, inMm));
        const lost = 2 * corners * inMm * Math.tan(Math.PI / corners);
        expect(inner).toBeCloseTo(corners * side - lost, 6);
      }),
    );
  });
});

const sides = (...all: (readonly [lengthMm: number, angleDegrees: number])[]): CorneredForm => ({
  kind: 'cornered',
  sides: all.map(([lengthMm, angleDegrees]) => ({ lengthMm, angleDegrees, mitred: true })),
});

const edgeOf = (form: EdgeForm, lengthMm = 4400) => ({
  ...derivedOf(form, lengthMm),
  joined: null,
  form,
});

describe('what follows from how an edge was measured', () => {
  test.each<[string, EdgeForm, object]>([
    [
      'a tapering leg',
      { kind: 'taper', rawFlatMm: 165, landingFlatMm: 190, seams: 2, insideAllowanceMm: 15 },
      { shape: 'tube', lengthMm: 355, minRadiusMm: null },
    ],
    [
      'a half circle',
      { kind: 'flare', by: 'fraction', fraction: 0.5 },
      { shape: 'outside-curve', turnDegrees: 180 },
    ],
    [
      'two circles',
      { kind: 'flare', by: 'fraction', fraction: 2 },
      { shape: 'circle', turnDegrees: 360 },
    ],
    [
      'a blanket',
      sides([762, 90], [1016, 90], [762, 90], [1016, 90]),
      { shape: 'cornered', lengthMm: 3556 },
    ],
    [
      'a shirt tail',
      {
        kind: 'curved',
        curves: [
          { fromMm: 100, toMm: 260, radiusMm: 90, side: 'outside' },
          { fromMm: 600, toMm: 700, radiusMm: 140, side: 'inside' },
        ],
      },
      { shape: 'outside-curve', minRadiusMm: 90 },
    ],
  ])('%s', (_, form, expected) => {
    expect(derivedOf(form, 4400)).toMatchObject(expected);
  });
});

describe('what cannot be', () => {
  const around = { lengthMm: 1000, closed: true, allowanceMm: 20 };
  const curve = (fromMm: number, toMm: number, radiusMm = 200) =>
    ({ fromMm, toMm, radiusMm, side: 'outside' }) as const;

  test.each<[string, EdgeForm, string, string]>([
    [
      'an allowance that gives nothing',
      { kind: 'taper', rawFlatMm: 165, landingFlatMm: 190, seams: 2, insideAllowanceMm: 5 },
      'form.insideAllowanceMm',
      'taper-gives-nothing',
    ],
    [
      'a slant steeper than is cut',
      { kind: 'slant', flatWidthMm: 200, left: { frontMm: 900, backMm: 1000 }, right: null },
      'form.left.backMm',
      'slant-too-steep',
    ],
    [
      'a hip wider than its hem',
      { kind: 'flare', by: 'hip', hipMm: 1000, heightMm: 600 },
      'form.hipMm',
      'no-flare',
    ],
    [
      'a circle that does not fit its length',
      { kind: 'flare', by: 'radius', radiusMm: 20 },
      'form.radiusMm',
      'circle-too-small',
    ],
    [
      'a curve that ends where it begins',
      { kind: 'curved', curves: [curve(300, 300)] },
      'form.curves.0.toMm',
      'marks-cross',
    ],
    [
      'curves inside one another',
      { kind: 'curved', curves: [curve(100, 300), curve(200, 400)] },
      'form.curves.1.fromMm',
      'marks-cross',
    ],
    [
      'a curve longer than its edge',
      { kind: 'curved', curves: [curve(900, 1100)] },
      'form.curves.0.toMm',
      'curve-longer-than-edge',
    ],
    [
      'a curve that goes round more than once',
      { kind: 'curved', curves: [curve(0, 900, 100)] },
      'form.curves.0.radiusMm',
      'more-than-round',
    ],
    [
      'sides that leave a gap',
      sides([300, 90], [200, 90], [250, 90], [200, 90]),
      'form.sides.3.lengthMm',
      'corners-do-not-close',
    ],
    [
      'a corner too sharp for a mitre',
      sides([300, 10], [300, 85], [300, 85]),
      'form.sides.0.angleDegrees',
      'no-mitre',
    ],
    [
      'mitres that reach into each other',
      sides([30, 90], [300, 90], [30, 90], [300, 90]),
      'form.sides.0.lengthMm',
      'mitres-meet',
    ],
  ])('%s is told at its field', (_, form, path, code) => {
    const [issue] = formIssues(form, around);
    expect(issue).toMatchObject({ path, code });
    expect(issue?.message).not.toMatch(/[{}]|NaN|undefined|Infinity/);
  });

  test('what is as it should be is let be', () => {
    expect(formIssues(sides([300, 90], [200, 90], [300, 90], [200, 90]), around)).toEqual([]);
    expect(formIssues({ kind: 'curved', curves: [curve(0, 1000, 200)] }, around)).toEqual([]);
  });
});

describe('what an edge usually is', () => {
  test.each(edgeThings)('a %s is an edge that can be', (thing) => {
    const edge = usualEdge(thing);
    const around = { lengthMm: edge.lengthMm, closed: isClosed(edge), allowanceMm: 12 };
    expect(edge.form ? formIssues(edge.form, around) : []).toEqual([]);
    expect(edgeIssues({ ...edge })).toEqual([]);
    expect(joinIssues(edge, edge)).toEqual([]);
    if (edge.form) expect(edge).toMatchObject(derivedOf(edge.form, edge.lengthMm));
  });

  test('one begins to measure an edge of any length with a form that can be', () => {
    fc.assert(
      fc.property(mm(200, 5000), (lengthMm) => {
        for (const form of Object.values(usualForms(lengthMm))) {
          const derived = derivedOf(form, lengthMm);
          const around = {
            lengthMm,
            closed: isClosed({ ...derived, joined: null }),
            allowanceMm: 12,
          };
          expect(formIssues(form, around)).toEqual([]);
        }
      }),
    );
  });
});

describe('what the hands do along an edge', () => {
  test('curves where they were measured, each with its own swing', () => {
    const form: EdgeForm = {
      kind: 'curved',
      curves: [
        { fromMm: 100, toMm: 260, radiusMm: 70, side: 'outside' },
        { fromMm: 500, toMm: 640, radiusMm: 140, side: 'inside' },
      ],
    };
    const [tight, wide] = handZones(edgeOf(form), 0.7);
    expect(tight).toMatchObject({ kind: 'curve', fromMm: 100, toMm: 260 });
    expect(tight?.everyMm).toBeCloseTo(19.8, 1);
    expect(wide?.everyMm).toBeCloseTo(28, 1);
    expect(handZones(edgeOf(form), null)[0]?.everyMm).toBeNull();
  });

  test('corners at the end of each side; a circle all the way; nothing on a straight edge', () => {
    const blanket = sides([762, 90], [1016, 90], [762, 90], [1016, 90]);
    expect(handZones(edgeOf(blanket), 1).map(({ fromMm }) => fromMm)).toEqual([
      762, 1778, 2540, 3556,
    ]);
    const circle: EdgeForm = { kind: 'flare', by: 'fraction', fraction: 1 };
    expect(handZones(edgeOf(circle), 1)).toMatchObject([{ kind: 'curve', fromMm: 0, toMm: 4400 }]);
    const straight = { ...edgeOf(circle), shape: 'straight', form: null } as const;
    expect(handZones({ ...straight, minRadiusMm: null, turnDegrees: null }, 1)).toEqual([]);
  });
});
