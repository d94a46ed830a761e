import { middleOf } from './middle';
import { threadCover, type ThreadCover, type ThreadLook } from './thread-look';

/**
 * Looks a thread may have. Of three widths and three ways to end, as far from each other as they were, the nearest put all bites
 * of a photo 0.012 mm too deep or too shallow (the middle of 69 photos, 0.018 one spread); of these it is 0.007 and 0.013.
 */
const halvesMm = [0.1, 0.11, 0.12, 0.13, 0.14, 0.15, 0.165, 0.18, 0.2, 0.22, 0.25];
const blursMm = [0.05, 0.065, 0.08, 0.1, 0.12, 0.145, 0.17, 0.2];
/**
 * Where a picture’s blur is known it is so, about: thread lies higher than what tells it. It is softer where that fits so
 * much better: else the shadow beside a thread is taken for blur, and its own width for less.
 */
const asKnown = [0.8, 0.9, 1, 1.1, 1.2];
const ifSofter = 1.5;
/** Ways it may end: it sinks into the cloth, or lies round. */
const waysToEnd = [0.6, 0.05, 0.15, 0.25, 0.35, 0.45, 0.7, 0.8, 0.9, 1] as const;
/** How a thread looks is told by so many of its pieces. */
const mostTelling = 23;
/** How wide it is and how it ends are told by each other so many times. */
const timesTold = 2;

/** How a piece of thread is held against the picture. */
export interface Held<Piece, Place> {
  /** Where it was found. */
  readonly found: (piece: Piece) => Place;
  readonly offAt: (piece: Piece, at: Place, cover: ThreadCover) => number;
  /** Where it fits best, about. */
  readonly fit: (piece: Piece, cover: ThreadCover) => { readonly at: Place; readonly off: number };
}

/** How far a picture may be blurred, mm, and how many times as far off a thread may be that is so. */
function blursFor(
  knownMm: number | undefined,
): { readonly blurMm: number; readonly times: number }[] {
  if (knownMm === undefined) return blursMm.map((blurMm) => ({ blurMm, times: 1 }));
  const known = asKnown.map((share) => share * knownMm);
  const softer = blursMm.filter((blurMm) => blurMm > Math.max(...known));
  return [
    ...known.map((blurMm) => ({ blurMm, times: 1 })),
    ...softer.map((blurMm) => ({ blurMm, times: ifSofter })),
  ];
}

/**
 * How the thread of a photo looks: what fits most of its pieces best.
 *
 * @param knownMm how far the picture is blurred, one spread, where something else tells, mm
 * @param ends how much of it may be seen at a hole; width and blur are told by the first of them, before it is known
 */
export function lookOfThread<Piece, Place>(
  pieces: readonly Piece[],
  { found, offAt, fit }: Held<Piece, Place>,
  knownMm?: number,
  ends: readonly [number, ...number[]] = waysToEnd,
): ThreadLook {
  const blurs = blursFor(knownMm);
  const every = Math.ceil(pieces.length / mostTelling);
  const telling = pieces.filter((_, i) => i % every === 0);
  const likeliest = (atHole: number, places: readonly Place[]) =>
    halvesMm
      .flatMap((halfMm) => blurs.map(({ blurMm, times }) => ({ halfMm, blurMm, times })))
      .map(({ times, ...look }) => {
        const one: ThreadLook = { ...look, atHole };
        const cover = threadCover(one);
        const off = middleOf(telling.map((piece, i) => offAt(piece, places[i]!, cover)));
        return { one, off: times * off };
      })
      .reduce((best, other) => (other.off < best.off ? other : best)).one;
  let about = likeliest(ends[0], telling.map(found));
  // How it ends is told by how wide it is, and the other way round.
  for (let i = 0; i < timesTold; i++) {
    const ways = ends.map((atHole) => {
      const cover = threadCover({ ...about, atHole });
      const all = telling.map((piece) => fit(piece, cover));
      return { atHole, places: all.map(({ at }) => at), off: middleOf(all.map(({ off }) => off)) };
    });
    const best = ways.reduce((one, other) => (other.off < one.off ? other : one));
    about = likeliest(best.atHole, best.places);
  }
  return about;
}
