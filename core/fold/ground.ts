/**
 * A pressed layer climbs over an edge beneath it no steeper than this, so that layers which climb
 * over one another are never drawn nearer than the cosine of the climb, 0.89. Drawing only.
 */
const steepestSlope = 0.5;
/** A layer thicker than what it climbs over bends less, down to this share of the slope. */
const gentlestShare = 0.1;
/** How much farther apart the next place stands, going away from the end of a layer. */
const growth = 1.06;

/** Places around an end of a layer: close together at first, out to where every slope has ended. */
function placesAround(endMm: number, finestMm: number, reachMm: number): number[] {
  const places: number[] = [endMm];
  for (let step = finestMm, away = step; away < reachMm; step *= growth, away += step) {
    places.push(endMm - away, endMm + away);
  }
  return places;
}

/**
 * Heights above the table at places across a stack. Every end of a layer is a place of its own, so
 * that layers which share places cannot pass through one another between them.
 */
export class Ground {
  readonly xs: readonly number[];
  private readonly heights: Float64Array;

  /**
   * @param ends of the layers, across the stack
   * @param heightMm of all layers together
   * @param thinnestMm the thinnest layer
   */
  constructor(
    ends: readonly number[],
    heightMm: number,
    private readonly thinnestMm: number,
  ) {
    const reach = heightMm / (steepestSlope * gentlestShare) + heightMm;
    const around = [...new Set(ends)].flatMap((end) => placesAround(end, thinnestMm / 4, reach));
    this.xs = [...new Set(around)].sort((a, b) => a - b);
    this.heights = new Float64Array(this.xs.length);
  }

  /** The place at, or next to, an x. */
  index(xMm: number): number {
    let [low, high] = [0, this.xs.length - 1];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.xs[middle] ?? 0) < xMm - 1e-9) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /** The ground from place to place as a layer would lie on it, never too steep for it. */
  draped(from: number, to: number, thicknessMm: number): Float64Array {
    const slope = steepestSlope * Math.max(gentlestShare, this.thinnestMm / thicknessMm);
    const lain = this.heights.slice(from, to + 1);
    const fall = (i: number) => ((this.xs[from + i + 1] ?? 0) - (this.xs[from + i] ?? 0)) * slope;
    for (let i = 1; i < lain.length; i++) {
      lain[i] = Math.max(lain[i] ?? 0, (lain[i - 1] ?? 0) - fall(i - 1));
    }
    for (let i = lain.length - 2; i >= 0; i--) {
      lain[i] = Math.max(lain[i] ?? 0, (lain[i + 1] ?? 0) - fall(i));
    }
    return lain;
  }

  /**
   * Half the height that a layer takes up on such ground: across the cloth it is half its
   * thickness everywhere, so upright it is more by the secant of the slope. At a crest the cloth
   * bends over it and takes up no more than on the flat; elsewhere the steeper side counts, so
   * that the layers stay clear of each other.
   */
  halfUpright(from: number, lain: Float64Array, thicknessMm: number): Float64Array {
    const rise = (i: number, k: number): number => {
      const across = Math.abs((this.xs[from + k] ?? 0) - (this.xs[from + i] ?? 0));
      const [here, there] = [lain[i], lain[k]];
      return here === undefined || there === undefined || across === 0
        ? 0
        : Math.abs(there - here) / across;
    };
    return lain.map((here, i) => {
      const [before, after] = [rise(i, i - 1), rise(i, i + 1)];
      const crest = here >= (lain[i - 1] ?? here) && here >= (lain[i + 1] ?? here);
      const slope = crest ? Math.min(before, after) : Math.max(before, after);
      return (thicknessMm / 2) * Math.sqrt(1 + slope * slope);
    });
  }

  raise(from: number, tops: Float64Array): void {
    this.heights.set(tops, from);
  }

  /** Raises the ground to the outside of a half-round bend. */
  raiseBend(at: { xMm: number; zMm: number }, radiusMm: number, outward: number): void {
    const ends = [at.xMm, at.xMm + outward * radiusMm].sort((a, b) => a - b) as [number, number];
    for (let i = this.index(ends[0]); i < this.xs.length; i++) {
      const aside = (this.xs[i] ?? 0) - at.xMm;
      if ((this.xs[i] ?? 0) > ends[1] + 1e-9) break;
      if (Math.abs(aside) < 1e-9) continue;
      const top = at.zMm + Math.sqrt(Math.max(0, radiusMm * radiusMm - aside * aside));
      this.heights[i] = Math.max(this.heights[i] ?? 0, top);
    }
  }
}
