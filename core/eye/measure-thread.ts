import type { Fault } from '../margin/check';
import type { Penetration } from '../stitch/stitch';
import type { Judged } from './expected';
import type { Field } from './flatten';
import type { FoundSeam, Way } from './find-seam';
import { atMostOneWrong, faultOf, sureOf } from './how-sure';
import {
  likeliestSight,
  likelyThread,
  type LikeliestSight,
  type SoughtThread,
} from './likeliest-sight';
import { depthsFrom, lineByCounts, type LeftOpen } from './line-by-counts';
import { meanAndSpread } from './mean-and-spread';
import type { MeasuredScrap, MeasuredStitch } from './measured-scrap';
import { middleOf } from './middle';
import { inWindow } from './on-seam';
import { isOneOfMany } from './print-lines';
import type { ReferenceLine } from './reference-line';
import { refuse } from './refused';
import { hasBites, isLine, swingsAtRawEdge, type Seen } from './seen';
import type { TracedHole } from './trace';

/** A seam has at least so many holes, each much likelier thread than cloth, in log. */
const leastHoles = 4;
const leastLogOdds = 3;
/** A thread stands out on both sides by 6 spreads of the cloth or more; a shadow by 3. */
const leastPlainness = 4;
/**
 * What rectifying, a fold that is not quite straight, and thread’s own width leave open: of a bite, whose thread may sink or
 * lie round, which is the same for all of a photo; of a swing beside its edge; of one over it, whose thread is hardly seen in
 * the shadow or whose edge may be a print’s; and of a line, whose whole length one shadow may shift.
 */
const leftOpen = {
  bite: { mm: 0.02, inCommon: true },
  beside: { mm: 0.005, inCommon: false },
  over: { mm: 0.02, inCommon: false },
  line: { mm: 0.045, inCommon: true },
} as const satisfies Record<string, LeftOpen>;

function leftOpenOf(seen: Seen): LeftOpen {
  if (isLine(seen)) return leftOpen.line;
  if (hasBites(seen)) return leftOpen.bite;
  return swingsAtRawEdge(seen) ? leftOpen.over : leftOpen.beside;
}

const kindOf = (role: Penetration['role'], straight: boolean): MeasuredStitch['kind'] =>
  straight ? 'line' : role;

/** How long stitches are by how far apart like holes of neighbouring repeats lie. */
function lengthsOf(thread: readonly TracedHole[], stitches: number): number[] {
  return thread.flatMap((one) => {
    const next = thread.find(({ hole, repeat }) => hole === one.hole && repeat === one.repeat + 1);
    return next ? [Math.abs(next.alongMm - one.alongMm) / stitches] : [];
  });
}

/** What is looked for, and how it is judged. */
interface ExpectedThread extends SoughtThread {
  readonly judged: Judged;
}

/** A window as it is looked at. */
export interface Pictures {
  /** How light it is. */
  readonly tones: Field;
  /** What stands out of it. */
  readonly standing: Field;
}

/**
 * Measures a thread that is seen from hole to hole: of several ways a seam may lie the plainest is
 * followed, and what it was led along looked for beside it.
 *
 * @param seams where it may lie, the likeliest first
 * @param findAlong looks for the seam once more, in a direction
 * @param fitted holds what was followed against the picture itself
 * @throws Impossible where no thread is plain enough
 */
export function measureThread(
  { judged, ...sought }: ExpectedThread,
  pictures: Pictures,
  seams: readonly FoundSeam[],
  findAlong: (angle: number, only?: readonly Way[]) => readonly FoundSeam[],
  fitted: (sight: LikeliestSight) => LikeliestSight,
): MeasuredScrap {
  const { tones, standing } = pictures;
  const { pxPerMm } = tones;
  const { seen } = sought;
  const straight = isLine(seen);
  const likeliest = likeliestSight(sought, tones, standing, seams, findAlong);
  if (!likeliest) return refuse('no-stitch');
  const { line: found } = likeliest;
  const isPrint = found !== null && isOneOfMany(tones, likeliest.seam, found, likeliest.thread);
  const followed = isPrint ? { ...likeliest, line: null } : likeliest;
  // A hole or two that might be thread are weave.
  const isPlain =
    followed.plain >= leastPlainness &&
    likelyThread(followed.thread) >= leastLogOdds * followed.thread.length;
  if (followed.thread.length < leastHoles || !isPlain) {
    refuse('no-stitch');
  }
  const { seam, thread, line: laid, plain } = fitted(followed);
  const open = leftOpenOf(seen);
  const told = laid && lineByCounts({ seam, thread, line: laid }, judged, open);
  const line = told && told.line;
  const depths = line && depthsFrom({ seam, thread, line }, judged, open);
  const stitches = thread.map((one, i): MeasuredStitch => {
    const { hole, alongMm, acrossMm } = one;
    const there = likelyThere(one);
    const common = {
      kind: kindOf(hole.role, straight),
      atMm: inWindow(seam, pxPerMm, [alongMm, acrossMm]),
      counted: hole.counted,
    };
    if (!depths || !hole.counted) {
      return { ...common, depthMm: null, depthSpreadMm: null, fault: null, sure: there };
    }
    const { depthMm, depthSpreadMm } = depths[i]!;
    return {
      ...common,
      ...{ depthMm, depthSpreadMm, fault: faultOf(depthMm, judged) },
      sure: there * sureOf(depthMm, depthSpreadMm, judged),
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
    plain: plain / leastPlainness,
    otherLength: null,
    sure: told
      ? told.sure * atMostOneWrong(thread.filter(({ hole }) => hole.counted).map(likelyThere))
      : 0,
  };
}

/** How likely it is that a hole is one. */
const likelyThere = ({ logOdds }: TracedHole): number => 1 / (1 + Math.exp(-logOdds));

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

const isOutermost = (acrossMm: number, holes: Seen['holes'], side: 1 | -1): boolean =>
  holes.every((other) => side * (acrossMm - other.acrossMm) >= -1e-9);
