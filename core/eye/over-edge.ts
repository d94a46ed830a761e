import type { Expected } from './expected';
import {
  aboutMean,
  averagedAlong,
  coarser,
  spreadOf,
  standingOut,
  threadWidthMm,
  toned,
  type Field,
} from './flatten';
import { seamFinder, type FoundSeam } from './find-seam';
import type { ScaledImage } from './grey';
import { atMostOneWrong, sureOf } from './how-sure';
import { measureThread } from './measure-thread';
import type { MeasuredScrap } from './measured-scrap';
import { middleOf } from './middle';
import { lookAlong } from './on-seam';
import { rawEdges, type RawEdge } from './raw-edge';
import { refuse } from './refused';
import type { Seen } from './seen';
import { plainness, traced, type TracedHole } from './trace';
import { turnedBy } from './waves';

const { abs, cos, hypot, max, min, sin } = Math;

/** What is the same along so much of an edge is cloth, paper or a shadow; thread comes and goes, mm. */
const alongMm = 15;
/** Thread stands out farther than this, in spreads of its row, and is left out of what is usual. */
const leftOut = 1.5;
/** What is sewn over an edge lies so near to it, mm. */
const nearMm = 4;

/** A picture turned so that its rows run along an edge. */
interface AlongEdge {
  /** What is the same all along: cloth here, paper there, and the shadow between them. */
  readonly usual: Field;
  /** What is left without it: thread, and the weave. */
  readonly even: Field;
}

function alongEdge(tones: Field, { angle }: RawEdge): AlongEdge {
  const turned = turnedBy(tones, angle);
  const { width, height, values } = turned;
  const usual = averagedAlong(turned, alongMm).values;
  const clipped = Float32Array.from(values);
  for (let row = 0; row < height; row++) {
    const [from, to] = [row * width, (row + 1) * width];
    const off = values.slice(from, to).map((value, x) => value - usual[from + x]!);
    const most = leftOut * spreadOf(off);
    for (let at = from; at < to; at++) {
      clipped[at] = usual[at]! + max(-most, min(most, off[at - from]!));
    }
  }
  const mean = averagedAlong({ ...turned, values: clipped }, alongMm);
  const even = values.map((value, at) => value - mean.values[at]!);
  return { usual: mean, even: { ...turned, values: even } };
}

/** A field with every row so many times as much. */
function rowsTimes(field: Field, gains: ArrayLike<number>): Field {
  const values = field.values.map((value, at) => value * gains[Math.floor(at / field.width)]!);
  return { ...field, values };
}

/** How far each row of a field lies beyond an edge, mm; on the cloth below 0. */
const beyondMm = ({ height, pxPerMm }: Field, { acrossMm, paper }: RawEdge): number[] =>
  Array.from(
    { length: height },
    (_, row) => paper * ((row - (height - 1) / 2) / pxPerMm - acrossMm),
  );

/** So near to the edge nothing is asked of how plain thread is, mm. */
const clearMm = 0.4;
/** What lies on the cloth so far from its edge says how light it is, mm. */
const clothMm = [-4, -1] as const;
/** Thread that stands out less is made up for to so many times at most. */
const mostGain = 4;
/** A thread and what a lens makes of it lie within so much of its middle, mm. */
const profileMm = 0.55;
const profileStepMm = 0.05;

/**
 * How much lighter than the cloth a thread is, as the logarithm; darker is below 0. A lens spreads
 * it, but takes nothing of it away: all that stands out across it, over a thread’s width;
 * or its middle, where a lens spreads little.
 */
function contrastOnCloth(
  even: Field,
  seam: FoundSeam,
  edge: RawEdge,
  thread: readonly TracedHole[],
) {
  const look = lookAlong(even, seam);
  const steps = Math.round(profileMm / profileStepMm);
  const profile = Array.from({ length: 2 * steps + 1 }, () => 0);
  let count = 0;
  thread.slice(1).forEach((to, i) => {
    const from = thread[i]!;
    const [ds, dt] = [to.alongMm - from.alongMm, to.acrossMm - from.acrossMm];
    const lengthMm = max(1e-6, hypot(ds, dt));
    for (const share of [0.35, 0.5, 0.65]) {
      const [along, across] = [from.alongMm + ds * share, from.acrossMm + dt * share];
      const place = along * sin(seam.angle) + across * cos(seam.angle);
      if (edge.paper * (place - edge.acrossMm) > -clearMm) continue;
      profile.forEach((_, k) => {
        const off = ((k - steps) * profileStepMm) / lengthMm;
        profile[k]! += look(along - dt * off, across + ds * off);
      });
      count++;
    }
  });
  const mean = profile.map((sum) => sum / max(1, count));
  const beside = (mean[0]! + mean.at(-1)!) / 2;
  const over = mean.map((value) => value - beside);
  const spread = over.reduce((sum, value) => sum + value * profileStepMm, 0) / threadWidthMm;
  const middle = over[steps]!;
  return abs(spread) > abs(middle) ? spread : middle;
}

/**
 * What every row is to be taken times, so that the same thread stands out of each as it does of the
 * cloth: it is as light wherever it lies, and what lies under it is not.
 */
function gainsFor({ usual }: AlongEdge, edge: RawEdge, contrast: number): number[] {
  const { width, height, values } = usual;
  const beyond = beyondMm(usual, edge);
  const [from, to] = [width >> 2, width - (width >> 2)];
  const light = Array.from({ length: height }, (_, row) => {
    let sum = 0;
    for (let x = from; x < to; x++) sum += values[row * width + x]!;
    return sum / (to - from);
  });
  const cloth = middleOf(
    light.filter((_, row) => beyond[row]! > clothMm[0] && beyond[row]! < clothMm[1]),
  );
  return light.map((tone, row) => {
    if (beyond[row]! <= 0) return 1;
    const gain = contrast / (cloth + contrast - tone);
    return max(-mostGain, min(mostGain, Number.isFinite(gain) ? gain : 0));
  });
}

/** On which side across the machine has the paper: where the counted swings go. */
function paperSideOf({ holes }: Seen): 1 | -1 {
  const mean = (of: Seen['holes']) =>
    of.reduce((sum, { acrossMm }) => sum + acrossMm, 0) / Math.max(1, of.length);
  return mean(holes.filter(({ counted }) => counted)) >= mean(holes) ? 1 : -1;
}

interface Found {
  readonly edge: RawEdge;
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
  const tones = aboutMean(toned(window));
  const edges = rawEdges(coarser(tones, scale.coarse));
  if (edges.length === 0) refuse('no-edge');
  const fine = coarser(tones, scale.fine);
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
    const picture = alongEdge(fine, edge);
    for (const lighter of [true, false]) {
      // What is lighter than the cloth is taken to be darker than the paper.
      const gains = beyondMm(fine, edge).map((mm) => (mm > 0 && lighter ? -1 : 1));
      const standing = standingOut(rowsTimes(picture.even, gains));
      const seams = seamsIn(standing, edge, lighter)(0);
      const [seam] = seams;
      if (!seam || seam.score < scale.leastScore) continue;
      // Half a repeat on, what is darker than its surroundings looks like thread that is lighter.
      const thread = traced(standing, seen, seam);
      const plain = plainness(standing, seam, thread);
      if (plain > (best?.plain ?? 0)) best = { edge, picture, seam, thread, plain };
    }
    if (!onShare((0.7 * (i + 1)) / edges.length)) return null;
  }
  if (!best) return refuse('no-stitch');
  const { edge, picture, seam, thread } = best;
  const contrast = contrastOnCloth(picture.even, seam, edge, thread);
  const gains = gainsFor(picture, edge, contrast);
  const standing = standingOut(rowsTimes(picture.even, gains));
  const findAlong = seamsIn(standing, edge, seam.lighter);
  const turned = turnedBy(fine, edge.angle);
  const measured = measureThread(expected, turned, standing, findAlong(0), findAlong);
  const honest = asFarAsSeen(measured, expected, gains, turned.pxPerMm);
  return onShare(1) ? turnedBack(honest, window, edge.angle) : null;
}

/** Where thread is as light as what lies under it, its end may lie so far from where it is lost, one spread, mm. */
const lostMm = 0.4;
/** It is lost where it would have to be made up for by the most, or so near to there, mm. */
const besideLostMm = 0.2;

/** A swing that is lost on its way, in a shadow as light as its thread, may go on: it is asked about. */
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

/** What was found in a picture that was turned, where it lies in the window. */
function turnedBack(
  measured: MeasuredScrap,
  { width, height, pxPerMm }: ScaledImage,
  angle: number,
): MeasuredScrap {
  const [xc, yc] = [width / 2 / pxPerMm, height / 2 / pxPerMm];
  const [c, s] = [cos(angle), sin(angle)];
  const back = ([x, y]: readonly [number, number]): readonly [number, number] => [
    xc + (x - xc) * c - (y - yc) * s,
    yc + (x - xc) * s + (y - yc) * c,
  ];
  return {
    ...measured,
    stitches: measured.stitches.map((one) => ({ ...one, atMm: back(one.atMm) })),
    reference: measured.reference && measured.reference.map(back),
  };
}
