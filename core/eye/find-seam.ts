import { meanAround, spreadOf, threadWidthMm, valueAt, type Field } from './flatten';
import { linesOf, type Seen } from './seen';

// Asked for at every pixel.
const { abs, ceil, cos, hypot, max, min, PI, round, sin, sqrt } = Math;

/** Where a seam lies in the window and how its stitch repeats along it. */
export interface FoundSeam {
  /** Its direction, radians from the window’s long side. */
  readonly angle: number;
  /** The window’s point the seam’s own coordinates start from: its middle, mm. */
  readonly middleMm: readonly [number, number];
  /** What it is measured from lies so far across from there, mm, if nothing wandered. */
  readonly acrossMm: number;
  /** The first repeat begins so far along from there, mm. */
  readonly alongMm: number;
  readonly repeatMm: number;
  /** The stitch as it lies: along and across the way the machine has them, or turned. */
  readonly turned: readonly [along: 1 | -1, across: 1 | -1];
  /** Thread lighter than the cloth, or darker. */
  readonly lighter: boolean;
  /** How far it stands out from what the cloth would show by chance, in spreads of that. */
  readonly score: number;
}

/** People lay a seam along the window to so many degrees. */
const mostTurnedDegrees = 12;
const angleStepDegrees = 0.25;
/** So many directions of either kind are looked at closely. */
const closelyLookedAt = 3;
/** Two that lie no farther apart are one, mm. */
const sameMm = 0.3;
/** From the likeliest it is turned nearer, by ever less, at most so often. */
const mostSteps = 10;
const leastStepDegrees = 0.06;
/** How far the machine’s stitch length may be off: its feed, the cloth, the pull. */
const mostOffLength = 0.12;
/** How far it usually is, one spread of its logarithm. */
const lengthSpread = 0.06;
/** Pixels beside each other show the same; scores are so many times what even ones would give. */
const scoreInflated = 3;
/** Waves in a repeat that are looked at; finer ones are smaller than a thread. */
const mostWaves = 4;
/** So near to a hole a thread goes down into the cloth, mm. */
const sunkMm = 0.35;
/** A single speck or seam edge is not worth more than this many spreads. */
const mostSpreads = 4;

/** A field turned so that its rows run along the seam, as far as the window goes. */
function turnedBy(field: Field, angle: number): Field {
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

/** Directions in which rows stand out, as lines or by how lively they are; the likeliest first. */
function likelyAngles(field: Field): number[] {
  const { width, height } = field;
  const scored: { angle: number; line: number; band: number }[] = [];
  const small = field.values;
  const mean = spreadOf(small) ** 2;
  for (
    let degrees = -mostTurnedDegrees;
    degrees <= mostTurnedDegrees;
    degrees += angleStepDegrees
  ) {
    const angle = (degrees / 180) * PI;
    const [c, s] = [cos(angle), sin(angle)];
    const sums = new Float32Array(2 * height);
    const lively = new Float32Array(2 * height);
    const counts = new Float32Array(2 * height);
    for (let y = 0; y < height; y++) {
      for (let x = 0; x < width; x += 2) {
        const row = round((y - height / 2) * c - (x - width / 2) * s + height);
        const value = small[y * width + x]!;
        sums[row]! += value;
        lively[row]! += value * value;
        counts[row]!++;
      }
    }
    const least = width / 4;
    let [line, band] = [0, 0];
    for (let row = 1; row < 2 * height - 1; row++) {
      const n = counts[row]!;
      if (n < least) continue;
      line = max(line, abs(sums[row]!) / sqrt(n * mean));
      band = max(band, (lively[row - 1]! + lively[row]! + lively[row + 1]!) / (3 * n * mean));
    }
    scored.push({ angle, line, band });
  }
  const chosen: number[] = [];
  const apart = (1.8 * angleStepDegrees * PI) / 180;
  // A fold beside the seam is the straightest line there is; without one the stitches’ own band is.
  for (const by of ['line', 'band'] as const) {
    const before = chosen.length;
    for (const { angle } of scored.toSorted((a, b) => b[by] - a[by])) {
      if (chosen.every((other) => abs(other - angle) > apart)) chosen.push(angle);
      if (chosen.length === before + closelyLookedAt) break;
    }
  }
  return chosen;
}

/** Waves of rows at evenly spaced frequencies: [wave][row], real and imaginary. */
interface Waves {
  readonly perMm: number;
  readonly re: Float32Array[];
  readonly im: Float32Array[];
  /** The usual power of each wave where there is no seam. */
  readonly power: number[];
}

/** No waves yet of a field that is turned to a direction. */
const noWaves = (perMm: number): Waves => ({ perMm, re: [], im: [], power: [] });

/** Works out such of a field’s waves as are not known yet. @param indices of `perMm` */
function addWaves(waves: Waves, field: Field, indices: ReadonlySet<number>): void {
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
interface Pattern {
  readonly firstRow: number;
  readonly re: readonly Float32Array[];
  readonly im: readonly Float32Array[];
}

/** Draws a repeat into rows and takes its waves, filtered as the picture was. */
function patternOf(seen: Seen, across: 1 | -1, pxPerMm: number): Pattern {
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
    lists.map((values) => {
      const field = { width: 1, height: rows, values, pxPerMm };
      const near = meanAround(field, threadWidthMm).values;
      const wide = meanAround(field, 1.2).values;
      return near.map((value, i) => value - wide[i]!);
    });
  return { firstRow, re: filtered(re), im: filtered(im) };
}

interface Best {
  score: number;
  row: number;
  phase: number;
  repeatMm: number;
  turned: readonly [1 | -1, 1 | -1];
  lighter: boolean;
}

type Turned = Best & { readonly angle: number };

/** How a stitch lies, and whether its thread is lighter than the cloth. */
type Way = Pick<FoundSeam, 'turned' | 'lighter'>;

const isSameWay = (a: Way, b: Way) => a.turned === b.turned && a.lighter === b.lighter;

const phases = 32;

/** How well a pattern lies on every row and at every place of its repeat; the best of them. */
function bestOf(
  { re, im, power, perMm }: Waves,
  pattern: Pattern,
  repeatMm: number,
  { turned, lighter }: Way,
): Best {
  const height = re[0]?.length ?? 0;
  const rows = pattern.re[0]!.length;
  // No wave of no length: a fold is a line too, and a stitch is one that dips at every hole.
  const waves = Array.from({ length: mostWaves + 1 }, (_, k) => k).slice(1);
  const at = waves.map((k) => round(k / repeatMm / perMm));
  // What the cloth alone would give, so that all waves count by what they can tell.
  let variance = 0;
  waves.forEach((k, i) => {
    let energy = 0;
    for (let row = 0; row < rows; row++) {
      energy += pattern.re[k]![row]! ** 2 + pattern.im[k]![row]! ** 2;
    }
    variance += energy / (2 * power[at[i]!]!);
  });
  const best: Best = { score: 0, row: 0, phase: 0, repeatMm, turned, lighter };
  const sign = lighter ? 1 : -1;
  const scale = 1 / sqrt(max(variance, 1e-30));
  const [along] = turned;
  const count = waves.length;
  const [a, b] = [new Float64Array(count), new Float64Array(count)];
  for (let row = -pattern.firstRow; row + pattern.firstRow + rows <= height; row++) {
    let most = 0;
    for (let i = 0; i < count; i++) {
      const [hr, hi] = [re[at[i]!]!, im[at[i]!]!];
      const [tr, ti] = [pattern.re[waves[i]!]!, pattern.im[waves[i]!]!];
      let [real, imaginary] = [0, 0];
      for (let r = 0, y = row + pattern.firstRow; r < rows; r++, y++) {
        // Turned along, the pattern’s waves run the other way.
        const imag = along * ti[r]!;
        real += hr[y]! * tr[r]! + hi[y]! * imag;
        imaginary += hi[y]! * tr[r]! - hr[y]! * imag;
      }
      a[i] = real / power[at[i]!]!;
      b[i] = imaginary / power[at[i]!]!;
      most += hypot(a[i]!, b[i]!);
    }
    // Not even with all waves in step would it be better.
    if (most * scale <= best.score) continue;
    for (let p = 0; p < phases; p++) {
      const turn = (2 * PI * p) / phases;
      let sum = 0;
      for (let i = 0; i < count; i++) {
        sum += a[i]! * cos(waves[i]! * turn) - b[i]! * sin(waves[i]! * turn);
      }
      const score = sign * sum * scale;
      if (score > best.score) Object.assign(best, { score, row, phase: p / phases });
    }
  }
  return best;
}

/** Ways a stitch may lie: the scrap the other way round, and its other face up. */
const turns: readonly (readonly [1 | -1, 1 | -1])[] = [
  [1, 1],
  [-1, -1],
  [1, -1],
  [-1, 1],
];

/** Whether every hole lies as far across as every other. */
const isLine = ({ holes }: Seen) => holes.every(({ acrossMm }) => acrossMm === holes[0]!.acrossMm);

/** Whether a stitch sewn backwards looks as it does forwards, shifted along. */
function isSameBackwards({ holes, repeatMm }: Seen): boolean {
  const near = (a: number, b: number) => {
    const apart = (((a - b) % repeatMm) + repeatMm) % repeatMm;
    return min(apart, repeatMm - apart) < 1e-6;
  };
  return holes.some((about) =>
    holes.every((one) =>
      holes.some(
        (other) =>
          other.acrossMm === one.acrossMm && near(other.alongMm, 2 * about.alongMm - one.alongMm),
      ),
    ),
  );
}

/** The ways of lying that look different from one another. */
function waysOf(seen: Seen): typeof turns {
  if (seen.kind === 'pricks' || isLine(seen)) return turns.slice(0, 1);
  return isSameBackwards(seen) ? [turns[0]!, turns[2]!] : turns;
}

/**
 * Finds where a seam may lie, by its stitch: rows along every likely direction are taken apart into waves, and the
 * stitch’s own waves laid on them, at every place across, of every length the machine’s may have
 * become. Each wave counts by how much it stands out from what the cloth has of it, so that stripes
 * and weave are not taken for thread. The likeliest comes first. Source: docs/formulas.md, “The eye”.
 *
 * @param field what stands out of the window, about 4 px a mm
 * @param onShare progress, 0 to 1; false stops
 * @param along the direction it runs in, where that is known, radians
 * @returns null where it was stopped
 */
export function findSeams(
  field: Field,
  seen: Seen,
  onShare: (share: number) => boolean = () => true,
  along?: number,
): FoundSeam[] | null {
  const { width, height, pxPerMm } = field;
  const most = mostSpreads * spreadOf(field.values);
  const clipped = {
    ...field,
    values: field.values.map((value) => max(-most, min(most, value))),
  };
  const lengthMm = width / pxPerMm;
  // Two steps for every wave that can be told from the next one.
  const perMm = 1 / (2 * lengthMm);
  const count = max(1, ceil(mostOffLength * 2 * (lengthMm / seen.repeatMm) * mostWaves));
  const repeats = Array.from(
    { length: 2 * count + 1 },
    (_, i) => seen.repeatMm / (1 + ((i - count) / count) * mostOffLength),
  );
  const waveAt = (mm: number, k: number) => round(k / mm / perMm);
  const ways = waysOf(seen).flatMap((turned): Way[] => [
    { turned, lighter: true },
    { turned, lighter: false },
  ]);
  // The machine’s own length is what one expects; thread must speak for another.
  const weightOf = ({ score, repeatMm }: Best) =>
    (score / scoreInflated) ** 2 - (Math.log(repeatMm / seen.repeatMm) / lengthSpread) ** 2;
  const turnedTo = new Map<number, { readonly field: Field; readonly waves: Waves }>();
  /** The best of every way of lying. */
  const look = (angle: number, lengths: readonly number[], among: typeof ways): Turned[] => {
    const indices = new Set(
      lengths.flatMap((mm) => Array.from({ length: mostWaves + 1 }, (_, k) => waveAt(mm, k))),
    );
    // Ways that are gone uphill by themselves come through the same directions.
    const key = round(angle * 1e5);
    const known = turnedTo.get(key) ?? { field: turnedBy(clipped, angle), waves: noWaves(perMm) };
    turnedTo.set(key, known);
    const { field: turnedField, waves } = known;
    addWaves(waves, turnedField, indices);
    return among.map((way) => {
      const pattern = patternOf(seen, way.turned[1], pxPerMm);
      return lengths
        .map((repeatMm) => ({ ...bestOf(waves, pattern, repeatMm, way), angle }))
        .reduce((best, one) => (weightOf(one) > weightOf(best) ? one : best));
    });
  };
  const angles = along === undefined ? likelyAngles(clipped) : [along];
  const first: Turned[] = [];
  for (const [i, angle] of angles.entries()) {
    // Every way of lying by itself: which is right may be told by what lies beside it.
    first.push(...look(angle, repeats, ways));
    if (!onShare((0.7 * (i + 1)) / angles.length)) return null;
  }
  first.sort((a, b) => weightOf(b) - weightOf(a));
  // The straightest line of all is the fold, if there is one, and the seam runs along it.
  const starts = ways.flatMap((way) => {
    const [one, other, ...rest] = first.filter((it) => isSameWay(it, way));
    return [one, other, rest.find(({ angle }) => angle === angles[0])].filter(
      (it) => it !== undefined,
    );
  });
  const found: Turned[] = [];
  for (let best of starts) {
    // Uphill from there, at about the length that was found, by ever smaller turns.
    let stepDegrees = angleStepDegrees;
    for (let i = 0; i < mostSteps && stepDegrees > leastStepDegrees; i++) {
      const { angle, repeatMm } = best;
      const near = repeats.filter((mm) => abs(mm / repeatMm - 1) < 1.5 * (mostOffLength / count));
      let isBetter = false;
      for (const side of [-1, 1]) {
        const [beside] = look(angle + (side * stepDegrees * PI) / 180, near, [best]);
        if (beside && weightOf(beside) > weightOf(best)) {
          best = beside;
          isBetter = true;
        }
      }
      if (!isBetter) stepDegrees /= 2;
    }
    const isKnown = found.some(
      (other) => other.turned === best.turned && abs(other.row - best.row) <= sameMm * pxPerMm,
    );
    if (!isKnown) found.push(best);
    if (!onShare(0.7 + (0.3 * found.length) / starts.length)) return null;
  }
  return found
    .sort((a, b) => weightOf(b) - weightOf(a))
    .map((one) => ({
      angle: one.angle,
      middleMm: [(width - 1) / 2 / pxPerMm, (height - 1) / 2 / pxPerMm],
      acrossMm: (one.row - (height - 1) / 2) / pxPerMm,
      alongMm: one.phase * one.repeatMm,
      repeatMm: one.repeatMm,
      turned: one.turned,
      lighter: one.lighter,
      score: one.score,
    }));
}
