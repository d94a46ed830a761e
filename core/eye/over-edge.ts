import {
  alongEdge,
  beyondMm,
  contrastOnCloth,
  gainsFor,
  mostGain,
  rowsTimes,
  type AlongEdge,
} from './along-edge';
import type { Expected } from './expected';
import { courseAt, edgeCourse, longerThanStraight, bentMm, straightened } from './edge-course';
import { aboutMean, coarser, standingOut, toned, type Field } from './flatten';
import { seamFinder, type FoundSeam } from './find-seam';
import type { ScaledImage } from './grey';
import { atMostOneWrong, sureOf } from './how-sure';
import { measureThread } from './measure-thread';
import type { MeasuredScrap } from './measured-scrap';
import { rawEdges, type RawEdge } from './raw-edge';
import { refuse } from './refused';
import type { Seen } from './seen';
import { plainness, traced, type TracedHole } from './trace';
import { turnedBy } from './waves';
import { whiskersBeyond } from './whiskers';

const { abs, cos, hypot, max, min, sin } = Math;

/** What is sewn over an edge lies so near to it, mm. */
const nearMm = 4;

/** On which side across the machine has the paper: where the counted swings go. */
function paperSideOf({ holes }: Seen): 1 | -1 {
  const mean = (of: Seen['holes']) =>
    of.reduce((sum, { acrossMm }) => sum + acrossMm, 0) / Math.max(1, of.length);
  return mean(holes.filter(({ counted }) => counted)) >= mean(holes) ? 1 : -1;
}

/** Off its straight line by less, the root of the mean square, an edge is straight: thread over it does as much, mm. */
const leastBentMm = 0.17;

interface Found {
  readonly edge: RawEdge;
  /** How far the edge lies off its straight line, strip by strip. */
  readonly course: readonly number[];
  /** The picture turned along the edge, which is straight in it. */
  readonly tones: Field;
  readonly picture: AlongEdge;
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
 * @param scale how much coarser the picture is measured, and looked over
 * @param onShare progress, 0 to 1; false stops
 * @throws Impossible where there is no edge, or no stitch over it
 */
export function measureOverEdge(
  window: ScaledImage,
  expected: Expected,
  scale: { readonly fine: number; readonly coarse: number; readonly leastScore: number },
  onShare: (share: number) => boolean,
): MeasuredScrap | null {
  const { seen } = expected;
  const whole = aboutMean(toned(window));
  const edges = rawEdges(coarser(whole, scale.coarse));
  if (edges.length === 0) refuse('no-edge');
  const fine = coarser(whole, scale.fine);
  const times = max(1, Math.round(scale.coarse / scale.fine));
  const side = paperSideOf(seen);
  const seamsIn = (standing: Field, edge: RawEdge, lighter: boolean) => {
    const find = seamFinder(coarser(standing, times), seen);
    return (along: number) =>
      (find({ along, lighter }) ?? []).filter(
        (one) => one.turned[1] * side === edge.paper && abs(one.acrossMm - edge.acrossMm) <= nearMm,
      );
  };
  let best: Found | null = null;
  for (const [i, edge] of edges.entries()) {
    const turned = turnedBy(fine, edge.angle);
    const course = edgeCourse(turned, edge);
    const tones = bentMm(course) < leastBentMm ? turned : straightened(turned, course);
    const picture = alongEdge(tones);
    for (const lighter of [true, false]) {
      // What is lighter than the cloth is taken to be darker than the paper.
      const gains = beyondMm(fine, edge).map((mm) => (mm > 0 && lighter ? -1 : 1));
      const standing = standingOut(rowsTimes(picture.even, gains));
      const [seam] = seamsIn(standing, edge, lighter)(0);
      if (!seam || seam.score < scale.leastScore) continue;
      // Half a repeat on, what is darker than its surroundings looks like thread that is lighter.
      const thread = traced(standing, seen, seam);
      const plain = plainness(standing, seam, thread);
      if (plain > (best?.plain ?? 0)) {
        best = { edge, course, tones, picture, seam, thread, plain };
      }
    }
    if (!onShare((0.7 * (i + 1)) / edges.length)) return null;
  }
  if (!best) return refuse('no-stitch');
  const { edge, course, tones, picture, seam, thread } = best;
  const contrast = contrastOnCloth(picture.even, seam, edge, thread);
  const gains = gainsFor(picture, edge, contrast);
  const standing = standingOut(rowsTimes(picture.even, gains));
  const findAlong = seamsIn(standing, edge, seam.lighter);
  const measured = measureThread(
    { ...expected, beside: [] },
    tones,
    standing,
    findAlong(0),
    findAlong,
  );
  const honest = asFarAsSeen(measured, expected, gains, tones.pxPerMm);
  const whiskers = whiskersBeyond(picture, edge, stitchedMm(honest, edge, tones)).map(
    ({ tipMm, beyondMm }) => ({ atMm: tipMm, beyondMm }),
  );
  const seenEdge = { longerShare: longerThanStraight(course), whiskers };
  if (!onShare(1)) return null;
  const isBent = bentMm(course) >= leastBentMm;
  return laidBack({ ...honest, edge: seenEdge }, window, edge.angle, isBent ? course : []);
}

/** Where a shadow is as light as thread, its end may lie so far from where it is lost, one spread, mm. */
const lostMm = 0.4;
/** It is lost where it would have to be made up for by the most, or so near to there, mm. */
const besideLostMm = 0.2;

/** A swing that is lost in a shadow as light as its thread may go on: it is asked about. */
function asFarAsSeen(
  measured: MeasuredScrap,
  { judged }: Expected,
  gains: readonly number[],
  pxPerMm: number,
): MeasuredScrap {
  const near = Math.ceil(besideLostMm * pxPerMm);
  const isLost = (yMm: number) => {
    const row = Math.round(yMm * pxPerMm);
    return gains.slice(max(0, row - near), row + near + 1).some((gain) => abs(gain) >= mostGain);
  };
  const stitches = measured.stitches.map((one) => {
    const { depthMm, depthSpreadMm, sure, atMm } = one;
    if (depthMm === null || depthSpreadMm === null || !isLost(atMm[1])) return one;
    const spread = hypot(depthSpreadMm, lostMm);
    return { ...one, depthSpreadMm: spread, sure: min(sure, sureOf(depthMm, spread, judged)) };
  });
  const counted = stitches.filter((one) => one.counted).map(({ sure }) => sure);
  return { ...measured, stitches, sure: measured.counts ? atMostOneWrong(counted) : 0 };
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

/** A straight line with so many places that it can follow a course. */
function alongCourse(
  line: readonly (readonly [number, number])[],
  course: readonly number[],
): readonly (readonly [number, number])[] {
  const [from, to] = [line[0], line.at(-1)];
  if (course.length === 0 || !from || !to) return line;
  const steps = max(1, Math.round(abs(to[0] - from[0])));
  return Array.from({ length: steps + 1 }, (_, i) => {
    const share = i / steps;
    return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share] as const;
  });
}

/** What was found in a picture that was turned, and straightened, where it lies in the window. */
function laidBack(
  measured: MeasuredScrap,
  { width, height, pxPerMm }: ScaledImage,
  angle: number,
  course: readonly number[],
): MeasuredScrap {
  const [xc, yc] = [width / 2 / pxPerMm, height / 2 / pxPerMm];
  const [c, s] = [cos(angle), sin(angle)];
  const back = ([x, y]: readonly [number, number]): readonly [number, number] => {
    const off = y + courseAt(course, x) - yc;
    return [xc + (x - xc) * c - off * s, yc + (x - xc) * s + off * c];
  };
  const laid = <T extends { readonly atMm: readonly [number, number] }>(one: T): T => ({
    ...one,
    atMm: back(one.atMm),
  });
  const { stitches, reference, edge } = measured;
  return {
    ...measured,
    stitches: stitches.map(laid),
    reference: reference && alongCourse(reference, course).map(back),
    edge: edge && { ...edge, whiskers: edge.whiskers.map(laid) },
  };
}
