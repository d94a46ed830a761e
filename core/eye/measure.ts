import { Impossible, refusal } from '../impossible';
import type { Fault } from '../margin/check';
import type { Penetration } from '../stitch/stitch';
import type { Expected, Judged } from './expected';
import { coarser, flattened, standingOut, toned, type Field } from './flatten';
import { findSeams, type FoundSeam } from './find-seam';
import type { ScaledImage } from './grey';
import { inWindow } from './on-seam';
import { findPricks } from './pricks';
import { prickRow } from './prick-row';
import { referenceLine, type ReferenceLine } from './reference-line';
import { middleOf, plainness, traced, type TracedHole } from './trace';

/** One find on a scrap. */
export interface MeasuredStitch {
  readonly kind: 'bite' | 'run' | 'swing' | 'line';
  /** From the window’s upper left corner, mm. */
  readonly atMm: readonly [xMm: number, yMm: number];
  /** The value of the counted check: how deep a bite goes, how far a line lies from its edge. */
  readonly depthMm: number | null;
  /** How far that may be off, one spread, mm. */
  readonly depthSpreadMm: number | null;
  readonly fault: Fault | null;
  /** How sure it is that it is judged rightly, 0 … 1. */
  readonly sure: number;
  /** Whether it is one of those that are counted. */
  readonly counted: boolean;
}

/** What a picture of one face of a scrap tells. */
export interface MeasuredScrap {
  readonly stitches: readonly MeasuredStitch[];
  /** Null where the face shows nothing that the check could be judged by. */
  readonly counts: {
    readonly check: string;
    readonly n: number;
    readonly short: number;
    readonly over: number;
  } | null;
  readonly lengthMm: { readonly mean: number; readonly sd: number };
  /** From the outermost holes on one side to those on the other; null for a line. */
  readonly widthMm: number | null;
  /** The line it was measured from, as two places in the window. */
  readonly reference: readonly (readonly [number, number])[] | null;
  /** How sure it is that the counts are right to within one, 0 … 1. */
  readonly sure: number;
}

/** Below this, what was found may be weave or print. */
const leastScore = 7;
/** Two plain pricks in a row at the right spacing, or more that are fainter; bare cloth has half. */
const leastPrickScore = 7.5;
/** A seam has at least so many holes, each much likelier thread than cloth, in log. */
const leastHoles = 4;
const leastLogOdds = 3;
/** A thread stands out on both sides by 6 spreads of the cloth or more; a shadow by 3. */
const leastPlainness = 4;
/** What lies beside so many of the likeliest ways of lying is looked for. */
const mostLooked = 3;
/** Thread to both its neighbours is twice as likely as thread to one. */
const wholeShare = 0.6;
/** Ways of lying that follow the thread nearly as well as the best. */
const nearlyAsPlain = 0.95;
/** Fine enough for a thread of 0.3 mm and a tenth of a millimetre of depth. */
const finePxPerMm = 12;
/** Coarse enough to look everywhere. */
const coarsePxPerMm = 4;
/** What rectifying, a fold that is not quite straight, and thread’s own width leave open, mm. */
const leftOpenMm = 0.05;

/** The normal distribution function. Abramowitz and Stegun 26.2.17, to 1e-7. */
function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    Math.exp((-z * z) / 2) *
    0.3989422804 *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - tail : tail;
}

const faultOf = (value: number, { loMm, hiMm, below: under, above }: Judged): Fault | null =>
  value < loMm ? under : value > hiMm ? above : null;

/** How sure a value lies in the zone it was put into. */
function sureOf(value: number, spread: number, { loMm, hiMm }: Judged): number {
  const [low, high] = [below((loMm - value) / spread), below((hiMm - value) / spread)];
  return value < loMm ? low : value > hiMm ? 1 - high : high - low;
}

/** The chance that so many independent judgements are wrong at most once. */
function atMostOneWrong(sures: readonly number[]): number {
  let [none, one] = [1, 0];
  for (const sure of sures) {
    one = one * sure + none * (1 - sure);
    none *= sure;
  }
  return none + one;
}

const kindOf = (role: Penetration['role'], isLine: boolean): MeasuredStitch['kind'] =>
  isLine ? 'line' : role;

function meanAndSpread(values: readonly number[]): { mean: number; sd: number } {
  const mean = values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
  const square = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return { mean, sd: values.length > 1 ? Math.sqrt(square / (values.length - 1)) : 0 };
}

/**
 * The part of a thread that is there: the longest stretch of holes between which thread is likelier
 * than cloth, gaps of a hole or two let through.
 */
function sewnPart(thread: readonly TracedHole[]): TracedHole[] {
  const order = [...thread].sort((a, b) => a.alongMm - b.alongMm);
  let best: [number, number] = [0, 0];
  let [start, sum] = [0, 0];
  let most = 0;
  order.forEach(({ logOdds }, i) => {
    if (sum <= 0) [start, sum] = [i, 0];
    sum += Math.max(-6, Math.min(6, logOdds));
    if (sum > most) {
      most = sum;
      best = [start, i + 1];
    }
  });
  const [from, to] = [order[best[0]]?.alongMm ?? 0, order[best[1] - 1]?.alongMm ?? 0];
  const sewn = thread.filter(({ alongMm }) => alongMm >= from && alongMm <= to);
  // At either end a hole that thread comes to from one side only lies anywhere along it.
  const half = wholeShare * middleOf(sewn.map(({ logOdds }) => logOdds));
  const whole = sewn.filter(({ logOdds }) => logOdds >= half).map(({ alongMm }) => alongMm);
  const ends = [Math.min(...whole), Math.max(...whole)] as const;
  return sewn.filter(({ alongMm }) => alongMm >= ends[0] && alongMm <= ends[1]);
}

/** How long stitches are by how far apart like holes of neighbouring repeats lie. */
function lengthsOf(thread: readonly TracedHole[], stitches: number): number[] {
  return thread.flatMap((one) => {
    const next = thread.find(({ hole, repeat }) => hole === one.hole && repeat === one.repeat + 1);
    return next ? [Math.abs(next.alongMm - one.alongMm) / stitches] : [];
  });
}

const isLineOf = ({ holes }: Expected['seen']) =>
  holes.every(({ acrossMm }) => acrossMm === holes[0]!.acrossMm);

const hasBites = ({ holes }: Expected['seen']) => holes.some(({ role }) => role === 'bite');

/** The same line with what it was led along on its other side. */
const mirrored = (seam: FoundSeam): FoundSeam => ({ ...seam, turned: [seam.turned[0], -1] });

function measureThread(
  { seen, judged }: Expected,
  tones: Field,
  standing: Field,
  seams: readonly FoundSeam[],
  findAlong: (angle: number) => readonly FoundSeam[],
): MeasuredScrap {
  const { pxPerMm } = tones;
  const likely = (thread: readonly TracedHole[]) =>
    thread.reduce((sum, { logOdds }) => sum + logOdds, 0);
  const sightOf = (one: FoundSeam) => ({
    seam: one,
    thread: sewnPart(traced(standing, seen, one)),
  });
  const sights = seams
    .flatMap((one) => (isLineOf(seen) ? [one, mirrored(one)] : [one]))
    .map(sightOf);
  // A seam runs along what it was led along, which is the straighter of the two.
  const beside = seams
    .slice(0, mostLooked)
    .map((one, i) => ({ one, line: referenceLine(tones, one, sights[i]!.thread) }))
    .sort((x, y) => (y.line?.total ?? -1e9) - (x.line?.total ?? -1e9))[0];
  if (beside?.line && seen.reference !== null) {
    sights.push(...findAlong(beside.one.angle + beside.line.slope).map(sightOf));
  }
  const plain = sights.map(({ seam, thread }) => plainness(standing, seam, thread));
  const most = Math.max(...plain);
  const [best] = sights
    .filter((_, i) => plain[i]! >= nearlyAsPlain * most)
    .map((sight) => ({
      ...sight,
      // A swing over a raw edge changes from cloth to paper on its way: it is counted by hand.
      line:
        seen.reference === null || !hasBites(seen)
          ? null
          : referenceLine(tones, sight.seam, sight.thread),
    }))
    // Where thread alone leaves open how a stitch lies, what it was led along says.
    .sort(
      (a, b) =>
        (b.line?.total ?? -1e9) - (a.line?.total ?? -1e9) || likely(b.thread) - likely(a.thread),
    );
  if (!best) return refuse('no-stitch', noStitch);
  const { seam, thread, line } = best;
  // A hole or two that might be thread are weave.
  const isPlain = most >= leastPlainness && likely(thread) >= leastLogOdds * thread.length;
  if (thread.length < leastHoles || !isPlain) {
    refuse('no-stitch', noStitch);
  }
  const isLine = isLineOf(seen);
  const stitches = thread.map((one): MeasuredStitch => {
    const { hole, alongMm, acrossMm, acrossSpreadMm, logOdds } = one;
    const there = 1 / (1 + Math.exp(-logOdds));
    const common = {
      kind: kindOf(hole.role, isLine),
      atMm: inWindow(seam, pxPerMm, [alongMm, acrossMm]),
      counted: hole.counted,
    };
    if (!line || !hole.counted) {
      return { ...common, depthMm: null, depthSpreadMm: null, fault: null, sure: there };
    }
    const edge = line.acrossMm + line.slope * alongMm;
    const depthMm = judged.valueMm(seam.turned[1] * (acrossMm - edge));
    const spread = Math.hypot(acrossSpreadMm, line.spreadMm, leftOpenMm);
    return {
      ...common,
      ...{ depthMm, depthSpreadMm: spread, fault: faultOf(depthMm, judged) },
      sure: there * sureOf(depthMm, spread, judged),
    };
  });
  const counted = stitches.filter((stitch) => stitch.counted);
  const of = (fault: Fault) => counted.filter((stitch) => stitch.fault === fault).length;
  const lengths = meanAndSpread(lengthsOf(thread, seen.stitches));
  const offs = (side: 1 | -1) =>
    middleOf(
      thread
        .filter(({ hole }) => isOutermost(hole.acrossMm, seen.holes, side))
        .map(({ acrossMm }) => acrossMm),
    );
  return {
    stitches,
    counts: line && {
      ...{ check: judged.check, n: counted.length },
      ...{ short: of(judged.below), over: of(judged.above) },
    },
    lengthMm: lengths.mean > 0 ? lengths : { mean: seam.repeatMm / seen.stitches, sd: 0 },
    widthMm: isLine ? null : Math.abs(offs(1) - offs(-1)),
    reference: line && referenceEnds(line, seam, thread, pxPerMm),
    sure: line ? atMostOneWrong(counted.map(({ sure }) => sure)) : 0,
  };
}

/** The two ends of the line that was measured from, in the window. */
function referenceEnds(
  { acrossMm, slope }: ReferenceLine,
  seam: FoundSeam,
  thread: readonly TracedHole[],
  pxPerMm: number,
) {
  const along = thread.map(({ alongMm }) => alongMm);
  return [Math.min(...along), Math.max(...along)].map((mm) =>
    inWindow(seam, pxPerMm, [mm, acrossMm + slope * mm]),
  );
}

const isOutermost = (acrossMm: number, holes: Expected['seen']['holes'], side: 1 | -1): boolean =>
  holes.every((other) => side * (acrossMm - other.acrossMm) >= -1e-9);

function measurePricks(
  { seen, judged }: Expected,
  standing: Field,
  seam: FoundSeam,
): MeasuredScrap {
  const pricks = findPricks(standing, seen, seam);
  const stitches = pricks.map(({ alongMm, acrossMm, shows, shownMm, spreadMm }): MeasuredStitch => {
    const depthMm = judged.valueOfShownMm(shownMm);
    const fault = depthMm === null ? null : faultOf(depthMm, judged);
    const isSeen = shownMm > 0;
    return {
      kind: 'bite',
      atMm: inWindow(seam, standing.pxPerMm, [alongMm, acrossMm]),
      ...{ depthMm, depthSpreadMm: depthMm === null ? null : spreadMm, fault },
      sure:
        (isSeen ? shows : 1 - shows) * (depthMm === null ? 1 : sureOf(depthMm, spreadMm, judged)),
      counted: true,
    };
  });
  const found = pricks.filter(({ shownMm }) => shownMm > 0);
  const apart = meanAndSpread(
    found.flatMap((one) => {
      const next = found.find(({ repeat, hole }) => hole === one.hole && repeat === one.repeat + 1);
      return next ? [Math.abs(next.alongMm - one.alongMm) / seen.stitches] : [];
    }),
  );
  return {
    stitches,
    counts: {
      check: judged.check,
      n: stitches.length,
      short: 0,
      over: stitches.filter(({ fault }) => fault === judged.above).length,
    },
    lengthMm: apart.mean > 0 ? apart : { mean: seam.repeatMm / seen.stitches, sd: 0 },
    widthMm: null,
    reference: null,
    sure: atMostOneWrong(stitches.map(({ sure }) => sure)),
  };
}

/**
 * Measures what lies in the window: where the stitch runs, its holes, how deep each bite goes or how
 * far each stitch lies from its edge, and which are faulty.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param window the card’s window laid flat, 8 px a mm or more
 * @param onShare progress, 0 to 1; false stops
 * @returns null where it was stopped
 * @throws Impossible where no stitch is told from the cloth
 */
export function measureScrap(
  window: ScaledImage,
  expected: Expected,
  onShare: (share: number) => boolean = () => true,
): MeasuredScrap | null {
  const flat = flattened(window);
  const standing = standingOut(flat);
  if (!onShare(0.15)) return null;
  const times = Math.max(1, Math.floor(window.pxPerMm / finePxPerMm));
  const fine = coarser(standing, times);
  if (expected.seen.kind === 'pricks') {
    const row = prickRow(coarser(flat, times), expected.seen);
    if (!row || row.score < leastPrickScore) refuse('no-prick', noPrick);
    const measured = measurePricks(expected, fine, row);
    return onShare(1) ? measured : null;
  }
  const coarse = coarser(standing, Math.max(1, Math.floor(window.pxPerMm / coarsePxPerMm)));
  const seams = findSeams(coarse, expected.seen, (share) => onShare(0.15 + 0.6 * share));
  if (!seams) return null;
  if ((seams[0]?.score ?? 0) < leastScore) refuse('no-stitch', noStitch);
  const measured = measureThread(
    expected,
    coarser(toned(window), times),
    fine,
    seams,
    (angle) => findSeams(coarse, expected.seen, undefined, angle) ?? [],
  );
  return onShare(1) ? measured : null;
}

const noStitch =
  'No stitch of this kind is told from the cloth: thread and cloth have the same colour here, or another seam lies in the window. Light it from the side, sew the scrap with another thread, or count by hand.';
const noPrick =
  'No row of bites is seen on this side. If you see none either, none shows; else light it from the side, or count by hand.';

/** @throws Impossible always */
function refuse(code: string, message: string): never {
  throw new Impossible([refusal('picture', code, message)]);
}
