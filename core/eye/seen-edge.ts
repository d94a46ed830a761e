import { beyondMm } from './along-edge';
import { longerThanStraight } from './edge-course';
import { aboutMean, coarser, toned } from './flatten';
import type { ScaledImage } from './grey';
import { alongCourse, backToWindow, laidEdge, type LaidEdge } from './laid-edge';
import type { SeenEdge } from './measured-scrap';
import { rawEdges } from './raw-edge';
import { refuse } from './refused';
import { whiskersBeyond } from './whiskers';

/** Loops of thread reach so far beyond the edge they are sewn round, mm. Starting guess. */
const loopsMm = 1;
/** What is sewn round an edge lies so near to it, mm. */
const sewnMm = [-6, 0.5] as const;
/** Cloth without what is sewn, and paper without what sticks out or lies in the shade, mm beyond the edge. */
const clothMm = [-10, -6.5] as const;
const paperMm = [3, 8] as const;
/** Paper has no weave: it is livelier than so much of the cloth only if it is cloth as well. */
const mostLively = 0.8;
/** An edge is measured so finely, and looked for so coarsely, px a mm. */
const [finePxPerMm, coarsePxPerMm] = [10, 4];

/** What a laid picture tells of its edge. @param stitchedMm how far the stitches go beyond it, mm */
export function seenEdge(laid: LaidEdge, stitchedMm: number): SeenEdge {
  const back = backToWindow(laid);
  return {
    longerShare: longerThanStraight(laid.course),
    whiskers: whiskersBeyond(laid.picture, laid.edge, stitchedMm).map(
      ({ tipMm, beyondMm: mm }) => ({
        ...{ atMm: back(tipMm), beyondMm: mm },
      }),
    ),
  };
}

/** How lively a picture is so far beyond its edge: thread is, cloth is less, and paper hardly. */
function livelyAt(
  { picture: { even }, edge }: LaidEdge,
  [from, to]: readonly [fromMm: number, toMm: number],
): number {
  const { width, values } = even;
  let [sum, count] = [0, 0];
  beyondMm(even, edge).forEach((mm, row) => {
    if (mm < from || mm > to) return;
    for (let at = row * width; at < (row + 1) * width; at++) sum += values[at]! ** 2;
    count += width;
  });
  return Math.sqrt(sum / Math.max(1, count));
}

/** Whether cloth ends on paper there: a fold has cloth on both its sides, as lively here as there. */
const endsOnPaper = (laid: LaidEdge): boolean =>
  livelyAt(laid, paperMm) <= mostLively * livelyAt(laid, clothMm);

/** An edge that thread is looped round, of which nothing is counted, and where it runs in the window. */
export interface LoopedEdge extends SeenEdge {
  readonly line: readonly (readonly [xMm: number, yMm: number])[];
}

/**
 * Measures an edge that loopers sew round: how much longer it is than straight, and which threads of the
 * cloth stick out of it. Of several edges it is the one with most thread beside it.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param window the card’s window laid flat, 8 px a mm or more
 * @throws Impossible where no edge ends on paper
 */
export function measureEdge(window: ScaledImage): LoopedEdge {
  const times = (pxPerMm: number) => Math.max(1, Math.floor(window.pxPerMm / pxPerMm));
  const tones = aboutMean(toned(window));
  const fine = coarser(tones, times(finePxPerMm));
  const [best] = rawEdges(coarser(tones, times(coarsePxPerMm)))
    .map((edge) => laidEdge(fine, edge))
    .filter(endsOnPaper)
    .sort((a, b) => livelyAt(b, sewnMm) - livelyAt(a, sewnMm));
  if (!best) return refuse('no-edge');
  const { width, height, pxPerMm } = best.tones;
  const y = height / 2 / pxPerMm + best.edge.acrossMm;
  const line = [
    [0, y],
    [width / pxPerMm, y],
  ] as const;
  return {
    ...seenEdge(best, loopsMm),
    line: alongCourse(line, best.moved).map(backToWindow(best)),
  };
}
