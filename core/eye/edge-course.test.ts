import fc from 'fast-check';
import { evenDraws } from '../swatch/draw';
import {
  bentMm,
  courseAt,
  edgeCourse,
  longerThanStraight,
  plainestWay,
  straightened,
  stripMm,
} from './edge-course';
import type { Field } from './flatten';

const [widthMm, heightMm, pxPerMm] = [100, 30, 8];
const paperIs = 1;

/** Cloth above an edge that runs as it will, paper below; noise as a camera has it. */
function edged(acrossMm: (xMm: number) => number, noise = 0.03): Field {
  const draw = evenDraws(5);
  const [width, height] = [widthMm * pxPerMm, heightMm * pxPerMm];
  const values = Float32Array.from({ length: width * height }, (_, at) => {
    const [x, y] = [(at % width) + 0.5, Math.floor(at / width) + 0.5];
    const beyond = y / pxPerMm - heightMm / 2 - acrossMm(x / pxPerMm);
    // What a lens makes of a step, over about a pixel.
    const share = Math.min(1, Math.max(0, beyond * pxPerMm + 0.5));
    return 0.4 * share + noise * (2 * draw() - 1);
  });
  return { width, height, pxPerMm, values };
}
const straight = { angle: 0, acrossMm: 1, paper: paperIs } as const;
const wave = (waveMm: number, everyMm: number, atMm: number) => (x: number) =>
  waveMm * Math.sin((2 * Math.PI * (x - atMm)) / everyMm);
const mostBent = (course: readonly number[]) => Math.max(...course.map(Math.abs));
/** How much longer than straight a wave is, added up. */
function addedUp(of: (x: number) => number): number {
  let length = 0;
  for (let x = 0; x < widthMm; x += 0.01) length += Math.hypot(0.01, of(x + 0.01) - of(x));
  return length / Math.hypot(widthMm, of(widthMm) - of(0)) - 1;
}

test('the course of an edge is found wherever it goes, and how much longer it is', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.2, max: 1.5, noNaN: true }),
      fc.double({ min: 18, max: 45, noNaN: true }),
      fc.double({ min: 0, max: 45, noNaN: true }),
      (waveMm, everyMm, atMm) => {
        const true_ = wave(waveMm, everyMm, atMm);
        const course = edgeCourse(
          edged((x) => straight.acrossMm + true_(x)),
          straight,
        );
        const off = course.map((across, i) => across - true_((i + 0.5) * stripMm));
        // At its very ends nothing lies beyond to smooth with.
        expect(mostBent(off.slice(4, -4))).toBeLessThan(0.07 + 0.06 * waveMm);
        const share = longerThanStraight(course);
        expect(Math.abs(share - addedUp(true_))).toBeLessThan(0.001 + 0.2 * addedUp(true_));
      },
    ),
    { numRuns: 12 },
  );
});

test('a straight edge is straight, whatever is sewn over it and however noisy it is', () => {
  const clean = edged(() => straight.acrossMm, 0.06);
  const values = clean.values.map((value, at) => {
    const [x, y] = [(at % clean.width) / pxPerMm, Math.floor(at / clean.width) / pxPerMm];
    // Thread to and fro every two millimetres.
    const swing = 15 + straight.acrossMm + 2 * Math.abs(((x / 2) % 1) - 0.5) * 2 - 1;
    return Math.abs(y - swing) < 0.2 ? 0.25 : value;
  });
  const course = edgeCourse({ ...clean, values }, straight);
  expect(mostBent(course)).toBeLessThan(0.15);
  expect(longerThanStraight(course)).toBeLessThan(0.0005);
});

test('a picture in which it was straightened has it where the straight line is', () => {
  const bent = wave(1, 25, 3);
  const field = edged((x) => straight.acrossMm + bent(x), 0);
  const flat = straightened(
    field,
    Array.from({ length: widthMm }, (_, i) => bent(i + 0.5)),
  );
  const again = edgeCourse(flat, straight);
  expect(mostBent(again)).toBeLessThan(0.06);
});

test('between its strips a course goes straight on, and beyond its ends it stays', () => {
  expect([0, 0.5, 1, 1.5, 9].map((x) => courseAt([2, 4], x))).toEqual([2, 2, 3, 4, 4]);
  expect(courseAt([], 3)).toBe(0);
  expect(longerThanStraight([0, 1, 0])).toBeCloseTo(Math.SQRT2 - 1, 9);
  expect(bentMm([3, 5])).toBe(1);
  expect(bentMm([])).toBe(0);
});

/** The best of all ways, each tried. */
function bestOfAll(gains: readonly (readonly number[])[], cost: number, width: number): number {
  const go = (line: number, at: number): number =>
    gains[line]![at]! +
    (line + 1 === gains.length
      ? 0
      : Math.max(
          ...gains[line + 1]!.flatMap((_, k) =>
            Math.abs(k - at) <= width ? [go(line + 1, k) - cost * ((k - at) / width) ** 2] : [],
          ),
        ));
  return Math.max(...gains[0]!.map((_, at) => go(0, at)));
}

test('the plainest way is the best of all that there are', () => {
  const table = fc.array(
    fc.array(fc.double({ min: -2, max: 2, noNaN: true }), { minLength: 4, maxLength: 4 }),
    { minLength: 1, maxLength: 6 },
  );
  fc.assert(
    fc.property(table, fc.double({ min: 0, max: 3, noNaN: true }), (gains, cost) => {
      const way = plainestWay(gains, cost, 2);
      const sum = way.reduce(
        (total, at, i) =>
          total + gains[i]![at]! - (i > 0 ? cost * ((at - way[i - 1]!) / 2) ** 2 : 0),
        0,
      );
      expect(sum).toBeCloseTo(bestOfAll(gains, cost, 2), 9);
      way.slice(1).forEach((at, i) => expect(Math.abs(at - way[i]!)).toBeLessThanOrEqual(2));
    }),
  );
});
