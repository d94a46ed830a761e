import { spreadOf, type Field } from './flatten';
import { angleStepDegrees, likelyAngles } from './seam-angles';
import { isLine, type Seen } from './seen';
import {
  laidWave,
  mostWaves,
  patternOf,
  turnedBy,
  wavesOf,
  type LaidWave,
  type Pattern,
  type Rows,
  type Waves,
} from './waves';

// Asked for at every pixel.
const { abs, ceil, cos, max, min, PI, round, sin, sqrt } = Math;

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

/** Two that lie no farther apart are one, mm. */
const sameMm = 0.3;
/** So near to what is known to be something else there is no seam, mm. */
const besideMm = 0.7;
/** Turned a little, it stays within so much of where it was, mm; the window is gone through in bands of that. */
const bandMm = 3;
/**
 * What scores less than so much of the best before it is turned nearer is not gone on with: of 170 photos none was measured
 * otherwise for it. Of a line all is, since a fold and a shadow beside it may score more.
 */
const hopefulShare = 0.45;
/** From the likeliest it is turned nearer, by ever less, at most so often. */
const mostSteps = 10;
const leastStepDegrees = 0.06;
/** How far the machine’s stitch length may be off: its feed, the cloth, the pull. */
const mostOffLength = 0.12;
/** How far it usually is, one spread of its logarithm. */
const lengthSpread = 0.06;
/** Pixels beside each other show the same; scores are so many times what even ones would give. */
const scoreInflated = 3;
/** A single speck or seam edge is not worth more than this many spreads. */
const mostSpreads = 4;

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
export type Way = Pick<FoundSeam, 'turned' | 'lighter'>;

const isSameWay = (a: Way, b: Way) =>
  a.turned[0] === b.turned[0] && a.turned[1] === b.turned[1] && a.lighter === b.lighter;

const phases = 32;
/**
 * What a stitch is told by: its waves alone, since a fold is a line too and has none; or its line
 * besides, for a straight stitch whose holes are not to be seen.
 */
export type ToldBy = 'waves' | 'line';
/** Those of a stitch’s waves that a picture of so many px a mm shows: two px for each at least. */
const waveNumbersOf = (by: ToldBy, shortestMm: number, pxPerMm: number): number[] =>
  Array.from({ length: mostWaves + 1 }, (_, k) => k)
    .slice(by === 'line' ? 0 : 1)
    .filter((k) => k / shortestMm <= pxPerMm / 2);
/** How each wave stands after each share of a repeat. */
const turned = Array.from({ length: mostWaves + 1 }, (_, k) => {
  const turns = Array.from({ length: phases }, (_, p) => (2 * PI * k * p) / phases);
  return { cos: turns.map(cos), sin: turns.map(sin) };
});

/** How well a pattern lies on every row and at every place of its repeat; the best of them. */
function bestOf(
  laid: readonly LaidWave[],
  waveNumbers: readonly number[],
  firstRow: number,
  repeatMm: number,
  { turned: lying, lighter }: Way,
  isFree: (row: number) => boolean,
): Best {
  const best: Best = { score: 0, row: 0, phase: 0, repeatMm, turned: lying, lighter };
  const sign = lighter ? 1 : -1;
  const variance = laid.reduce((sum, wave) => sum + wave.variance, 0);
  const scale = 1 / sqrt(max(variance, 1e-30));
  const rows = laid[0]!.re.length;
  // By name and not by place: asked for at every place of every row.
  const waves = laid.map(({ re, im }, i) => ({ re, im, ...turned[waveNumbers[i]!]! }));
  const sums = new Float64Array(phases);
  for (let row = 0; row < rows; row++) {
    let most = 0;
    for (const { size } of laid) most += size[row]!;
    // Not even with all waves in step would it be better.
    if (most * scale <= best.score || !isFree(firstRow + row)) continue;
    sums.fill(0);
    for (const { re, im, cos: c, sin: s } of waves) {
      const real = re[row]!;
      const imaginary = im[row]!;
      for (let p = 0; p < phases; p++) sums[p]! += real * c[p]! - imaginary * s[p]!;
    }
    for (let p = 0; p < phases; p++) {
      const score = sign * sums[p]! * scale;
      if (score > best.score) {
        Object.assign(best, { score, row: firstRow + row, phase: p / phases });
      }
    }
  }
  return best;
}

/** A direction’s waves from a row on, and of each repeat length the pattern’s laid on them; each is laid once. */
function layerOf(firstRow: number, waves: Waves) {
  const known = new Map<string, LaidWave>();
  const laid = (
    pattern: Pattern,
    waveNumbers: readonly number[],
    { turned: [along, across] }: Way,
    repeatMm: number,
  ): LaidWave[] =>
    waveNumbers.map((k) => {
      const index = round(k / repeatMm / waves.perMm);
      const key = `${along} ${across} ${k} ${index}`;
      const laid = known.get(key) ?? laidWave(waves, pattern, k, index, along);
      known.set(key, laid);
      return laid;
    });
  return { firstRow, waves, laid };
}

type Layer = ReturnType<typeof layerOf>;

/** Ways a stitch may lie: the scrap the other way round, and its other face up. */
const turns: readonly (readonly [1 | -1, 1 | -1])[] = [
  [1, 1],
  [-1, -1],
  [1, -1],
  [-1, 1],
];

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

/** Which seam is looked for, where more is known than its stitch. */
export interface Sought {
  /** The direction it runs in, radians. */
  readonly along?: number;
  readonly by?: ToldBy;
  /** Whether its thread is lighter than the cloth: half a repeat on, a darker zigzag looks like that. */
  readonly lighter?: boolean;
  /** It lies in one of these ways. */
  readonly only?: readonly Way[] | undefined;
  /** What lies so far across is known to be something else, mm. */
  readonly except?: readonly number[];
  /** Progress, 0 to 1; false stops. */
  readonly onShare?: (share: number) => boolean;
}

/** @returns where a seam may lie, the likeliest first; null where it was stopped */
export type SeamFinder = (sought?: Sought) => FoundSeam[] | null;

/**
 * Finds where a seam may lie, by its stitch: rows along every likely direction are taken apart into waves, and the
 * stitch’s own waves laid on them, at every place across, of every length the machine’s may have
 * become. Each wave counts by how much it stands out from what the cloth has of it, so that stripes
 * and weave are not taken for thread. What a direction’s rows are made of is worked out once,
 * however often a seam is looked for. Source: docs/formulas.md, “The eye”.
 *
 * @param field what stands out of the window, about 4 px a mm
 */
export function seamFinder(field: Field, seen: Seen): SeamFinder {
  const { width, height, pxPerMm } = field;
  const most = mostSpreads * spreadOf(field.values);
  const clipped = {
    ...field,
    values: field.values.map((value) => max(-most, min(most, value))),
  };
  const lengthMm = width / pxPerMm;
  const count = max(1, ceil(mostOffLength * 2 * (lengthMm / seen.repeatMm) * mostWaves));
  const repeats = Array.from(
    { length: 2 * count + 1 },
    (_, i) => seen.repeatMm / (1 + ((i - count) / count) * mostOffLength),
  );
  const finestPerMm = (mostWaves * (1 + mostOffLength)) / seen.repeatMm;
  const patterns = { '1': patternOf(seen, 1, pxPerMm), '-1': patternOf(seen, -1, pxPerMm) };
  const ways = waysOf(seen).flatMap((turned): Way[] => [
    { turned, lighter: true },
    { turned, lighter: false },
  ]);
  // The machine’s own length is what one expects; thread must speak for another.
  const weightOf = ({ score, repeatMm }: Best) =>
    (score / scoreInflated) ** 2 - (Math.log(repeatMm / seen.repeatMm) / lengthSpread) ** 2;
  const whole: Rows = [0, height];
  const layers = new Map<string, Layer>();
  // Ways that are gone uphill by themselves come through the same directions.
  const turnedTo = (angle: number, rows: Rows, usual?: Waves['power']): Layer => {
    const key = `${round(angle * 1e5)} ${rows.join()}`;
    const known =
      layers.get(key) ??
      layerOf(rows[0], wavesOf(turnedBy(clipped, angle, rows), finestPerMm, usual));
    layers.set(key, known);
    return known;
  };
  const inBand = round(bandMm * pxPerMm);
  /** What a stitch covers that lies within a band’s width of the band it was found in. */
  const around = ({ row, turned: [, across] }: Best): Rows => {
    const { firstRow: above, re } = patterns[across];
    const first = round(row / inBand) * inBand + above - inBand;
    return [max(0, first), min(height, first + re[0]!.length + 2 * inBand)];
  };
  return ({
    along,
    by = 'waves',
    lighter,
    only = ways,
    except = [],
    onShare = () => true,
  } = {}) => {
    const possible = ways.filter(
      (way) =>
        (lighter === undefined || way.lighter === lighter) &&
        only.some((one) => isSameWay(one, way)),
    );
    const waveNumbers = waveNumbersOf(by, seen.repeatMm / (1 + mostOffLength), pxPerMm);
    const isFree = (row: number) =>
      except.every((mm) => abs((row - (height - 1) / 2) / pxPerMm - mm) > besideMm);
    /** The best of every way of lying. */
    const look = (
      angle: number,
      lengths: readonly number[],
      among: typeof ways,
      { firstRow, laid }: Layer = turnedTo(angle, whole),
    ): Turned[] =>
      among.map((way) => {
        const pattern = patterns[way.turned[1]];
        return lengths
          .map((mm) => ({
            ...bestOf(
              laid(pattern, waveNumbers, way, mm),
              waveNumbers,
              firstRow - pattern.firstRow,
              mm,
              way,
              isFree,
            ),
            angle,
          }))
          .reduce((best, one) => (weightOf(one) > weightOf(best) ? one : best));
      });
    const angles = along === undefined ? likelyAngles(clipped) : [along];
    const first: Turned[] = [];
    for (const [i, angle] of angles.entries()) {
      // Every way of lying by itself: which is right may be told by what lies beside it.
      first.push(...look(angle, repeats, possible));
      if (!onShare((0.7 * (i + 1)) / angles.length)) return null;
    }
    first.sort((a, b) => weightOf(b) - weightOf(a));
    const highest = first.reduce((best, { score }) => max(best, score), 0);
    // The straightest line of all is the fold, if there is one, and the seam runs along it.
    const starts = possible.flatMap((way) => {
      const [one, other, ...rest] = first.filter((it) => isSameWay(it, way));
      return [one, other, rest.find(({ angle }) => angle === angles[0])].filter(
        (it) => it !== undefined && (isLine(seen) || it.score >= hopefulShare * highest),
      ) as Turned[];
    });
    const found: Turned[] = [];
    // What cloth alone has is told by whole pictures; it is the same for all that are held against each other.
    const { power } = turnedTo(angles[0]!, whole).waves;
    for (const start of starts) {
      const rows = around(start);
      const nearer = (angle: number, lengths: readonly number[], way: Way) =>
        look(angle, lengths, [way], turnedTo(angle, rows, power))[0]!;
      let best = nearer(start.angle, [start.repeatMm], start);
      // Uphill from there, at about the length that was found, by ever smaller turns.
      let stepDegrees = angleStepDegrees;
      for (let i = 0; i < mostSteps && stepDegrees > leastStepDegrees; i++) {
        const { angle, repeatMm } = best;
        const near = repeats.filter((mm) => abs(mm / repeatMm - 1) < 1.5 * (mostOffLength / count));
        let isBetter = false;
        for (const side of [-1, 1]) {
          const beside = nearer(angle + (side * stepDegrees * PI) / 180, near, best);
          if (weightOf(beside) > weightOf(best)) {
            best = beside;
            isBetter = true;
          }
        }
        if (!isBetter) stepDegrees /= 2;
      }
      const isKnown = found.some(
        (other) => isSameWay(other, best) && abs(other.row - best.row) <= sameMm * pxPerMm,
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
  };
}
