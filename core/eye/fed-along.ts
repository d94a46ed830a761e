import { middleOf, spreadOfMiddle } from './middle';
import type { TracedHole } from './trace';

/** Of fewer others than this one can't say how evenly they were fed. */
const leastOthers = 4;
/** No machine feeds more evenly than that, and no hole is told better, one spread, mm. */
const leastSpreadMm = 0.03;

/** Where a hole would lie along its seam, and how far it may lie otherwise, one spread; mm. */
export interface FedPlace {
  readonly alongMm: number;
  readonly spreadMm: number;
}

/**
 * Where the hole at the end of a thread would lie by how far apart the same holes of neighbouring repeats lie: what is
 * seen of a thread tells hardly where it ends, and a machine feeds evenly.
 *
 * @returns null where there are too few others
 */
export function fedAlong(thread: readonly TracedHole[], end: TracedHole): FedPlace | null {
  const same = thread.filter((one) => one !== end && one.hole === end.hole);
  const [nearest] = same.toSorted(
    (a, b) => Math.abs(a.repeat - end.repeat) - Math.abs(b.repeat - end.repeat),
  );
  const steps = same.flatMap((one) => {
    const next = same.find(({ repeat }) => repeat === one.repeat + 1);
    return next ? [next.alongMm - one.alongMm] : [];
  });
  if (!nearest || steps.length < leastOthers) return null;
  const step = middleOf(steps);
  const spread = spreadOfMiddle * middleOf(steps.map((mm) => Math.abs(mm - step)));
  const repeats = end.repeat - nearest.repeat;
  return {
    alongMm: nearest.alongMm + repeats * step,
    spreadMm: Math.sqrt(Math.abs(repeats)) * Math.max(leastSpreadMm, spread),
  };
}
