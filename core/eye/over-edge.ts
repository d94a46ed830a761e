import { beyondMm, contrastOnCloth, gainsFor, rowsTimes } from './along-edge';
import type { Expected } from './expected';
import { aboutMean, coarser, standingOut, toned, type Field } from './flatten';
import { seamFinder, type FoundSeam } from './find-seam';
import { fittedOverEdge } from './fitted-over-edge';
import type { ScaledImage } from './grey';
import { alongCourse, backToWindow, laidEdge, type LaidEdge } from './laid-edge';
import { measureThread } from './measure-thread';
import type { MeasuredScrap } from './measured-scrap';
import { rawEdges, type RawEdge } from './raw-edge';
import { refuse } from './refused';
import { upperSideOf } from './seen';
import { seenEdge } from './seen-edge';
import { plainness, traced, type TracedHole } from './trace';

const { abs, max } = Math;

/** What is sewn over an edge lies so near to it, mm. */
const nearMm = 4;

interface Found {
  readonly laid: LaidEdge;
  readonly seam: FoundSeam;
  readonly thread: readonly TracedHole[];
  /** How plainly it stands out on both its sides. */
  readonly plain: number;
}

/**
 * Measures a stitch that swings over a raw edge. The edge is the plainest thing in the picture and is
 * found first; then what is the same all along it is taken away, and what is left on the paper turned
 * to how thread looks on the cloth: there it may be darker that was lighter here, and less plain.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param scale how much coarser the picture is looked over
 * @param onShare progress, 0 to 1; false stops
 * @throws Impossible where there is no edge, or no stitch over it
 */
export function measureOverEdge(
  window: ScaledImage,
  expected: Expected,
  scale: { readonly coarse: number; readonly leastScore: number },
  onShare: (share: number) => boolean,
): MeasuredScrap | null {
  const { seen } = expected;
  const whole = aboutMean(toned(window));
  const edges = rawEdges(coarser(whole, scale.coarse));
  if (edges.length === 0) refuse('no-edge');
  const side = -upperSideOf(seen);
  const seamsIn = (standing: Field, edge: RawEdge, lighter: boolean) => {
    const find = seamFinder(coarser(standing, scale.coarse), seen);
    return (along: number) =>
      (find({ along, lighter }) ?? []).filter(
        (one) => one.turned[1] * side === edge.paper && abs(one.acrossMm - edge.acrossMm) <= nearMm,
      );
  };
  let best: Found | null = null;
  for (const [i, edge] of edges.entries()) {
    const laid = laidEdge(whole, edge);
    for (const lighter of [true, false]) {
      // What is lighter than the cloth is taken to be darker than the paper.
      const gains = beyondMm(whole, edge).map((mm) => (mm > 0 && lighter ? -1 : 1));
      const standing = standingOut(rowsTimes(laid.picture.even, gains));
      const [seam] = seamsIn(standing, edge, lighter)(0);
      if (!seam || seam.score < scale.leastScore) continue;
      // Half a repeat on, what is darker than its surroundings looks like thread that is lighter.
      const thread = traced(standing, seen, seam);
      const plain = plainness(standing, seam, thread);
      if (plain > (best?.plain ?? 0)) best = { laid, seam, thread, plain };
    }
    if (!onShare((0.7 * (i + 1)) / edges.length)) return null;
  }
  if (!best) return refuse('no-stitch');
  const { laid, seam, thread } = best;
  const { edge, tones, picture } = laid;
  const contrast = contrastOnCloth(picture.even, seam, edge, thread);
  const gains = gainsFor(picture, edge, contrast);
  const standing = standingOut(rowsTimes(picture.even, gains));
  const findAlong = seamsIn(standing, edge, seam.lighter);
  const measured = measureThread(
    { ...expected, beside: [] },
    { tones, standing },
    findAlong(0),
    findAlong,
    (sight) => fittedOverEdge(laid, gains, seen, sight),
  );
  if (!onShare(1)) return null;
  return laidBack(measured, laid);
}

/** How far the stitches go beyond the edge, mm. */
function stitchedMm(
  { stitches }: MeasuredScrap,
  { acrossMm, paper }: RawEdge,
  { height, pxPerMm }: Field,
): number {
  const beyond = stitches.map(({ atMm }) => paper * (atMm[1] - height / 2 / pxPerMm - acrossMm));
  return max(0, ...beyond);
}

/** What was found in a picture that was laid along its edge, where it lies in the window; and the edge itself. */
function laidBack(measured: MeasuredScrap, laid: LaidEdge): MeasuredScrap {
  const back = backToWindow(laid);
  const { stitches, reference } = measured;
  return {
    ...measured,
    stitches: stitches.map((one) => ({ ...one, atMm: back(one.atMm) })),
    reference: reference && alongCourse(reference, laid.moved).map(back),
    edge: seenEdge(laid, stitchedMm(measured, laid.edge, laid.tones)),
  };
}
