import { Ground } from './ground';
import type { Layer, Stack } from './layer';

export interface Point {
  readonly xMm: number;
  readonly zMm: number;
}

/** One uninterrupted piece of cloth in a section. */
export interface Leg {
  readonly piece: string;
  readonly thicknessMm: number;
  /** Centre line from its raw-edge end to its other end; the table is z = 0. */
  readonly centreLine: readonly Point[];
}

/** A bend where two layers of a strip meet. */
export interface Bend extends Point {
  readonly piece: string;
  /** The fold's distance from the strip's raw edge. */
  readonly sMm: number;
}

/** The section through a stack of folded strips. */
export interface Section {
  readonly legs: readonly Leg[];
  readonly bends: readonly Bend[];
  readonly widthMm: readonly [left: number, right: number];
  readonly heightMm: number;
}

/** Lays one layer on the ground; returns its centre line from its raw-edge end to its other. */
function layDown(layer: Layer, ground: Ground): Point[] {
  const [left, right] = [
    Math.min(layer.fromXMm, layer.toXMm),
    Math.max(layer.fromXMm, layer.toXMm),
  ];
  const [from, to] = [ground.index(left), ground.index(right)];
  const lain = ground.draped(from, to, layer.thicknessMm);
  const half = ground.halfUpright(from, lain, layer.thicknessMm);
  ground.raise(
    from,
    lain.map((height, i) => height + 2 * (half[i] ?? 0)),
  );
  const points = Array.from(lain, (height, i) => ({
    xMm: ground.xs[from + i] ?? 0,
    zMm: height + (half[i] ?? 0),
  }));
  return layer.fromXMm <= layer.toXMm ? points : points.reverse();
}

/** A layer as it was laid down. */
interface Laid {
  readonly layer: Layer;
  readonly points: readonly Point[];
}

const follows = (before: Layer, after: Layer) =>
  before.piece === after.piece && Math.abs(after.fromSMm - before.toSMm) < 1e-9;

/** The ends that meet in a bend, in the order of the strip; null where two layers don't join. */
function joint(one: Laid, other: Laid): { from: Point; to: Point; outward: number } | null {
  const [before, after] = follows(one.layer, other.layer)
    ? [one, other]
    : follows(other.layer, one.layer)
      ? [other, one]
      : [null, null];
  const [from, to] = [before?.points.at(-1), after?.points[0]];
  if (!before || !from || !to) return null;
  return { from, to, outward: Math.sign(before.layer.toXMm - before.layer.fromXMm) };
}

/** Lays a stack down from the bottom; what is laid later lies over the bends as well. */
function layStack(stack: Stack, ground: Ground): Laid[] {
  const laid: Laid[] = [];
  for (const layer of stack) {
    const next = { layer, points: layDown(layer, ground) };
    for (const earlier of laid) {
      const meets = joint(earlier, next);
      if (!meets) continue;
      const { from, to, outward } = meets;
      const radius = Math.abs(to.zMm - from.zMm) / 2 + layer.thicknessMm / 2;
      ground.raiseBend({ xMm: from.xMm, zMm: (from.zMm + to.zMm) / 2 }, radius, outward);
    }
    laid.push(next);
  }
  return laid;
}

/** Half a circle from the end of one layer to the start of the next, bulging past the fold. */
function bendBetween(from: Point, to: Point, outward: number): Point[] {
  const radius = Math.abs(to.zMm - from.zMm) / 2;
  const middle = (from.zMm + to.zMm) / 2;
  const side = Math.sign(to.zMm - from.zMm);
  return Array.from({ length: 11 }, (_, i) => {
    const angle = (Math.PI * (i + 1)) / 12;
    return {
      xMm: from.xMm + outward * radius * Math.sin(angle),
      zMm: middle - side * radius * Math.cos(angle),
    };
  });
}

/** Drops points that add nothing: those on the straight line between their neighbours. */
function simplified(points: readonly Point[]): Point[] {
  return points.filter((point, i) => {
    const [before, after] = [points[i - 1], points[i + 1]];
    if (!before || !after) return true;
    const cross =
      (point.xMm - before.xMm) * (after.zMm - before.zMm) -
      (point.zMm - before.zMm) * (after.xMm - before.xMm);
    return Math.abs(cross) > 1e-9 || (point.xMm - before.xMm) * (after.xMm - point.xMm) < 0;
  });
}

/** Ends that differ by binary noise only are one place. */
const whole = (mm: number) => Math.round(mm * 1e6) / 1e6;

/**
 * The section through a stack, with its thickness: layers lie on one another, climb over what is
 * beneath them, and join in half-round bends where the strip goes on.
 *
 * @param stack bottom first, at least one layer
 * @param exaggeration multiplies every thickness as drawn; lengths stay true
 * @returns centre lines in mm, one for each uninterrupted piece
 */
export function sectionOf(stack: Stack, exaggeration = 1): Section {
  const drawn = stack.map((layer) => ({
    ...layer,
    fromXMm: whole(layer.fromXMm),
    toXMm: whole(layer.toXMm),
    thicknessMm: layer.thicknessMm * exaggeration,
  }));
  const xs = drawn.flatMap((layer) => [layer.fromXMm, layer.toXMm]);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const height = drawn.reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
  const thinnest = Math.min(...drawn.map(({ thicknessMm }) => thicknessMm));
  const laid = layStack(drawn, new Ground(xs, height, thinnest));
  const legs: Leg[] = [];
  const bends: Bend[] = [];
  for (const piece of new Set(stack.map((layer) => layer.piece))) {
    const strip = laid
      .filter(({ layer }) => layer.piece === piece)
      .sort((a, b) => a.layer.fromSMm - b.layer.fromSMm);
    let line: Point[] = [];
    strip.forEach(({ layer, points }, i) => {
      line.push(...points);
      const next = strip[i + 1];
      const meets = next && follows(layer, next.layer) ? joint({ layer, points }, next) : null;
      if (meets) {
        const arc = bendBetween(meets.from, meets.to, meets.outward);
        line.push(...arc);
        bends.push({ piece, sMm: layer.toSMm, ...(arc[5] ?? meets.from) });
        return;
      }
      legs.push({ piece, thicknessMm: layer.thicknessMm, centreLine: simplified(line) });
      line = [];
    });
  }
  const tops = legs.flatMap(({ centreLine, thicknessMm }) =>
    centreLine.map(({ zMm }) => zMm + thicknessMm / 2),
  );
  return { legs, bends, widthMm: [left, right], heightMm: Math.max(...tops) };
}
