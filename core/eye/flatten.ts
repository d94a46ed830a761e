import type { ScaledImage } from './grey';
import { spreadOfMiddle } from './middle';

// Asked for at every pixel.
const { max, min, round } = Math;

/** A picture of numbers that may be below 0, rows from the top. */
export interface Field {
  readonly width: number;
  readonly height: number;
  readonly values: Float32Array;
  readonly pxPerMm: number;
  /** How far it is blurred, one spread, mm, where something else than itself tells. */
  readonly blurMm?: number | undefined;
}

type Size = readonly [width: number, height: number];

/** The mean along each row over `2·reach + 1` places, its border going on beyond itself. */
function meansAlong(from: Float32Array, [width, height]: Size, reach: number): Float32Array {
  const to = new Float32Array(from.length);
  const share = 1 / (2 * reach + 1);
  for (let row = 0; row < height; row++) {
    const start = row * width;
    let sum = 0;
    for (let k = -reach; k <= reach; k++) sum += from[start + min(width - 1, max(0, k))]!;
    for (let x = 0; x < width; x++) {
      to[start + x] = sum * share;
      sum += from[start + min(width - 1, x + reach + 1)]!;
      sum -= from[start + max(0, x - reach)]!;
    }
  }
  return to;
}

/**
 * The same down each column. All columns go down together: one after the other each step would be a row’s length
 * away in memory from the last.
 */
function meansDown(from: Float32Array, [width, height]: Size, reach: number): Float32Array {
  const to = new Float32Array(from.length);
  const share = 1 / (2 * reach + 1);
  const sums = new Float64Array(width);
  for (let k = -reach; k <= reach; k++) {
    const row = min(height - 1, max(0, k)) * width;
    for (let x = 0; x < width; x++) sums[x]! += from[row + x]!;
  }
  for (let y = 0; y < height; y++) {
    const here = y * width;
    const next = min(height - 1, y + reach + 1) * width;
    const last = max(0, y - reach) * width;
    for (let x = 0; x < width; x++) {
      const sum = sums[x]!;
      to[here + x] = sum * share;
      sums[x] = sum + from[next + x]! - from[last + x]!;
    }
  }
  return to;
}

/** How large a square of whole pixels is that stands for one of so many mm, mm. */
export const squareMm = (sideMm: number, pxPerMm: number): number =>
  (2 * max(0, round((sideMm * pxPerMm - 1) / 2)) + 1) / pxPerMm;

/**
 * The mean around every pixel, over a square. Running sums: what it costs does not grow with the
 * square.
 *
 * @param sideMm of the square; below a pixel nothing is done
 */
export function meanAround({ width, height, values, pxPerMm }: Field, sideMm: number): Field {
  const reach = round((sideMm * pxPerMm - 1) / 2);
  if (reach < 1) return { width, height, values, pxPerMm };
  const size = [width, height] as const;
  const both = meansDown(meansAlong(values, size, reach), size, reach);
  return { width, height, values: both, pxPerMm };
}

/** The mean over a length along the rows alone. */
export function averagedAlong({ width, height, values, pxPerMm }: Field, lengthMm: number): Field {
  const reach = round((lengthMm * pxPerMm - 1) / 2);
  if (reach < 1) return { width, height, values, pxPerMm };
  return { width, height, values: meansAlong(values, [width, height], reach), pxPerMm };
}

/** The mean over a length down the columns alone. */
export function averagedDown({ width, height, values, pxPerMm }: Field, lengthMm: number): Field {
  const reach = round((lengthMm * pxPerMm - 1) / 2);
  if (reach < 1) return { width, height, values, pxPerMm };
  return { width, height, values: meansDown(values, [width, height], reach), pxPerMm };
}

/** Light that falls unevenly changes slower than this across the cloth, mm. */
const lightOverMm = 6;
/** What black gives of itself, greys: no division by nothing in a shadow. */
const blackGrey = 12;

/**
 * The picture without the light that lies on it: how much lighter or darker every pixel is than what
 * lies around it, as a share of that. Source: docs/formulas.md, “The eye”.
 */
export function flattened({ width, height, grey, pxPerMm, blurMm }: ScaledImage): Field {
  const values = Float32Array.from(grey);
  const around = meanAround({ width, height, values, pxPerMm }, lightOverMm).values;
  for (let i = 0; i < values.length; i++) {
    values[i] = (values[i]! - around[i]!) / (around[i]! + blackGrey);
  }
  return { width, height, values, pxPerMm, blurMm };
}

/**
 * How light every pixel is, as its logarithm: what lies beside an edge differs by as much in the
 * shade as in the light.
 */
export function toned({ width, height, grey, pxPerMm, blurMm }: ScaledImage): Field {
  const of = Float32Array.from({ length: 256 }, (_, value) => Math.log(value + blackGrey));
  const values = new Float32Array(grey.length);
  for (let i = 0; i < values.length; i++) values[i] = of[grey[i]!]!;
  return { width, height, values, pxPerMm, blurMm };
}

/** A sewing thread on cloth lies so wide, mm; what is filtered for. */
export const threadWidthMm = 0.3;
/** How far around a thread the cloth is that it is told from, mm. */
export const besideThreadMm = 1.2;

/**
 * How much a thread’s width stands out from its surroundings, lighter above 0 and darker below:
 * the mean over a thread’s width less that over what lies beside it.
 */
export function standingOut(field: Field): Field {
  const near = meanAround(field, threadWidthMm).values;
  const wide = meanAround(field, besideThreadMm).values;
  const values = new Float32Array(near.length);
  for (let i = 0; i < values.length; i++) values[i] = near[i]! - wide[i]!;
  return { ...field, values };
}

/** A field about its mean: beyond its border, where nothing is, it is neither lighter nor darker. */
export function aboutMean(field: Field): Field {
  const mean = field.values.reduce((sum, value) => sum + value, 0) / field.values.length;
  return { ...field, values: field.values.map((value) => value - mean) };
}

/** A field at a place in px, between the four pixels around it; beyond its border 0. */
export function valueAt({ width, height, values }: Field, x: number, y: number): number {
  const left = x < 0 ? -1 : x | 0;
  const top = y < 0 ? -1 : y | 0;
  if (left < 0 || top < 0 || left >= width - 1 || top >= height - 1) return 0;
  const fx = x - left;
  const at = top * width + left;
  const above = values[at]!;
  const below = values[at + width]!;
  const upper = above + (values[at + 1]! - above) * fx;
  const lower = below + (values[at + width + 1]! - below) * fx;
  return upper + (lower - upper) * (y - top);
}

/** A field at a coarser scale: the mean of every square of px. @param times 1 leaves it as it is */
export function coarser(field: Field, times: number): Field {
  if (times <= 1) return field;
  const [width, height] = [Math.floor(field.width / times), Math.floor(field.height / times)];
  const values = new Float32Array(width * height);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      let sum = 0;
      for (let dy = 0; dy < times; dy++) {
        const row = (y * times + dy) * field.width + x * times;
        for (let dx = 0; dx < times; dx++) sum += field.values[row + dx]!;
      }
      values[y * width + x] = sum / (times * times);
    }
  }
  return { width, height, values, pxPerMm: field.pxPerMm / times };
}

/**
 * No cloth is so even, and no camera: a hundredth of the light, over a thread’s width half of it. What
 * is smoother was drawn, or lies in the shade, and a thread must not be taken for its own noise.
 */
export const leastSpread = 0.005;

/** A robust spread of a field: 1.4826 times the median of how far its values lie from 0. */
export function spreadOf(values: Float32Array): number {
  const every = max(1, Math.floor(values.length / 20_000));
  const far = new Float32Array(Math.floor(values.length / every));
  for (let i = 0; i < far.length; i++) far[i] = Math.abs(values[i * every]!);
  far.sort();
  return max(leastSpread, spreadOfMiddle * (far[far.length >> 1] ?? 0));
}

const spreads = new WeakMap<Field, number>();

/** The spread of a field that is asked for again and again: of each way a seam may lie. What is in the field must stay. */
export function spreadIn(field: Field): number {
  const known = spreads.get(field) ?? spreadOf(field.values);
  spreads.set(field, known);
  return known;
}
