import fc from 'fast-check';
import { derivedOf } from './derived';
import { edgeIssues, joinIssues } from './edge-issues';
import type { EdgeForm } from './form';
import { formIssues } from './form-issues';
import { edgeOf, mm, sides } from './forms.fixture';
import { handZones } from './hands';
import { isClosed } from './shape';
import { edgeThings, usualEdge, usualForms } from './things';

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
