import { spreadOf, type Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { lookAlong, placedHoles, type PlacedHole } from './on-seam';
import { fittedPricks, type FittedPiece, type Piece } from './fitted-pricks';
import { likelyShown } from './likely-shown';
import type { Seen } from './seen';
import { middleOf } from './middle';
import {
  likeliestStretch,
  mostShownMm,
  oddsOf,
  stepMm,
  type Odds,
  type Stretch,
} from './thread-stretch';

const { abs, hypot, max, min } = Math;

/** A place where a bite may come out on the right side, and what is to be seen there. */
export interface Prick extends PlacedHole {
  /** 0 … 1. */
  readonly shows: number;
  /** Visible thread across the seam, mm; 0 where nothing shows. */
  readonly shownMm: number;
  readonly spreadMm: number;
}

/** The places of a row, and what lies between them. */
export interface PrickRow {
  readonly places: readonly Prick[];
  /** How far beyond a place each piece of thread lies that lies between two, in line with them: shares of the repeat. */
  readonly between: readonly number[];
}

/** Where no bite comes out, in repeats beyond where one does. */
const betweenAt = [0.25, 0.5, 0.75];
/** What stands out there by so much of what thread does, in log, is thread as well; and by no less than this. */
const alsoThread = { share: 0.12, least: 5 } as const;
/** It is in line with them where it lies no farther across, mm. */
const inLineMm = 0.6;

/** A bite comes out within this share of the repeat of where an even stitch has it. */
const alongShare = 0.1;
const mostAlongMm = 1;
/** Thread is at its plainest no farther across from where its bite comes out, mm. */
const brightMm = 0.6;

/** What a fit leaves open of half of what shows, one spread, mm: by the study. */
const leftOpenMm = 0.05;
/** What stands out too little, or is too long, is thread so often, as a share. */
const faintShows = 0.1;
/** What shows at all shows so much, mm. */
const leastShownMm = 0.05;
/** A thread’s round ends and the blur look longer than what shows by so much, mm. */
const roundEndsMm = 0.14;

/**
 * Looks for a prick at every place where a bite would come out. What cloth alone shows is taken from
 * places between them, what thread shows from the plainest pricks; a place shows one by how much
 * likelier the second is; how much of it, by what fits the picture best. Source: docs/formulas.md, “The eye”.
 *
 * @param field what stands out of the window
 * @param even the window without the light on it
 */
export function findPricks(field: Field, even: Field, seen: Seen, seam: FoundSeam): PrickRow {
  const sign = seam.lighter ? 1 : -1;
  const along = lookAlong(field, seam);
  const look: Odds = (alongMm, acrossMm) => sign * along(alongMm, acrossMm);
  const spread = spreadOf(field.values);
  const places = placedHoles(seen, seam, field.width / field.pxPerMm).filter(
    ({ hole }) => hole.counted,
  );
  const reachMm = min(mostAlongMm, alongShare * seam.repeatMm);
  const odds = oddsOf(look, max(2 * spread, threadAt(look, places, reachMm)), spread);
  const finds = places.map(({ alongMm, acrossMm }) =>
    likeliestStretch(odds, alongMm, acrossMm, reachMm),
  );
  // The same search where no bite comes out: between the places.
  const between = places.flatMap(({ alongMm, acrossMm }) =>
    betweenAt.map((share) => {
      const at = alongMm + share * seam.repeatMm;
      const { log, ...find } = likeliestStretch(odds, at, acrossMm, reachMm);
      const besideMm = (find.fromMm + find.toMm) / 2 - acrossMm;
      return { log, beyond: (find.alongMm - alongMm) / seam.repeatMm, besideMm };
    }),
  );
  const shares = likelyShown(
    finds.map(({ log }) => log),
    between.map(({ log }) => log),
  );
  const seenAt = shares.flatMap((share, i) => (share > 0.5 ? [i] : []));
  const fitted = fittedPricks(
    even,
    seam,
    seenAt.map((i) => withoutEnds(finds[i]!)),
  );
  const pricks = places.map((place, i) =>
    prickAt(place, finds[i]!, shares[i]!, fitted[seenAt.indexOf(i)]),
  );
  const logs = finds.flatMap(({ log }, i) => (pricks[i]!.shownMm > 0 ? [log] : []));
  const least = max(alsoThread.least, alsoThread.share * middleOf(logs));
  const pieces = between.filter(({ log, besideMm }) => log >= least && abs(besideMm) <= inLineMm);
  return { places: pricks, between: pieces.map(({ beyond }) => beyond) };
}

/** How far thread stands out at its plainest near the places, to know what to look for. */
function threadAt(look: Odds, places: readonly PlacedHole[], reachMm: number): number {
  const brightest = places.map(({ alongMm, acrossMm }) => {
    let most = 0;
    for (let s = -reachMm; s <= reachMm; s += stepMm) {
      for (let t = -brightMm; t <= brightMm; t += stepMm) {
        most = max(most, look(alongMm + s, acrossMm + t));
      }
    }
    return most;
  });
  const plainer = brightest.sort((a, b) => b - a).slice(0, max(1, brightest.length >> 1));
  return 0.8 * middleOf(plainer);
}

/** What shows of a stretch, without its round ends. */
function withoutEnds({ alongMm, fromMm, toMm }: Stretch): Piece {
  const end = min(roundEndsMm, toMm - fromMm) / 2;
  return { alongMm, fromMm: fromMm + end, toMm: toMm - end };
}

/** What is to be seen at a place. @param fit how the picture has what was found there; none where nothing was */
function prickAt(place: PlacedHole, find: Stretch, share: number, fit?: FittedPiece): Prick {
  // What is longer than any bite shows is a print’s border.
  const piece = fit?.isThread && fit.toMm - fit.fromMm <= mostShownMm ? fit : null;
  const { alongMm, fromMm, toMm } = piece ?? find;
  return {
    ...place,
    ...{ alongMm, acrossMm: (fromMm + toMm) / 2 },
    shows: fit && !piece ? min(faintShows, share) : share,
    shownMm: piece ? max(leastShownMm, toMm - fromMm) : 0,
    spreadMm: hypot(leftOpenMm, (piece?.lengthSpreadMm ?? 0) / 2),
  };
}
