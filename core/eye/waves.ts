import FFT from 'fft.js';
import {
  besideThreadMm,
  leastSpread,
  meanAround,
  squareMm,
  threadWidthMm,
  type Field,
} from './flatten';
import { linesOf, swingsAtRawEdge, type Seen } from './seen';

// Asked for at every pixel.
const { ceil, cos, floor, hypot, log2, max, min, PI, sin, sqrt } = Math;

/** Waves in a repeat that are looked at; finer ones are smaller than a thread. */
export const mostWaves = 4;
/** So near to a hole a thread goes down into the cloth, mm. */
export const sunkMm = 0.35;

/** Nearer to a border than this nothing lies beyond a pixel to look between, px. */
const borderPx = 1e-6;

/** The columns, from the first on to before the last, at which a place that moves on evenly lies in a field. */
function inside(start: number, step: number, length: number, columns: number): [number, number] {
  const last = length - 1 - borderPx;
  if (step === 0) return start >= 0 && start <= last ? [0, columns] : [0, 0];
  const [one, other] = [-start / step, (last - start) / step];
  return [max(0, ceil(min(one, other))), min(columns, floor(max(one, other)) + 1)];
}

/** Some rows of a field, from the first on to before the last. */
export type Rows = readonly [first: number, end: number];

/**
 * A field turned so that its rows run along the seam, as far as the window goes; beyond its border 0.
 * As {@link valueAt} has it, which is not asked: what lies within is known for a whole row.
 *
 * @param rows those of the turned field that are wanted
 */
export function turnedBy(field: Field, angle: number, rows: Rows = [0, field.height]): Field {
  const { width, height: all, values: from } = field;
  const [first, height] = [rows[0], rows[1] - rows[0]];
  const values = new Float32Array(width * height);
  const [c, s] = [cos(angle), sin(angle)];
  const [xc, yc] = [(width - 1) / 2, (all - 1) / 2];
  for (let row = 0; row < height; row++) {
    const t = first + row - yc;
    const x0 = xc - xc * c - t * s;
    const y0 = yc - xc * s + t * c;
    const [firstX, endX] = inside(x0, c, width, width);
    const [firstY, endY] = inside(y0, s, all, width);
    const end = min(endX, endY);
    for (let column = max(firstX, firstY); column < end; column++) {
      const x = x0 + column * c;
      const y = y0 + column * s;
      const left = x | 0;
      const top = y | 0;
      const fx = x - left;
      const at = top * width + left;
      const above = from[at]!;
      const below = from[at + width]!;
      const upper = above + (from[at + 1]! - above) * fx;
      const lower = below + (from[at + width + 1]! - below) * fx;
      values[row * width + column] = upper + (lower - upper) * (y - top);
    }
  }
  return { ...field, height, values };
}

/** Waves of rows at evenly spaced frequencies: [wave][row], real and imaginary. */
export interface Waves {
  /** Waves a mm from one to the next. */
  readonly perMm: number;
  readonly re: readonly Float32Array[];
  readonly im: readonly Float32Array[];
  /** The usual power of a wave where there is no seam. */
  readonly power: (index: number) => number;
}

/** Of waves no finer than this share of the finest that every other pixel can show, every other is enough. */
const plainlyShown = 0.6;

/** Every other pixel of a row, each with what lies beside it, so that no finer wave is taken for one of these. */
function halved(line: Float64Array, values: Float32Array, start: number, width: number): void {
  for (let i = 0, x = start; 2 * i < width; i++, x += 2) {
    const [first, last] = [i === 0 ? 0 : values[x - 1]!, 2 * i + 2 < width ? values[x + 2]! : 0];
    const next = 2 * i + 1 < width ? values[x + 1]! : 0;
    line[i] = (first + 3 * (values[x]! + next) + last) / 8;
  }
}

/** How much of a wave is left by that. */
const leftHalved = (perPx: number): number => cos(PI * perPx) ** 3;

/**
 * The waves of every row of a field, from its middle, at least two steps for every one that can be
 * told from the next.
 *
 * @param mostPerMm the finest that are asked for, waves a mm
 * @param usual what a wave’s usual power is, where more rows than these have told it
 */
export function wavesOf(
  { width, height, values, pxPerMm }: Field,
  mostPerMm: number,
  usual?: Waves['power'],
): Waves {
  const every = mostPerMm <= (plainlyShown * pxPerMm) / 4 ? 2 : 1;
  const size = 2 ** ceil(log2((2 * width) / every));
  const perMm = pxPerMm / every / size;
  const count = min(size / 2, ceil(mostPerMm / perMm) + 2);
  const fourier = new FFT(size);
  const line = new Float64Array(size);
  const out = new Float64Array(2 * size);
  const blank = () => Array.from({ length: count }, () => new Float32Array(height));
  const [re, im] = [blank(), blank()];
  // Counted from the row’s middle, where a seam’s own coordinates start.
  const turns = Array.from({ length: count }, (_, k) => (PI * k * (width - every)) / size / every);
  const gains = turns.map((_, k) => (every === 1 ? 1 : 2 / leftHalved(k / size / 2)));
  const [ct, st] = [cos, sin].map((of) => turns.map((turn, k) => of(turn) * gains[k]!)) as [
    number[],
    number[],
  ];
  for (let row = 0; row < height; row++) {
    if (every === 2) halved(line, values, row * width, width);
    else for (let x = 0; x < width; x++) line[x] = values[row * width + x]!;
    fourier.realTransform(out, line);
    for (let k = 0; k < count; k++) {
      const [a, b] = [out[2 * k]!, out[2 * k + 1]!];
      re[k]![row] = a * ct[k]! - b * st[k]!;
      im[k]![row] = a * st[k]! + b * ct[k]!;
    }
  }
  const known: number[] = [];
  // What noise that no cloth is without would give.
  const least = width * leastSpread ** 2;
  const power = (index: number) =>
    (known[index] ??= max(least, usualPower(re[index]!, im[index]!)));
  return { perMm, re, im, power: usual ?? power };
}

/** Half of all rows have less than the median: of an exponential spread that is ln 2 of its mean. */
function usualPower(re: Float32Array, im: Float32Array): number {
  const powers = re.map((value, row) => value * value + im[row]! * im[row]!).sort();
  return (powers[powers.length >> 1] ?? 0) / Math.LN2;
}

/** The waves of the stitch itself: for each, what every row around its own line has of it. */
export interface Pattern {
  readonly firstRow: number;
  readonly re: readonly Float32Array[];
  readonly im: readonly Float32Array[];
}

/** Draws a repeat into rows and takes its waves, filtered as the picture was. */
export function patternOf(seen: Seen, across: 1 | -1, pxPerMm: number): Pattern {
  const lines = linesOf(seen);
  const isThread = seen.kind === 'thread';
  const all = lines.flatMap((line) => line.map(([, acrossMm]) => acrossMm * across * pxPerMm));
  const beyond = ceil(pxPerMm);
  const firstRow = floor(min(...all)) - beyond;
  const rows = ceil(max(...all)) + beyond - firstRow + 1;
  const blank = () => Array.from({ length: mostWaves + 1 }, () => new Float32Array(rows));
  const [re, im] = [blank(), blank()];
  for (const [[s1, t1], [s2, t2]] of lines) {
    const steps = max(1, ceil(hypot(s2 - s1, t2 - t1) / 0.05));
    const lengthMm = hypot(s2 - s1, t2 - t1);
    for (let i = 0; i < steps; i++) {
      const share = (i + 0.5) / steps;
      const fromHoleMm = min(share, 1 - share) * lengthMm;
      const shown = isThread ? min(1, 0.25 + fromHoleMm / sunkMm) : 1;
      const weight = (shown * lengthMm) / steps;
      const row = (t1 + (t2 - t1) * share) * across * pxPerMm - firstRow;
      const [low, part] = [floor(row), row - floor(row)];
      const turn = (2 * PI * (s1 + (s2 - s1) * share)) / seen.repeatMm;
      for (let k = 0; k <= mostWaves; k++) {
        const [a, b] = [weight * cos(k * turn), -weight * sin(k * turn)];
        re[k]![low]! += a * (1 - part);
        re[k]![low + 1]! += a * part;
        im[k]![low]! += b * (1 - part);
        im[k]![low + 1]! += b * part;
      }
    }
  }
  // Along the seam the same filter leaves of each wave what a square of its size does not even out. It
  // makes the whole of a swing speak, not its ends; what lies along a fold is told apart without.
  const left = (sideMm: number, k: number) => {
    if (!swingsAtRawEdge(seen)) return 1;
    const turn = (PI * k * squareMm(sideMm, pxPerMm)) / seen.repeatMm;
    return turn === 0 ? 1 : sin(turn) / turn;
  };
  const filtered = (lists: Float32Array[]) =>
    lists.map((values, k) => {
      const field = { width: 1, height: rows, values, pxPerMm };
      const near = meanAround(field, threadWidthMm).values;
      const wide = meanAround(field, besideThreadMm).values;
      const [one, other] = [left(threadWidthMm, k), left(besideThreadMm, k)];
      return values.map((_, at) => one * near[at]! - other * wide[at]!);
    });
  return { firstRow, re: filtered(re), im: filtered(im) };
}

/** One wave of a pattern laid on every row, as both are complex, over what the cloth has of it. */
export interface LaidWave {
  readonly re: Float32Array;
  readonly im: Float32Array;
  /** The size of both. */
  readonly size: Float32Array;
  /** What the cloth alone would give, as a variance. */
  readonly variance: number;
}

/**
 * Lays one wave of a pattern on all rows of a field; the first of them is that on which the
 * pattern’s first row still lies in the field.
 *
 * @param index which of the field’s waves
 * @param along −1 where the stitch runs the other way
 */
export function laidWave(
  { re, im, power }: Waves,
  pattern: Pattern,
  k: number,
  index: number,
  along: 1 | -1,
): LaidWave {
  const [hr, hi] = [re[index]!, im[index]!];
  const [tr, ti] = [pattern.re[k]!, pattern.im[k]!];
  const rows = max(0, hr.length - tr.length + 1);
  const laid = [new Float32Array(rows), new Float32Array(rows), new Float32Array(rows)] as const;
  const share = 1 / power(index);
  for (let row = 0; row < rows; row++) {
    let real = 0;
    let imaginary = 0;
    for (let r = 0, y = row; r < tr.length; r++, y++) {
      // Turned along, the pattern’s waves run the other way.
      const imag = along * ti[r]!;
      real += hr[y]! * tr[r]! + hi[y]! * imag;
      imaginary += hi[y]! * tr[r]! - hr[y]! * imag;
    }
    laid[0][row] = real * share;
    laid[1][row] = imaginary * share;
    laid[2][row] = sqrt(real * real + imaginary * imaginary) * share;
  }
  let energy = 0;
  for (let r = 0; r < tr.length; r++) energy += tr[r]! * tr[r]! + ti[r]! * ti[r]!;
  return { re: laid[0], im: laid[1], size: laid[2], variance: (energy / 2) * share };
}
