import { middleAcross } from './bare-cloth';
import { patchAt } from './cloth-patch';
import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { everyMm, greyAt, misfit, spreadBy, type HolePatch } from './hole-patch';
import { settledAt, type Pair } from './least';
import { lookOfThread } from './look-of-thread';
import { middleOf } from './middle';
import { lookAlong, type LookAt } from './on-seam';
import { threadCover, type ThreadCover } from './thread-look';

const { abs, max, min } = Math;

/** A piece of thread that lies across its seam, mm. */
export interface Piece {
  readonly alongMm: number;
  readonly fromMm: number;
  readonly toMm: number;
}

/** A piece that was fitted, and how far its length may be off, one spread, mm. */
export interface FittedPiece extends Piece {
  readonly lengthSpreadMm: number;
  /** Whether it stands out as the others do: weave and the border of a print stand out less. */
  readonly isThread: boolean;
}

/** So much of the picture around a piece is looked at, mm: to its sides, beyond its ends. */
const around = { sideMm: 0.8, beyondMm: 0.8 } as const;
/** What shows is as long as thread is seen, however it goes down at its ends: all of it is seen there. */
const wholeAtEnd = 1;
/** A shorter piece has no direction, mm. */
const leastMm = 0.04;
/** How a length bends is seen over so much, mm. */
const bendMm = 0.1;
const stepsMm = [0.1, 0.05, 0.03] as const;
/** Thread stands out by so much of what the plainer half of it does, as a share. */
const threadShare = 0.45;

type Patch = Omit<HolePatch, 'found' | 'ends'> & { readonly found: Piece };

/** Nearer to a piece than this, along, it is thread that is seen, mm. */
const besidePieceMm = 0.6;
const allOfIt = [-Infinity, Infinity];

/** What the cloth shows where no piece is: stripes that run along. */
function clothBeside(look: LookAt, pieces: readonly Piece[]): LookAt {
  const alongs = pieces.map(({ alongMm }) => alongMm);
  const isBeside = (along: number) => alongs.some((mm) => abs(mm - along) <= besidePieceMm);
  return middleAcross(look, (along) => (isBeside(along) ? allOfIt : []), {
    alongMm: [min(...alongs), max(...alongs)],
    acrossMm: [
      min(...pieces.map(({ fromMm }) => fromMm)) - around.beyondMm,
      max(...pieces.map(({ toMm }) => toMm)) + around.beyondMm,
    ],
    slope: 0,
  });
}

function patchOf(look: LookAt, bare: LookAt, found: Piece): Patch {
  const places: Pair[] = [];
  const [first, last] = [found.fromMm - around.beyondMm, found.toMm + around.beyondMm];
  for (let t = first; t <= last; t += everyMm) {
    for (let s = -around.sideMm; s <= around.sideMm; s += everyMm) {
      places.push([t, found.alongMm + s]);
    }
  }
  return { ...patchAt(places, look, bare), found };
}

/** A patch with a piece of thread in it as `misfit` takes it: one hole, and the other its thread comes from. */
function held(patch: Patch, { alongMm, fromMm, toMm }: Piece): readonly [HolePatch, Pair] {
  const middle = (fromMm + toMm) / 2;
  const half = max(leastMm, toMm - fromMm) / 2;
  const found: Pair = [middle - half, alongMm];
  return [{ ...patch, found, ends: [[middle + half, alongMm]] }, found];
}

/** How far what is seen is from a piece of thread that lies there. */
const offAt = (patch: Patch, piece: Piece, cover: ThreadCover): number =>
  misfit(...held(patch, piece), cover);

/** Where a piece fits best: its ends by turns, and where it lies along. */
function fitted(patch: Patch, cover: ThreadCover): { readonly at: Piece; readonly off: number } {
  let at = patch.found;
  let off = offAt(patch, at, cover);
  for (const step of stepsMm) {
    const ends = settledAt(
      ([fromMm, toMm]) => offAt(patch, { ...at, fromMm, toMm }, cover),
      { at: [at.fromMm, at.toMm], off },
      [[step, step]],
    );
    at = { ...at, fromMm: ends.at[0], toMm: max(ends.at[0] + leastMm, ends.at[1]) };
    const along = settledAt(
      ([alongMm]) => offAt(patch, { ...at, alongMm }, cover),
      { at: [at.alongMm, 0], off: ends.off },
      [[step, 0]],
    );
    at = { ...at, alongMm: along.at[0] };
    off = along.off;
  }
  return { at, off };
}

/** How far its length may be off: what is left over, against how fast it grows with a longer or shorter piece. */
function lengthSpread(patch: Patch, at: Piece, off: number, cover: ThreadCover): number {
  const longer = (by: number) =>
    offAt(patch, { ...at, fromMm: at.fromMm - by / 2, toMm: at.toMm + by / 2 }, cover);
  const bend = (longer(bendMm) + longer(-bendMm) - 2 * off) / bendMm ** 2;
  return spreadBy(patch, off, bend);
}

/**
 * Pieces of thread across a seam, where they fit the picture best: as a bite’s thread does on the wrong side.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param even the picture without its light
 * @param pieces as they were found
 */
export function fittedPricks(
  even: Field,
  seam: FoundSeam,
  pieces: readonly Piece[],
): FittedPiece[] {
  if (pieces.length === 0) return [];
  const look = lookAlong(even, seam);
  const bare = clothBeside(look, pieces);
  const patches = pieces.map((piece) => patchOf(look, bare, piece));
  const cover = threadCover(
    lookOfThread(patches, { found: ({ found }) => found, offAt, fit: fitted }, even.blurMm, [
      wholeAtEnd,
    ]),
  );
  const all = patches.map((patch) => ({ patch, ...fitted(patch, cover) }));
  const greys = all.map(({ patch, at }) => abs(greyAt(...held(patch, at), cover)));
  const plainer = greys.toSorted((a, b) => b - a).slice(0, Math.ceil(greys.length / 2));
  const least = threadShare * middleOf(plainer);
  return all.map(({ patch, at, off }, i) => ({
    ...at,
    lengthSpreadMm: lengthSpread(patch, at, off, cover),
    isThread: greys[i]! >= least,
  }));
}
