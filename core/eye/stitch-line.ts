import { coveredOff, patchAt } from './cloth-patch';
import { settledAt, type Pair } from './least';
import type { LookAt } from './on-seam';
import { placeOnThread, threadLine } from './thread-line';
import { threadCover } from './thread-look';

const { abs, floor } = Math;

/** Nearer to its holes than this a stitch meets others, turns or goes down, mm. */
const clearMm = 0.4;
/** Of a shorter piece the picture tells no line, mm. */
const leastMm = 0.4;
/** What is looked at: so far to either side, so often along and across, mm. */
const around = { sideMm: 0.5, alongMm: 0.1, acrossMm: 0.1 } as const;
/** Farther beside where it was followed a stitch does not lie, mm. */
const mostMm = 0.25;
const stepsMm = [0.08, 0.04, 0.02];
/** Where the middle of a thread lies is told by any that is as wide, about. */
const { across } = threadCover({ halfMm: 0.14, blurMm: 0.08, atHole: 1 });

/**
 * The straight line a stitch lies on, told by its own piece between its holes. Where it turns at a hole a thread cuts
 * the corner, so that what is followed from corner to corner runs aside of it.
 *
 * @param stitch across and along of its holes as they were found, mm
 * @param bare what the picture would show without thread
 * @returns the same two places, moved beside the stitch onto its line; as they were where it is too short to tell
 */
export function stitchLine(
  look: LookAt,
  bare: LookAt,
  [from, to]: readonly [Pair, Pair],
): readonly [Pair, Pair] {
  const line = threadLine(from, to);
  const { lengthMm } = line;
  const seenMm = lengthMm - 2 * clearMm;
  if (seenMm < leastMm) return [from, to];
  const besides = floor(around.sideMm / around.acrossMm);
  const steps = floor(seenMm / around.alongMm);
  const grid = Array.from({ length: steps + 1 }, (_, i) =>
    Array.from({ length: 2 * besides + 1 }, (_beside, j) => ({
      // As near to either hole: the line is the same from either.
      along: lengthMm / 2 + (i - steps / 2) * around.alongMm,
      beside: (j - besides) * around.acrossMm,
    })),
  ).flat();
  const patch = patchAt(
    grid.map(({ along, beside }) => placeOnThread(line, [along, beside])),
    look,
    bare,
  );
  const covers = new Float64Array(grid.length);
  /** How far off a line is that lies so far beside the stitch's middle, and so much farther beside its end, mm. */
  const offOf = ([middle, turned]: Pair): number => {
    grid.forEach(({ along, beside }, i) => {
      covers[i] = across(beside - middle - turned * ((2 * along) / lengthMm - 1));
    });
    return coveredOff(patch, covers);
  };
  const start = { at: [0, 0] as const, off: offOf([0, 0]) };
  // The middle and the turn do not tell on each other as both ends would: one after the other finds the least.
  const [middle, turned] = settledAt(
    offOf,
    start,
    stepsMm.map((step): Pair => [step, step]),
  ).at;
  const [first, last] = [middle - turned, middle + turned];
  const isBeside = abs(first) <= mostMm && abs(last) <= mostMm;
  return isBeside
    ? [placeOnThread(line, [0, first]), placeOnThread(line, [lengthMm, last])]
    : [from, to];
}
