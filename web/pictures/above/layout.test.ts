import fc from 'fast-check';
import { areaBetweenMm2, lengthThroughMm, type Point } from '../../../core/edge/course';
import { derivedOf } from '../../../core/edge/derived';
import type { EdgeForm } from '../../../core/edge/form';
import { mitreOf } from '../../../core/edge/mitre';
import { taperShare } from '../../../core/edge/taper';
import { edgeThings, usualEdge } from '../../../core/edge/things';
import { courseLayout, type DrawnEdge } from './course-layout';
import { boundsOf, type AboveLayout, type AreaKind, type LineKind } from './layout';
import { liesAsTube, tubeLayout } from './leg-layout';

const mm = (min: number, max: number) =>
  fc.integer({ min: min * 10, max: max * 10 }).map((tenths) => tenths / 10);

const drawn = (form: EdgeForm, lengthMm = 1000): DrawnEdge => ({
  ...derivedOf(form, lengthMm),
  ...{ form, joined: null, crossings: [] },
});
const laidOut = (edge: DrawnEdge, depthMm: number, allowanceMm: number): AboveLayout =>
  (liesAsTube(edge) ? tubeLayout : courseLayout)(edge, { depthMm, allowanceMm });
const line = ({ lines }: AboveLayout, kind: LineKind) =>
  lines.filter((it) => it.kind === kind).map(({ points }) => points);
const area = ({ areas }: AboveLayout, kind: AreaKind) =>
  areas.filter((it) => it.kind === kind).map(({ points }) => points);
const noted = ({ notes }: AboveLayout, kind: string) => notes.filter((it) => it.kind === kind);
const apart = (a: Point, b: Point) => Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm);

describe('every thing, as it usually is', () => {
  test.each(edgeThings)(
    'a %s is drawn with its finished edge, and nothing in it is no number',
    (thing) => {
      const edge = { ...usualEdge(thing), crossings: [] };
      for (const [depthMm, allowanceMm] of [
        [0, 0],
        [20, 28],
        [0, -6],
        [500, 500],
      ] as const) {
        const layout = laidOut(edge, depthMm, allowanceMm);
        expect(line(layout, 'finished').length).toBeGreaterThan(0);
        const all = [
          ...layout.areas.flatMap(({ points }) => points),
          ...layout.lines.flatMap(({ points }) => points),
          ...layout.notes.map(({ at }) => at),
        ];
        for (const { xMm, yMm } of all)
          expect(Number.isFinite(xMm) && Number.isFinite(yMm)).toBe(true);
        const { leftMm, rightMm, bottomMm, topMm } = boundsOf(layout);
        expect(rightMm).toBeGreaterThan(leftMm);
        expect(topMm).toBeGreaterThan(bottomMm);
        expect(area(layout, 'cut-off').length > 0).toBe(allowanceMm < 0);
        expect(line(layout, 'raw').length > 0).toBe(allowanceMm !== 0);
      }
    },
  );
});

describe('an edge as it runs', () => {
  test('its finished line is as long as the edge, to the thousandth', () => {
    fc.assert(
      fc.property(mm(300, 3000), fc.integer({ min: 5, max: 100 }), (lengthMm, percent) => {
        const layout = laidOut(
          drawn({ kind: 'flare', by: 'fraction', fraction: percent / 100 }, lengthMm),
          10,
          10,
        );
        const [finished] = line(layout, 'finished');
        expect(lengthThroughMm(finished!) / lengthMm).toBeCloseTo(1, 3);
      }),
    );
  });

  test('the hem is a band as deep as it lands, beside its own length', () => {
    fc.assert(
      fc.property(mm(600, 3000), mm(5, 30), (lengthMm, depthMm) => {
        const layout = laidOut(
          drawn({ kind: 'flare', by: 'fraction', fraction: 0.3 }, lengthMm),
          depthMm,
          0,
        );
        const [finished] = line(layout, 'finished');
        const [landing] = line(layout, 'landing');
        const bend = 2 * Math.PI * 0.3;
        const expected = lengthMm * depthMm - (depthMm * depthMm * bend) / 2;
        expect(areaBetweenMm2(finished!, landing!) / expected).toBeCloseTo(1, 2);
      }),
    );
  });

  test('an open edge lies with its ends level and its cloth above', () => {
    const edge = { ...usualEdge('shirt-tail'), crossings: [] };
    const layout = laidOut(edge, 6, 12);
    const [finished] = line(layout, 'finished');
    expect(finished!.at(-1)!.yMm).toBeCloseTo(finished![0]!.yMm, 6);
    const middle = (points: readonly Point[]) =>
      points.reduce((sum, { yMm }) => sum + yMm, 0) / points.length;
    expect(middle(line(layout, 'landing')[0]!)).toBeGreaterThan(middle(finished!));
    expect(middle(line(layout, 'raw')[0]!)).toBeLessThan(middle(finished!));
    expect(noted(layout, 'curve').map((note) => note.mm)).toEqual([110, 180, 180, 110]);
  });

  test('a mitre is drawn from the finished corner to both raw edges, at any corner', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 10 }), mm(6, 20), (corners, allowanceMm) => {
        const angleDegrees = 180 - 360 / corners;
        const sides = Array.from({ length: corners }, () => ({
          lengthMm: 300,
          angleDegrees,
          mitred: true,
        }));
        const layout = laidOut(drawn({ kind: 'cornered', sides }), allowanceMm, allowanceMm);
        const mitres = line(layout, 'mitre');
        expect(mitres).toHaveLength(2 * corners);
        const { seamMm } = mitreOf({ allowanceMm, angleDegrees });
        const [raw] = line(layout, 'raw');
        for (const [from, to] of mitres as [Point, Point][]) {
          expect(apart(from, to)).toBeCloseTo(seamMm, 6);
          // Its end lies on a raw edge: as far from two neighbouring raw corners as they are apart.
          const on = raw!.some((a, i) => {
            const b = raw![(i + 1) % raw!.length]!;
            return Math.abs(apart(a, to) + apart(to, b) - apart(a, b)) < 1e-6;
          });
          expect(on).toBe(true);
        }
      }),
    );
  });

  test('seams stand where they cross, and are told by number and place', () => {
    const crossings = [
      { kind: 'felled', atMm: 250, widthMm: 12 },
      { kind: 'open', atMm: 700, widthMm: 16 },
    ] as const;
    const straight = { ...usualEdge('other'), crossings };
    const layout = laidOut(straight, 20, 20);
    expect(line(layout, 'seam').map(([from]) => from!.xMm)).toEqual([250, 700]);
    expect(noted(layout, 'seam')).toMatchObject([
      { name: '1', mm: 250 },
      { name: '2', mm: 700 },
    ]);
  });

  test('a hem deeper than its curve is drawn as deep as the curve can be', () => {
    const layout = laidOut(drawn({ kind: 'flare', by: 'radius', radiusMm: 80 }, 300), 200, 10);
    const [landing] = line(layout, 'landing');
    expect(lengthThroughMm(landing!)).toBeLessThan(300);
    const [finished] = line(layout, 'finished');
    expect(apart(landing![0]!, finished![0]!)).toBeLessThan(80);
  });
});

describe('a leg as it lies flat', () => {
  test('its hemline runs at the slant, and what is longer hangs lower', () => {
    fc.assert(
      fc.property(mm(150, 400), mm(-60, 60), (flatWidthMm, longer) => {
        const left = { frontMm: 1000, backMm: 1000 + longer };
        const edge = drawn({ kind: 'slant', flatWidthMm, left, right: null });
        const [finished] = line(laidOut(edge, 40, 48), 'finished');
        const [front, back] = finished as [Point, Point];
        expect(back.xMm - front.xMm).toBeCloseTo(flatWidthMm, 6);
        expect(front.yMm - back.yMm).toBeCloseTo(longer, 6);
      }),
    );
  });

  test('hem and allowance are as deep as they are, measured square to the hemline', () => {
    const left = { frontMm: 1010, backMm: 1040 };
    const layout = laidOut(drawn({ kind: 'slant', flatWidthMm: 230, left, right: null }), 40, 48);
    const square = (kind: LineKind) => {
      const [a, b] = line(layout, 'finished')[0] as [Point, Point];
      const [p] = line(layout, kind)[0] as [Point];
      const length = apart(a, b);
      return ((b.xMm - a.xMm) * (p.yMm - a.yMm) - (b.yMm - a.yMm) * (p.xMm - a.xMm)) / length;
    };
    expect(square('landing')).toBeCloseTo(40, 6);
    expect(square('raw')).toBeCloseTo(-48, 6);
  });

  test('legs that differ lie beside each other, each with its name and marks', () => {
    const form: EdgeForm = {
      ...{ kind: 'slant', flatWidthMm: 220 },
      left: { frontMm: 1010, backMm: 1020 },
      right: { frontMm: 1000, backMm: 1016 },
    };
    const layout = laidOut(drawn(form), 40, 48);
    expect(noted(layout, 'leg').map(({ name }) => name)).toEqual(['left', 'right']);
    expect(noted(layout, 'mark').map((note) => note.mm)).toEqual([
      1010, 1015, 1020, 1000, 1008, 1016,
    ]);
    expect(noted(layout, 'snip')).toHaveLength(2);
  });

  test('a taper is as wide as it was measured, and its new sides share it', () => {
    fc.assert(
      fc.property(mm(120, 200), mm(1, 60), mm(10, 30), (rawFlatMm, missing, inside) => {
        const form: EdgeForm = {
          ...{ kind: 'taper', rawFlatMm, landingFlatMm: rawFlatMm + missing },
          ...{ seams: 2, insideAllowanceMm: inside },
        };
        const layout = laidOut(drawn(form), 40, 40);
        const width = (points: readonly Point[]) => Math.abs(points[1]!.xMm - points[0]!.xMm);
        expect(width(line(layout, 'raw')[0]!)).toBeCloseTo(rawFlatMm, 6);
        expect(width(line(layout, 'landing')[0]!)).toBeCloseTo(rawFlatMm + missing, 6);
        const { letOutMm, takeInMm } = taperShare(form);
        const [one, other] = line(layout, 'side') as [Point[], Point[]];
        expect(Math.abs(one[0]!.xMm - other[0]!.xMm)).toBeCloseTo(rawFlatMm + 2 * letOutMm, 6);
        expect(Math.abs(one[1]!.xMm - other[1]!.xMm)).toBeCloseTo(
          rawFlatMm + missing - 2 * takeInMm,
          6,
        );
      }),
    );
  });

  test('a tube shows the seams of both layers, the lower one dashed', () => {
    const crossings = [
      { kind: 'felled', atMm: 0, widthMm: 12 },
      { kind: 'open', atMm: 150, widthMm: 12 },
      { kind: 'open', atMm: 330, widthMm: 12 },
    ] as const;
    const tube = { ...usualEdge('sleeve'), lengthMm: 400, crossings };
    const layout = laidOut(tube, 20, 20);
    expect(line(layout, 'seam').map(([from]) => from!.xMm)).toEqual([0, 150]);
    // 330 of 400 lies on the other layer, 70 from where the round begins.
    expect(line(layout, 'under').map(([from]) => from!.xMm)).toEqual([70]);
    expect(noted(layout, 'length')).toMatchObject([{ mm: 200 }]);
  });
});
