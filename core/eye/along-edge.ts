import { averagedAlong, spreadOf, threadWidthMm, type Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { middleOf } from './middle';
import { lookAlong } from './on-seam';
import type { RawEdge } from './raw-edge';
import type { TracedHole } from './trace';

// Asked for at every pixel.
const { abs, cos, exp, hypot, max, min, sin } = Math;

/** What is the same along so much of an edge is cloth, paper or a shadow; thread comes and goes, mm. */
const alongMm = 15;
/** Thread stands out farther than this, in spreads of its row, and is left out of what is usual. */
const leftOut = 1.5;

/** A picture turned so that its rows run along an edge. */
export interface AlongEdge {
  /** What is the same all along: cloth here, paper there, and the shadow between them. */
  readonly usual: Field;
  /** What is left without it: thread, and the weave. */
  readonly even: Field;
}

/**
 * Takes apart what is the same along an edge and what is not: by the mean along each row, and once
 * more by a mean that leaves out what stands out of the first.
 *
 * @param turned rows run along the edge
 */
export function alongEdge(turned: Field): AlongEdge {
  const { width, height, values } = turned;
  const first = averagedAlong(turned, alongMm).values;
  const clipped = Float32Array.from(values);
  for (let row = 0; row < height; row++) {
    const [from, to] = [row * width, (row + 1) * width];
    const off = values.slice(from, to).map((value, x) => value - first[from + x]!);
    const most = leftOut * spreadOf(off);
    for (let at = from; at < to; at++) {
      clipped[at] = first[at]! + max(-most, min(most, off[at - from]!));
    }
  }
  const usual = averagedAlong({ ...turned, values: clipped }, alongMm);
  const even = values.map((value, at) => value - usual.values[at]!);
  return { usual, even: { ...turned, values: even } };
}

/** A field with every row so many times as much. */
export function rowsTimes(field: Field, gains: ArrayLike<number>): Field {
  const values = field.values.map((value, at) => value * gains[Math.floor(at / field.width)]!);
  return { ...field, values };
}

/** How far each row of a field lies beyond an edge, mm; on the cloth below 0. */
export const beyondMm = ({ height, pxPerMm }: Field, { acrossMm, paper }: RawEdge): number[] =>
  Array.from(
    { length: height },
    (_, row) => paper * ((row - (height - 1) / 2) / pxPerMm - acrossMm),
  );

/** The greys of a picture as they would be, were the light on it the same all along its edge. */
export function evenAlong({ usual, even }: AlongEdge): Field {
  const { width, values } = usual;
  const greys = Float32Array.from(even.values);
  for (let from = 0; from < greys.length; from += width) {
    let sum = 0;
    for (let at = from; at < from + width; at++) sum += values[at]!;
    for (let at = from; at < from + width; at++) greys[at] = exp(greys[at]! + sum / width);
  }
  return { ...even, values: greys };
}

/** So near to the edge nothing is asked of how plain thread is, mm. */
const clearMm = 0.4;
/** What lies on the cloth so far from its edge says how light it is, mm. */
const clothMm = [-4, -1] as const;
/** Thread that stands out less is made up for to so many times at most. */
export const mostGain = 4;
/** A thread and what a lens makes of it lie within so much of its middle, mm. */
const profileMm = 0.55;
const profileStepMm = 0.05;

/**
 * How much lighter than the cloth a thread is, as the logarithm; darker is below 0. A lens spreads
 * it, but takes nothing of it away: all that stands out across it, over a thread’s width;
 * or its middle, where a lens spreads little.
 */
export function contrastOnCloth(
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
export function gainsFor({ usual }: AlongEdge, edge: RawEdge, contrast: number): number[] {
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
