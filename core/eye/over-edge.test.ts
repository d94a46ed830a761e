import { eyeCases } from '../study/eye-cases';
import { drawnPhoto, type EyeCase } from '../study/drawn-photo';
import { eyeStudy } from '../study/eye-study';
import { evenDraws } from '../swatch/draw';
import { Impossible } from '../impossible';
import { coarser, toned } from './flatten';
import type { ScaledImage } from './grey';
import { measureScrap } from './measure';
import { rawEdges } from './raw-edge';

function kind(name: string): EyeCase {
  const found = eyeCases().find((one) => one.name === `raw edge, overcast, ${name}`);
  if (!found) throw new Error(`no case ${name}`);
  return { ...found, pxPerMm: 10 };
}

/** Cloth over paper, without a stitch; the edge runs down by so much on its way. */
function edgeOn(cloth: number, slope = 0): ScaledImage {
  const [width, height, pxPerMm] = [1000, 600, 10];
  const grey = Uint8Array.from({ length: width * height }, (_, at) => {
    const mixed = Math.sin(at * 12.9898) * 43758.5453;
    const noise = 6 * (mixed - Math.floor(mixed) - 0.5);
    const [x, y] = [at % width, Math.floor(at / width)];
    return (y < 320 + slope * (x - width / 2) ? cloth : 240) + noise;
  });
  return { width, height, pxPerMm, grey };
}

test.each([0, 0.06, -0.1])('a raw edge is found however it runs: %d', (slope) => {
  const [edge, ...others] = rawEdges(coarser(toned(edgeOn(120, slope)), 2));
  expect(others).toEqual([]);
  expect(edge!.paper).toBe(1);
  expect(edge!.angle).toBeCloseTo(Math.atan(slope), 2);
  // At x = 50 mm it lies at 32 mm; the middle is at 30.
  expect(edge!.acrossMm).toBeCloseTo(2 * Math.cos(Math.atan(slope)), 1);
});

// A thread darker than cloth and paper; one lighter than the cloth, which is darker on the paper.
test.each(['plain, dark thread, sharp', 'checked, soft'])(
  'swings over a raw edge have their overhang: %s',
  (name) => {
    const seen = eyeStudy(kind(name), 1, evenDraws(8));
    expect(seen).toMatchObject({ refused: 0, withinOneShare: 1, surelyWrong: 0, falseFinds: 0 });
    expect(seen.foundShare).toBeGreaterThan(0.95);
    expect(seen.depthErrorMm.median).toBeLessThan(0.06);
    expect(seen.depthErrorMm.nineOfTen).toBeLessThan(0.11);
    expect(seen.lengthErrorMm).toBeLessThan(0.03);
  },
);

test('an edge that was stretched is followed; its waves and the threads that stick out of it are told', () => {
  const edge = {
    ...{ waveMm: 1, everyMm: 24 },
    whiskers: [
      { alongMm: 20, lengthMm: 1, leanMm: 0.2 },
      { alongMm: 40, lengthMm: 3, leanMm: -0.5 },
      { alongMm: 70, lengthMm: 5, leanMm: 1 },
    ],
  };
  const it = kind('plain, light thread, soft');
  const photo = drawnPhoto({ ...it, look: { ...it.look, edge } }, evenDraws(9));
  const measured = measureScrap(photo.window, photo.expected)!;
  // A wave of 1 mm every 24 mm is longer by (2π/24)²/4 = 1.7 %.
  expect(measured.edge!.longerShare).toBeGreaterThan(0.013);
  expect(measured.edge!.longerShare).toBeLessThan(0.02);
  // The first is held: it ends among the stitches.
  const [one, other] = measured.edge!.whiskers.map(({ beyondMm }) => beyondMm).sort();
  expect(measured.edge!.whiskers).toHaveLength(2);
  expect(one).toBeCloseTo(3, 0);
  expect(other).toBeCloseTo(5, 0);
  // What was measured from follows the edge, and every swing lies where it was drawn.
  expect(measured.reference!.length).toBeGreaterThan(50);
  const swings = measured.stitches.filter(({ counted }) => counted);
  const off = photo.truth.map(({ atMm, depthMm }) => {
    const away = swings.map((swing) =>
      Math.hypot(swing.atMm[0] - atMm[0], swing.atMm[1] - atMm[1]),
    );
    const nearest = swings[away.indexOf(Math.min(...away))]!;
    return { away: Math.min(...away), depth: Math.abs(nearest.depthMm! - depthMm) };
  });
  const middle = (values: number[]) => values.toSorted((a, b) => a - b)[values.length >> 1]!;
  expect(middle(off.map(({ away }) => away))).toBeLessThan(0.2);
  expect(middle(off.map(({ depth }) => depth))).toBeLessThan(0.1);
});

test('what is wrong is said, and nothing is counted', () => {
  const { expected } = drawnPhoto(kind('coarse weave, soft'), evenDraws(5));
  const codeOf = (window: ScaledImage) => {
    try {
      return measureScrap(window, expected)?.counts ?? 'nothing';
    } catch (error) {
      if (error instanceof Impossible) return error.issues[0]?.code;
      throw error;
    }
  };
  expect(codeOf(edgeOn(120))).toBe('no-stitch');
  // As white as the paper it lies on.
  expect(codeOf(edgeOn(236))).toBe('no-edge');
});

test('it stops when it is told to', () => {
  const { window, expected } = drawnPhoto(kind('coarse weave, soft'), evenDraws(5));
  const shares: number[] = [];
  const stopped = measureScrap(window, expected, (share) => {
    shares.push(share);
    return share < 0.3;
  });
  expect(stopped).toBeNull();
  expect(shares).toEqual(shares.toSorted((a, b) => a - b));
});
