import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { leastOf } from './least';
import { laidField, lookOn } from './on-seam';
import type { TracedHole } from './trace';

const { abs, hypot, max, round, sqrt } = Math;

/** A thread is looked for so far beside where it was found, and in such steps, mm. */
const besideMm = 0.3;
const besideStepMm = 0.06;
const alongStepMm = 0.12;
/** So near to its hole a thread goes down into the cloth, or two of them lie on each other, mm. */
const nearHoleMm = 0.45;
/** Of fewer places a line is told by nothing but its ends. */
const leastPlaces = 6;
/** What lies farther from the line than so many spreads is something else. */
const mostOff = 2.5;
/** Places nearer than so many steps repeat each other: what stands out is told over a thread’s width. */
const alikeSteps = 2.5;
/** A thread as it lies on cloth is no straight line to less than this, mm. */
const leastSpreadMm = 0.015;

/** A straight piece of thread: how far beside a line between two holes, at a place along it, and how surely. */
interface Piece {
  readonly atMm: number;
  readonly offMm: number;
  readonly slope: number;
  /** The spread at the middle, and what it grows by for every mm from there. */
  readonly spreadMm: number;
  readonly slopeSpread: number;
}

/** Where what stands out is plainest across a line, mm beside it; null where that is at the end of what is looked at. */
function plainestBeside(beside: (mm: number) => number): number | null {
  const reach = round(besideMm / besideStepMm);
  let best = 0;
  let most = -Infinity;
  for (let i = -reach; i <= reach; i++) {
    const value = beside(i * besideStepMm);
    if (value > most) [most, best] = [value, i];
  }
  if (abs(best) === reach || most <= 0) return null;
  const at = (i: number) => -beside((best + i) * besideStepMm);
  return (best + leastOf(at(-1), at(0), at(1))) * besideStepMm;
}

/** A straight line by the least squares of some places, once more without those that lie off it. */
function pieceOf(places: readonly (readonly [atMm: number, offMm: number])[]): Piece | null {
  let kept = places;
  for (let round = 0; round < 2; round++) {
    if (kept.length < leastPlaces) return null;
    const n = kept.length;
    const atMm = kept.reduce((sum, [at]) => sum + at, 0) / n;
    const offMm = kept.reduce((sum, [, off]) => sum + off, 0) / n;
    const square = kept.reduce((sum, [at]) => sum + (at - atMm) ** 2, 0);
    const slope = kept.reduce((sum, [at, off]) => sum + (at - atMm) * (off - offMm), 0) / square;
    const left = ([at, off]: readonly [number, number]) => off - offMm - slope * (at - atMm);
    const off2 = kept.reduce((sum, one) => sum + left(one) ** 2, 0) / max(1, n - 2);
    const spread = max(leastSpreadMm, sqrt(off2));
    if (round === 1) {
      const each = spread * sqrt(alikeSteps);
      return { atMm, offMm, slope, spreadMm: each / sqrt(n), slopeSpread: each / sqrt(square) };
    }
    kept = kept.filter((one) => abs(left(one)) <= mostOff * spread);
  }
  return null;
}

/** Where two lines of thread meet that lie on the cloth, and how far that may be off across, one spread, mm. */
export interface Meeting {
  readonly alongMm: number;
  readonly acrossMm: number;
  readonly acrossSpreadMm: number;
}

/**
 * Where the two lines of thread that meet beyond an edge would meet, by how they run on the cloth: thread runs straight from hole to hole, and on
 * paper it may be as light as what it lies on.
 *
 * @param standing what stands out of the cloth
 * @param isOnCloth whether a place along and across the seam lies on the cloth, clear of its edge
 * @returns for each hole whose two neighbours in its thread lie on the cloth; null for any other
 */
export function meetingLines(
  standing: Field,
  seam: FoundSeam,
  thread: readonly TracedHole[],
  isOnCloth: (alongMm: number, acrossMm: number) => boolean,
): (Meeting | null)[] {
  const look = lookOn(laidField(standing, seam, seam.lighter ? 1 : -1));
  const pieceFrom = (cloth: TracedHole, hole: TracedHole) => {
    const [ds, dt] = [hole.alongMm - cloth.alongMm, hole.acrossMm - cloth.acrossMm];
    const lengthMm = hypot(ds, dt);
    const [us, ut] = [ds / lengthMm, dt / lengthMm];
    const places: [number, number][] = [];
    for (let at = nearHoleMm; at < lengthMm - nearHoleMm; at += alongStepMm) {
      const [along, across] = [cloth.alongMm + us * at, cloth.acrossMm + ut * at];
      if (!isOnCloth(along, across)) continue;
      const off = plainestBeside((mm) => look(along - ut * mm, across + us * mm));
      if (off !== null) places.push([at, off]);
    }
    const piece = pieceOf(places);
    return piece && { piece, us, ut, lengthMm };
  };
  return thread.map((hole, i): Meeting | null => {
    const [before, after] = [thread[i - 1], thread[i + 1]];
    if (isOnCloth(hole.alongMm, hole.acrossMm) || !before || !after) return null;
    if (!isOnCloth(before.alongMm, before.acrossMm) || !isOnCloth(after.alongMm, after.acrossMm))
      return null;
    const [one, other] = [pieceFrom(before, hole), pieceFrom(after, hole)];
    if (!one || !other) return null;
    // How far beside the line between its holes each runs where the hole was found, and which way.
    const there = ({ piece, us, ut, lengthMm }: typeof one) => {
      const from = lengthMm - piece.atMm;
      const off = piece.offMm + piece.slope * from;
      const way = hypot(1, piece.slope);
      const [s, t] = [(us - ut * piece.slope) / way, (ut + us * piece.slope) / way];
      return {
        at: [-ut * off, us * off] as const,
        way: [s, t] as const,
        spread: hypot(piece.spreadMm, piece.slopeSpread * from),
      };
    };
    const [a, b] = [there(one), there(other)];
    const turn = a.way[0] * b.way[1] - a.way[1] * b.way[0];
    if (abs(turn) < 0.05) return null;
    const by = ((b.at[0] - a.at[0]) * b.way[1] - (b.at[1] - a.at[1]) * b.way[0]) / turn;
    const [s, t] = [a.at[0] + by * a.way[0], a.at[1] + by * a.way[1]];
    return {
      alongMm: hole.alongMm + s,
      acrossMm: hole.acrossMm + t,
      acrossSpreadMm: hypot(a.spread * b.way[1], b.spread * a.way[1]) / abs(turn),
    };
  });
}
