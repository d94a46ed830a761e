import { aboutMean, type Field } from './flatten';
import { angleStepDegrees, mostTurnedDegrees } from './seam-angles';
import { turnedBy } from './waves';

const { abs, PI, round } = Math;

/** Where cloth ends and the paper under it is seen. */
export interface RawEdge {
  /** Its direction, radians from the window’s long side. */
  readonly angle: number;
  /** How far across from the window’s middle it lies, mm. */
  readonly acrossMm: number;
  /** On which side the paper is, across. */
  readonly paper: 1 | -1;
}

/** So much on either side is compared, mm: more than a thread is wide, less than a scrap. */
const besideMm = 1;
/** Paper is lighter than cloth by so much at least, in the logarithm of greys. */
const leastStep = 0.12;
/** An edge nearly as plain may be the one that is sewn; the scrap has others. */
const nearlyAsPlain = 0.25;
const mostEdges = 3;
/** Nearer to each other two are one, mm. */
const apartMm = 5;

/**
 * The straight edges at which cloth ends on paper, the plainest first: the strongest step there is in
 * a window, whatever is sewn over it.
 *
 * @param tones how light the window is, about 4 px a mm, as {@link toned} has it
 */
export function rawEdges(tones: Field): RawEdge[] {
  const { width, height, pxPerMm } = tones;
  const even = aboutMean(tones);
  const reach = Math.max(1, round(besideMm * pxPerMm));
  const found: (RawEdge & { readonly step: number })[] = [];
  const most = round(mostTurnedDegrees / angleStepDegrees);
  for (let i = -most; i <= most; i++) {
    const angle = (i * angleStepDegrees * PI) / 180;
    const sums = rowSums(turnedBy(even, angle));
    for (let row = reach; row < height - reach; row++) {
      const step = (sums[row + reach]! - 2 * sums[row]! + sums[row - reach]!) / (reach * width);
      if (abs(step) < leastStep) continue;
      const acrossMm = (row - 0.5 - (height - 1) / 2) / pxPerMm;
      found.push({ angle, acrossMm, paper: step > 0 ? 1 : -1, step: abs(step) });
    }
  }
  found.sort((a, b) => b.step - a.step);
  const edges: typeof found = [];
  for (const one of found) {
    if (edges.length === mostEdges || one.step < nearlyAsPlain * found[0]!.step) break;
    if (edges.every(({ acrossMm }) => abs(acrossMm - one.acrossMm) > apartMm)) edges.push(one);
  }
  return edges;
}

/** What all rows above each row have together. */
function rowSums({ width, height, values }: Field): Float64Array {
  const sums = new Float64Array(height + 1);
  for (let row = 0; row < height; row++) {
    let sum = 0;
    for (let x = 0; x < width; x++) sum += values[row * width + x]!;
    sums[row + 1] = sums[row]! + sum;
  }
  return sums;
}
