import { spreadOf, type Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { lookAlong, placedHoles, type PlacedHole } from './on-seam';
import { fittedPricks, type Piece } from './fitted-pricks';
import type { Seen } from './seen';
import { middleOf } from './middle';

const { abs, exp, hypot, max, min, sqrt } = Math;

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
const alsoThread = { share: 0.25, least: 8 } as const;
/** It is in line with them where it lies no farther across, mm. */
const inLineMm = 0.6;

const stepMm = 0.1;
const acrossReachMm = 1.2;
/** A bite comes out within this share of the repeat of where an even stitch has it. */
const alongShare = 0.1;
const mostAlongMm = 1;
/** No bite shows more, mm. */
const mostShownMm = 4;
const loudest = 2.5;

/** What a fit leaves open of half of what shows, one spread, mm: by the study. */
const leftOpenMm = 0.05;
/** What stands out too little, or is too long, is thread so often, as a share. */
const faintShows = 0.1;
/** What shows at all shows so much, mm. */
const leastShownMm = 0.05;
/** A thread’s round ends and the blur look longer than what shows by so much, mm. */
const roundEndsMm = 0.14;

interface Find {
  readonly log: number;
  readonly along: number;
  readonly from: number;
  readonly to: number;
}

/**
 * The likeliest piece of thread across the seam near a place: of all stretches the one whose places
 * are likelier thread than cloth by most.
 */
function likeliest(
  odds: (along: number, across: number) => number,
  along: number,
  across: number,
  alongReach: number,
): Find {
  let best: Find = { log: -Infinity, along, from: across, to: across };
  const far = acrossReachMm + mostShownMm / 2;
  const count = Math.round((2 * far) / stepMm);
  const steps = max(1, Math.round(alongReach / stepMm));
  for (let i = -steps; i <= steps; i++) {
    const s = along + (i / steps) * alongReach;
    // The best stretch of a list of gains: start anew where what went before was a loss.
    let [sum, start] = [0, 0];
    for (let j = 0; j < count; j++) {
      if (sum <= 0) [sum, start] = [0, j];
      sum += odds(s, across - far + (j + 0.5) * stepMm);
      const middle = across - far + ((start + j + 1) / 2) * stepMm;
      const off = (middle - across) / 0.5;
      const log = sum - (off * off) / 2;
      if (log > best.log) {
        best = {
          ...{ log, along: s },
          from: across - far + start * stepMm,
          to: across - far + (j + 1) * stepMm,
        };
      }
    }
  }
  return best;
}

const bell = (x: number, mean: number, spread: number) =>
  exp(-(((x - mean) / spread) ** 2) / 2) / spread;

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
  const look = lookAlong(field, seam);
  const spread = spreadOf(field.values);
  const places = placedHoles(seen, seam, field.width / field.pxPerMm).filter(
    ({ hole }) => hole.counted,
  );
  const reach = min(mostAlongMm, alongShare * seam.repeatMm);
  // Thread at its plainest near the places, to know what to look for.
  const bright = places.map(({ alongMm, acrossMm }) => {
    let most = 0;
    for (let s = -reach; s <= reach; s += stepMm) {
      for (let t = -0.6; t <= 0.6; t += stepMm) {
        most = max(most, sign * look(alongMm + s, acrossMm + t));
      }
    }
    return most;
  });
  const thread = max(
    2 * spread,
    middleOf(bright.sort((a, b) => b - a).slice(0, max(1, bright.length >> 1))) * 0.8,
  );
  const odds = (along: number, across: number) => {
    const log = ((sign * look(along, across) - thread / 2) * thread) / (spread * spread) / 3;
    return max(-loudest, min(loudest, log));
  };
  const finds = places.map(({ alongMm, acrossMm }) => likeliest(odds, alongMm, acrossMm, reach));
  // The same search where no bite comes out: between the places.
  const between = places.flatMap(({ alongMm, acrossMm }) =>
    betweenAt.map((share) => {
      const find = likeliest(odds, alongMm + share * seam.repeatMm, acrossMm, reach);
      const beside = (find.from + find.to) / 2 - acrossMm;
      return { log: find.log, beyond: (find.along - alongMm) / seam.repeatMm, beside };
    }),
  );
  const nothing = between.map(({ log }) => log);
  const bare = {
    mean: nothing.reduce((sum, log) => sum + log, 0) / max(1, nothing.length),
    spread: 0,
  };
  bare.spread = sqrt(
    nothing.reduce((sum, log) => sum + (log - bare.mean) ** 2, 0) / max(1, nothing.length - 1) +
      0.25,
  );
  const plain = finds.map(({ log }) => log).filter((log) => log > bare.mean + 4 * bare.spread);
  const shown = {
    mean: plain.length > 0 ? middleOf(plain) : bare.mean + 8 * bare.spread,
    spread: max(
      2 * bare.spread,
      0.4 * Math.abs(plain.length > 0 ? middleOf(plain) : 8 * bare.spread),
    ),
  };
  const shares = finds.map((find) => {
    const log = min(find.log, shown.mean);
    const likelyShown = bell(log, shown.mean, shown.spread);
    // Of many looks the best is seen: a heavier tail than a bell’s.
    const likelyBare =
      bell(max(find.log, bare.mean), bare.mean, bare.spread) +
      0.02 * bell(max(find.log, bare.mean), bare.mean, 3 * bare.spread);
    return likelyShown / (likelyShown + likelyBare);
  });
  const seenAt = shares.flatMap((share, i) => (share > 0.5 ? [i] : []));
  const fitted = fittedPricks(
    even,
    seam,
    seenAt.map((i): Piece => {
      const { along, from, to } = finds[i]!;
      const end = min(roundEndsMm, to - from) / 2;
      return { alongMm: along, fromMm: from + end, toMm: to - end };
    }),
  );
  const pricks = places.map((place, i): Prick => {
    const { along, from, to } = finds[i]!;
    const fit = fitted[seenAt.indexOf(i)];
    // What is longer than any bite shows is a print’s border.
    const piece = fit?.isThread && fit.toMm - fit.fromMm <= mostShownMm ? fit : null;
    const { alongMm, fromMm, toMm } = piece ?? { alongMm: along, fromMm: from, toMm: to };
    return {
      ...place,
      ...{ alongMm, acrossMm: (fromMm + toMm) / 2 },
      shows: fit && !piece ? min(faintShows, shares[i]!) : shares[i]!,
      shownMm: piece ? max(leastShownMm, toMm - fromMm) : 0,
      spreadMm: hypot(leftOpenMm, (piece?.lengthSpreadMm ?? 0) / 2),
    };
  });
  const logs = finds.flatMap(({ log }, i) => (pricks[i]!.shownMm > 0 ? [log] : []));
  const least = max(alsoThread.least, alsoThread.share * middleOf(logs));
  const pieces = between.filter(({ log, beside }) => log >= least && abs(beside) <= inLineMm);
  return { places: pricks, between: pieces.map(({ beyond }) => beyond) };
}
