import { standingOut, valueAt, type Field } from './flatten';
import { linesOf, type Seen } from './seen';

// Asked for at every pixel.
const { ceil, cos, hypot, max, min, PI, sin } = Math;

/** Waves in a repeat that are looked at; finer ones are smaller than a thread. */
export const mostWaves = 4;
/** So near to a hole a thread goes down into the cloth, mm. */
const sunkMm = 0.35;

/** A field turned so that its rows run along the seam, as far as the window goes. */
export function turnedBy(field: Field, angle: number): Field {
  const { width, height } = field;
  const values = new Float32Array(width * height);
  const [c, s] = [cos(angle), sin(angle)];
  const [xc, yc] = [(width - 1) / 2, (height - 1) / 2];
  for (let row = 0; row < height; row++) {
    const t = row - yc;
    let x = xc - xc * c - t * s;
    let y = yc - xc * s + t * c;
    for (let column = 0; column < width; column++) {
      values[row * width + column] = valueAt(field, x, y);
      x += c;
      y += s;
    }
  }
  return { ...field, values };
}

/** Waves of rows at evenly spaced frequencies: [wave][row], real and imaginary. */
export interface Waves {
  readonly perMm: number;
  readonly re: Float32Array[];
  readonly im: Float32Array[];
  /** The usual power of each wave where there is no seam. */
  readonly power: number[];
}

/** No waves yet of a field that is turned to a direction. */
export const noWaves = (perMm: number): Waves => ({ perMm, re: [], im: [], power: [] });

/** Works out such of a field’s waves as are not known yet. @param indices of `perMm` */
export function addWaves(waves: Waves, field: Field, indices: ReadonlySet<number>): void {
  const { width, height, values, pxPerMm } = field;
  for (const index of indices) {
    if (waves.re[index]) continue;
    const turn = (2 * PI * index * waves.perMm) / pxPerMm;
    const [ct, st] = [new Float32Array(width), new Float32Array(width)];
    for (let x = 0; x < width; x++) {
      ct[x] = cos(turn * (x - (width - 1) / 2));
      st[x] = -sin(turn * (x - (width - 1) / 2));
    }
    const [a, b] = [new Float32Array(height), new Float32Array(height)];
    for (let row = 0; row < height; row++) {
      let [real, imaginary] = [0, 0];
      for (let x = 0, at = row * width; x < width; x++, at++) {
        const value = values[at]!;
        real += value * ct[x]!;
        imaginary += value * st[x]!;
      }
      a[row] = real;
      b[row] = imaginary;
    }
    waves.re[index] = a;
    waves.im[index] = b;
    const powers = a.map((value, row) => value * value + b[row]! * b[row]!).sort();
    // Half of all rows have less: of an exponential spread that is ln 2 of its mean.
    waves.power[index] = (powers[height >> 1] ?? 0) / Math.LN2;
  }
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
  const firstRow = Math.floor(min(...all)) - beyond;
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
      const [low, part] = [Math.floor(row), row - Math.floor(row)];
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
  const filtered = (lists: Float32Array[]) =>
    lists.map((values) => standingOut({ width: 1, height: rows, values, pxPerMm }).values);
  return { firstRow, re: filtered(re), im: filtered(im) };
}
