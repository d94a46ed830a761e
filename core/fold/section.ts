import { foldFlat, type Fold, type Layer } from './flat-fold';

export interface Point {
  readonly xMm: number;
  readonly zMm: number;
}

/** The section through a folded strip. */
export interface Section {
  /** Centre line of the cloth from the raw edge into the garment; the table is z = 0. */
  readonly centreLine: readonly Point[];
  readonly thicknessMm: number;
  readonly widthMm: readonly [left: number, right: number];
  readonly heightMm: number;
  /** Where each fold came to lie, in the order of the folds given. */
  readonly foldPoints: readonly Point[];
  readonly layers: readonly Layer[];
}

/** Spacing of the samples along x; finer than any thread shows. */
const sampleMm = 0.25;
/** A pressed layer climbs over an edge beneath it no steeper than this. */
const steepestSlope = 0.6;

/** Heights above the table on a grid of x. */
class Ground {
  private readonly heights: Float64Array;
  constructor(
    private readonly leftMm: number,
    rightMm: number,
  ) {
    this.heights = new Float64Array(Math.ceil((rightMm - leftMm) / sampleMm) + 2);
  }

  index(xMm: number): number {
    return Math.round((xMm - this.leftMm) / sampleMm);
  }

  /** The ground as a cloth would lie on it: never steeper than {@link steepestSlope}. */
  draped(from: number, to: number): Float64Array {
    const lain = this.heights.slice(from, to + 1);
    const rise = sampleMm * steepestSlope;
    for (let i = 1; i < lain.length; i++) {
      lain[i] = Math.max(lain[i] ?? 0, (lain[i - 1] ?? 0) - rise);
    }
    for (let i = lain.length - 2; i >= 0; i--) {
      lain[i] = Math.max(lain[i] ?? 0, (lain[i + 1] ?? 0) - rise);
    }
    return lain;
  }

  raise(from: number, tops: Float64Array): void {
    this.heights.set(tops, from);
  }
}

/** Lays one layer on the ground; returns its centre line from its raw-edge end to its other. */
function layDown(layer: Layer, ground: Ground, thicknessMm: number): Point[] {
  const [left, right] = [
    Math.min(layer.fromXMm, layer.toXMm),
    Math.max(layer.fromXMm, layer.toXMm),
  ];
  const [from, to] = [ground.index(left), ground.index(right)];
  const lain = ground.draped(from, to);
  ground.raise(
    from,
    lain.map((height) => height + thicknessMm),
  );
  const span = Math.max(1, lain.length - 1);
  const points = Array.from(lain, (height, i) => ({
    xMm: left + ((right - left) * i) / span,
    zMm: height + thicknessMm / 2,
  }));
  return layer.fromXMm <= layer.toXMm ? points : points.reverse();
}

/** Half a circle from the end of one layer to the start of the next, bulging past the fold. */
function bend(from: Point, to: Point, outward: number): Point[] {
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

/**
 * The section through a strip of cloth folded flat, with its thickness: layers lie on one
 * another, climb over what is beneath them, and join in half-round bends.
 *
 * @param lengthMm how much cloth is drawn, from the raw edge
 * @param folds in press order
 * @param thicknessMm of the cloth as drawn; an exaggeration multiplies it before the call
 * @returns the centre line in mm; x counts from where the raw edge lay unfolded
 * @throws RangeError when a fold lies outside the strip
 */
export function sectionOf(lengthMm: number, folds: readonly Fold[], thicknessMm: number): Section {
  const layers = foldFlat(lengthMm, folds);
  const xs = layers.flatMap((layer) => [layer.fromXMm, layer.toXMm]);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const ground = new Ground(left, right);
  const laid = layers
    .map((layer) => ({ layer, points: layDown(layer, ground, thicknessMm) }))
    .sort((a, b) => a.layer.fromSMm - b.layer.fromSMm);

  const line: Point[] = [];
  const hinges = new Map<number, Point>();
  laid.forEach(({ layer, points }, i) => {
    line.push(...points);
    const next = laid[i + 1];
    const [end, start] = [points.at(-1), next?.points[0]];
    if (!end || !start) return;
    const outward = Math.sign(layer.toXMm - layer.fromXMm);
    const arc = bend(end, start, outward);
    line.push(...arc);
    hinges.set(layer.toSMm, arc[5] ?? end);
  });
  return {
    centreLine: simplified(line),
    thicknessMm,
    widthMm: [left, right],
    heightMm: Math.max(...line.map((point) => point.zMm)) + thicknessMm / 2,
    foldPoints: folds.map((fold) => hinges.get(fold.atMm) ?? { xMm: 0, zMm: 0 }),
    layers,
  };
}
