import type { Fault } from '../margin/check';
import type { Penetration } from '../stitch/stitch';
import type { Expected } from './expected';
import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { atMostOneWrong, faultOf, sureOf } from './how-sure';
import { meanAndSpread } from './mean-and-spread';
import type { MeasuredScrap, MeasuredStitch } from './measured-scrap';
import { inWindow } from './on-seam';
import { referenceLine, threadMm, type ReferenceLine } from './reference-line';
import { refuse } from './refused';
import { isLine, isMeasurable, swingsAtRawEdge, type Seen } from './seen';
import { sewnPart } from './sewn-part';
import { spacedByDips } from './stitch-length';
import { isClearOf, laidAlong, mirrored } from './straight-line';
import { middleOf } from './middle';
import { endsSettled, plainness, traced, type TracedHole } from './trace';

/** A seam has at least so many holes, each much likelier thread than cloth, in log. */
const leastHoles = 4;
const leastLogOdds = 3;
/** A thread stands out on both sides by 6 spreads of the cloth or more; a shadow by 3. */
const leastPlainness = 4;
/** What lies beside so many of the likeliest ways of lying is looked for. */
const mostLooked = 3;
/** Ways of lying that follow the thread nearly as well as the best. */
const nearlyAsPlain = 0.85;
/** The same of lines beside each other, which look as plain the other way round. */
const asPlainOtherWay = 0.6;
/** Which way round they lie is told by a line that is plainer by so much, in log. */
const surerBy = 2;
/** What stitches are led along that is a line on the cloth, and no step from one cloth to another. */
const drawnReferences = new Set(['hemline', 'ridge of the old hem']);
/**
 * What rectifying, a fold that is not quite straight, and thread’s own width leave open, mm: of a bite,
 * of a swing whose thread is hardly seen in the shadow of its edge or whose line may be a print’s, and of a
 * line, whose whole length one shadow may shift.
 */
const leftOpenMm = { bite: 0.035, swing: 0.1, line: 0.065 } as const;

const kindOf = (role: Penetration['role'], straight: boolean): MeasuredStitch['kind'] =>
  straight ? 'line' : role;

/** A seam and its thread. */
interface Sight {
  readonly seam: FoundSeam;
  readonly thread: readonly TracedHole[];
}

/** How long stitches are by how far apart like holes of neighbouring repeats lie. */
function lengthsOf(thread: readonly TracedHole[], stitches: number): number[] {
  return thread.flatMap((one) => {
    const next = thread.find(({ hole, repeat }) => hole === one.hole && repeat === one.repeat + 1);
    return next ? [Math.abs(next.alongMm - one.alongMm) / stitches] : [];
  });
}

/** What is looked for, and what other needles sew beside it. */
interface ExpectedThread extends Expected {
  readonly beside: readonly Seen[];
}

/**
 * Measures a thread that is seen from hole to hole: of several ways a seam may lie the plainest is
 * followed, and what it was led along looked for beside it.
 *
 * @param tones how light the window is
 * @param standing what stands out of it
 * @param seams where it may lie, the likeliest first
 * @param findAlong looks for the seam once more, in a direction
 * @throws Impossible where no thread is plain enough
 */
export function measureThread(
  { seen, judged, beside: otherLines }: ExpectedThread,
  tones: Field,
  standing: Field,
  seams: readonly FoundSeam[],
  findAlong: (angle: number) => readonly FoundSeam[],
): MeasuredScrap {
  const { pxPerMm } = tones;
  const likely = (thread: readonly TracedHole[]) =>
    thread.reduce((sum, { logOdds }) => sum + logOdds, 0);
  const straight = isLine(seen);
  const sewn = (one: FoundSeam) => {
    const thread = sewnPart(traced(standing, seen, one));
    return swingsAtRawEdge(seen) ? endsSettled(standing, seen, one, thread) : thread;
  };
  const followed = (one: FoundSeam): Sight => ({
    seam: one,
    thread: sewn(one),
  });
  const sightOf = (one: FoundSeam): Sight => {
    const sight = followed(one);
    return straight ? followed(laidAlong(sight.seam, sight.thread)) : sight;
  };
  const lines = new Map<Sight, ReferenceLine | null>();
  const lineBeside = (sight: Sight): ReferenceLine | null => {
    const known = lines.get(sight);
    if (known !== undefined) return known;
    const { seam, thread } = sight;
    const line = referenceLine(tones, seam, thread, {
      mayBeDrawn: seen.reference !== null && drawnReferences.has(seen.reference),
      // A straight line of thread is a line itself.
      besideThreadMm: straight ? 2 * threadMm : threadMm,
    });
    const found = line && (!straight || isClearOf(line, seam, thread)) ? line : null;
    lines.set(sight, found);
    return found;
  };
  const sights = seams
    .flatMap((one) => (straight ? [one, mirrored(one, seen.holes[0]!.acrossMm)] : [one]))
    .map(sightOf);
  // A seam runs along what it was led along, which is the straighter of the two.
  const beside = seams
    .slice(0, mostLooked)
    .map((one, i) => ({ one, line: lineBeside(sights[straight ? 2 * i : i]!) }))
    .sort((x, y) => (y.line?.total ?? -1e9) - (x.line?.total ?? -1e9))[0];
  if (beside?.line && seen.reference !== null) {
    sights.push(...findAlong(beside.one.angle + beside.line.slope).map(sightOf));
  }
  /** As plain as the least plain of the lines that lie beside each other. */
  const plain = sights.map(({ seam, thread }) =>
    Math.min(
      plainness(standing, seam, thread),
      ...otherLines.map((line) =>
        plainness(standing, seam, sewnPart(traced(standing, line, seam))),
      ),
    ),
  );
  const total = sights.map(({ thread }, i) => plain[i]! * Math.sqrt(thread.length));
  const most = Math.max(...total);
  const [best, ...others] = sights
    .filter((_, i) => total[i]! >= (otherLines.length > 0 ? asPlainOtherWay : nearlyAsPlain) * most)
    .map((sight) => ({
      ...sight,
      plain: plain[sights.indexOf(sight)]!,
      line: isMeasurable(seen) ? lineBeside(sight) : null,
    }))
    // Where thread alone leaves open how a stitch lies, what it was led along says.
    .sort(
      (a, b) =>
        (b.line?.total ?? -1e9) - (a.line?.total ?? -1e9) || likely(b.thread) - likely(a.thread),
    );
  if (!best) return refuse('no-stitch');
  // Lines beside each other may be taken for each other; then what they were led along lies elsewhere.
  const isOther = ({ seam }: Sight) =>
    seam.turned[1] !== best.seam.turned[1] || Math.abs(seam.acrossMm - best.seam.acrossMm) > 1;
  const mayBeOther = others.some(
    (other) => isOther(other) && (other.line?.total ?? -1e9) > (best.line?.total ?? -1e9) - surerBy,
  );
  // A straight thread was followed by where it lies; where its holes are is told along it.
  const sight = straight ? followed(spacedByDips(standing, seen, best.seam, best.thread)) : best;
  const { seam, thread } = sight;
  const lineOf = straight && isMeasurable(seen) ? lineBeside(sight) : best.line;
  const line = otherLines.length > 0 && mayBeOther ? null : lineOf;
  // A hole or two that might be thread are weave.
  const isPlain = best.plain >= leastPlainness && likely(thread) >= leastLogOdds * thread.length;
  if (thread.length < leastHoles || !isPlain) {
    refuse('no-stitch');
  }
  const bites = seen.holes.some(({ role }) => role === 'bite');
  const open = leftOpenMm[bites ? 'bite' : straight ? 'line' : 'swing'];
  const stitches = thread.map((one): MeasuredStitch => {
    const { hole, alongMm, acrossMm, acrossSpreadMm, logOdds } = one;
    const there = 1 / (1 + Math.exp(-logOdds));
    const common = {
      kind: kindOf(hole.role, straight),
      atMm: inWindow(seam, pxPerMm, [alongMm, acrossMm]),
      counted: hole.counted,
    };
    if (!line || !hole.counted) {
      return { ...common, depthMm: null, depthSpreadMm: null, fault: null, sure: there };
    }
    const edge = line.acrossMm + line.slope * alongMm;
    const depthMm = judged.valueMm(seam.turned[1] * (acrossMm - edge));
    const spread = Math.hypot(acrossSpreadMm, line.spreadMm, open);
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
    widthMm: straight ? null : Math.abs(offs(1) - offs(-1)),
    reference: line && referenceEnds(line, seam, thread, pxPerMm),
    edge: null,
    plain: best.plain / leastPlainness,
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
