import { coveredGrey, coveredOff, patchAt, type ClothPatch } from './cloth-patch';
import type { Pair } from './least';
import type { LookAt } from './on-seam';
import { fromThread, threadLine, type ThreadLine } from './thread-line';
import type { ThreadCover } from './thread-look';
import type { TracedHole } from './trace';

const { max, min, sqrt } = Math;

/** So much of the picture around a hole is looked at, mm: to either side, back along its threads, beyond. */
const around = { sideMm: 0.8, backMm: 0.9, beyondMm: 0.6 } as const;
export const everyMm = 0.1;
/** So many places say together what one would that repeats no other: a thread’s width of them, each way. */
export const alike = 9;
/** A fit that tells less than this tells nothing, one spread, mm. */
const mostSpreadMm = 0.5;
/** Nearer than this to a thread that belongs to other holes nothing is looked at, mm. */
const othersMm = 0.4;
/** Of fewer places than this, a third of all, nothing is told. */
const leastPlaces = 80;

/** What is seen around a hole where a thread turns back, by a seam’s own coordinates in mm. */
export interface HolePatch extends ClothPatch {
  /** Across and along of the hole as it was found. */
  readonly found: Pair;
  /** The holes its threads come from and go to; one of them only where the seam ends. */
  readonly ends: readonly Pair[];
}

/** Where a hole lies across and along. */
export const placeOf = ({ acrossMm, alongMm }: TracedHole): Pair => [acrossMm, alongMm];

/** The threads beside a hole that belong to other holes. */
export const othersBeside = (sewn: readonly TracedHole[], index: number): ThreadLine[] =>
  [-1, 1].flatMap((by) => {
    const [end, beyond] = [sewn[index + by], sewn[index + 2 * by]];
    return end && beyond ? [threadLine(placeOf(end), placeOf(beyond))] : [];
  });

/** Whether a place lies clear of them. */
export const isClearOf = (others: readonly ThreadLine[], place: Pair): boolean =>
  others.every((line) => fromThread(line, place) >= othersMm);

/**
 * The surroundings of a hole.
 *
 * @param look at the picture without its light
 * @param bare the same without thread
 * @returns null where its thread goes on, rather than turn back, or where nearly all belongs to other holes
 */
export function holePatch(
  look: LookAt,
  bare: LookAt,
  sewn: readonly TracedHole[],
  index: number,
): HolePatch | null {
  const found = placeOf(sewn[index]!);
  const ends = [sewn[index - 1], sewn[index + 1]].flatMap((one) => (one ? [placeOf(one)] : []));
  const sides = new Set(ends.map(([across]) => Math.sign(found[0] - across)));
  const [outwards] = sides;
  if (!outwards || sides.size > 1) return null;
  const others = othersBeside(sewn, index);
  const places: Pair[] = [];
  for (let ds = -around.sideMm; ds <= around.sideMm; ds += everyMm) {
    for (let dt = -around.backMm; dt <= around.beyondMm; dt += everyMm) {
      const place: Pair = [found[0] + outwards * dt, found[1] + ds];
      if (isClearOf(others, place)) places.push(place);
    }
  }
  if (places.length < leastPlaces) return null;
  return { ...patchAt(places, look, bare), found, ends };
}

/** How much of every place of a patch is thread, as a share, where its threads meet in a hole. */
function coversAt(
  { along, across, ends }: HolePatch,
  [t0, s0]: Pair,
  { reachMm, wholeMm, across: coverAcross, along: coverAlong }: ThreadCover,
): Float64Array {
  const threads = ends.map(([t, s]) => {
    const [dt, ds] = [t - t0, s - s0];
    const length = sqrt(ds * ds + dt * dt);
    return { dt: dt / length, ds: ds / length, length };
  });
  const covers = new Float64Array(along.length);
  for (let i = 0; i < along.length; i++) {
    const t = across[i]! - t0;
    const s = along[i]! - s0;
    let cover = 0;
    for (const { dt, ds, length } of threads) {
      const beside = s * dt - t * ds;
      if (beside > reachMm || beside < -reachMm) continue;
      const on = s * ds + t * dt;
      // It ends at the hole, and at the one it comes from; a short one is not seen whole anywhere.
      const rest = length - on;
      const [near, far] = on < rest ? [on, rest] : [rest, on];
      if (near < -reachMm) continue;
      const shown = coverAlong(near) + (far < wholeMm ? coverAlong(far) - 1 : 0);
      cover += coverAcross(beside) * max(0, shown);
    }
    covers[i] = min(1, cover);
  }
  return covers;
}

/** How far what is seen is from threads that meet in a hole. */
export const misfit = (patch: HolePatch, at: Pair, cover: ThreadCover): number =>
  coveredOff(patch, coversAt(patch, at, cover));

/** The grey its thread would have there, against cloth of none. */
export const greyAt = (patch: HolePatch, at: Pair, cover: ThreadCover): number =>
  coveredGrey(patch, coversAt(patch, at, cover));

/**
 * How far a fit may be off, one spread, mm: what is left over, against how fast it grows aside.
 *
 * @param bend of the sum of squares, for each mm twice
 */
export function spreadBy({ seen }: Pick<HolePatch, 'seen'>, off: number, bend: number): number {
  return min(mostSpreadMm, sqrt((2 * alike * off) / seen.length / max(1e-9, bend)));
}
