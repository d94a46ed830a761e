import { spreadIn, type Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { middleOf } from './middle';
import {
  laidField,
  lookOn,
  placedHoles,
  type LaidField,
  type LookAt,
  type PlacedHole,
} from './on-seam';
import { isLine, swingsAtRawEdge, type Seen } from './seen';
import { sunkMm } from './waves';

// Asked for at every place along a thread.
const { abs, exp, hypot, max, round, sqrt } = Math;

/** A hole as the picture has it. */
export interface TracedHole extends PlacedHole {
  /** How surely thread runs from hole to hole here: the log of how much likelier than bare cloth. */
  readonly logOdds: number;
  /** The same for the line from the hole before alone; null at the first hole of a needle. */
  readonly lineLogOdds: number | null;
  /** How far that line stands out on both its sides at once. */
  readonly linePlain: number;
  /** How far it may lie otherwise across, one spread, mm. */
  readonly acrossSpreadMm: number;
}

/**
 * So much of a swing’s thread is still seen where it goes down into the cloth; what is seen of it
 * would else end before its hole, by 0.03 mm in the mean.
 */
const swingAtHole = 0.5;
/** Over an edge its two lines meet in a point, and each stands out less for the other beside it. */
const overEdgeAtHole = 0.25;
export const atHoleOf = (seen: Seen): number => {
  if (isLine(seen)) return 1;
  return swingsAtRawEdge(seen) ? overEdgeAtHole : swingAtHole;
};
/** A thread is looked at every so many mm; from afar, where only its way is looked for, half as often is enough. */
const closelyMm = 0.1;
const roughlyMm = 0.2;
/** A single place can’t speak louder than this, in log: a speck is no thread. */
const loudest = 2.5;
/** Holes wander so far from where an even stitch has them, one spread, mm. */
const acrossWanderMm = 0.7;
/** A straight line bends so far from one stitch to the next, one spread, mm. */
const bendMm = 0.2;
/** And so far along, as a share of the stitch length. */
export const alongWander = 0.12;
/** Places that are a thread’s width apart speak for themselves, mm; nearer ones repeat each other. */
const alikeMm = 0.3;

/** What thread gives in a picture and how far what is none strays. */
export interface Contrast {
  readonly thread: number;
  readonly spread: number;
  /** How much of the thread is still seen at a hole, as a share. */
  readonly atHole: number;
}

/**
 * How much likelier a line is thread than cloth, in log. What `lookOn` does is written out: of a photo millions
 * of places are looked at here, and a call for each takes as long again.
 */
export function logOddsOf(
  { values, width, lastX, lastY, c, s, x0, y0, sign }: LaidField,
  { thread, spread, atHole }: Contrast,
  [s0, t0]: readonly [number, number],
  [s1, t1]: readonly [number, number],
  placesMm = closelyMm,
): number {
  const ds = s1 - s0;
  const dt = t1 - t0;
  const length = sqrt(ds * ds + dt * dt);
  const count = max(1, round(length / placesMm));
  const [xs, ys] = [x0 + s0 * c - t0 * s, y0 + s0 * s + t0 * c];
  const [dx, dy] = [ds * c - dt * s, ds * s + dt * c];
  const rising = length / sunkMm;
  const inSpreads = 1 / (spread * spread);
  let sum = 0;
  for (let i = 0; i < count; i++) {
    const share = (i + 0.5) / count;
    const x = xs + dx * share;
    const y = ys + dy * share;
    let value = 0;
    if (x >= 0 && y >= 0 && x < lastX && y < lastY) {
      const left = x | 0;
      const top = y | 0;
      const fx = x - left;
      const at = top * width + left;
      const above = values[at]!;
      const below = values[at + width]!;
      const upper = above + (values[at + 1]! - above) * fx;
      const lower = below + (values[at + width + 1]! - below) * fx;
      value = sign * (upper + (lower - upper) * (y - top));
    }
    const shown = atHole + (share < 0.5 ? share : 1 - share) * rising;
    const there = shown < 1 ? thread * shown : thread;
    const log = (value - there / 2) * there * inSpreads;
    sum += log > loudest ? loudest : log < -loudest ? -loudest : log;
  }
  return (sum * placesMm) / alikeMm;
}

/** What thread gives along the lines as they are placed; the upper half, since some miss it. */
export function contrastOf(
  look: LookAt,
  lines: readonly PlacedHole[][],
  spread: number,
  atHole: number,
): Contrast {
  const values = lines.flatMap((line) =>
    line.slice(1).flatMap((hole, i) => {
      const before = line[i]!;
      return [0.25, 0.5, 0.75].map((share) =>
        look(
          before.alongMm + (hole.alongMm - before.alongMm) * share,
          before.acrossMm + (hole.acrossMm - before.acrossMm) * share,
        ),
      );
    }),
  );
  const upper = values.sort((a, b) => a - b).slice(values.length >> 1);
  return { thread: max(middleOf(upper), spread / 2), spread, atHole };
}

/** A hole that is still being moved. */
export interface Moving {
  readonly placed: PlacedHole;
  along: number;
  across: number;
  spread: number;
  logOdds: number;
}

/** How far around a hole is looked, and how closely. */
export interface Reach {
  readonly alongMm: number;
  readonly acrossMm: number;
  readonly stepsMm: number;
  /** Its thread is looked at every so many mm. */
  readonly placesMm?: number;
  /** It is not looked for more closely after that. */
  readonly isLast?: boolean;
}

/** Moves one hole to where its thread is likeliest, and sees how surely it lies there. */
export function settle(
  laid: LaidField,
  contrast: Contrast,
  [before, at, after]: readonly [Moving | undefined, Moving, Moving | undefined],
  reach: Reach,
  wander: { readonly alongMm: number; readonly meanAcross: number; readonly isStraight: boolean },
): void {
  const { placed } = at;
  const beside = [before, after].filter((one) => one !== undefined);
  const between = beside.reduce((sum, { across }) => sum + across, 0) / Math.max(1, beside.length);
  const cost = (along: number, across: number) => {
    const far = (along - placed.alongMm) / wander.alongMm;
    const off = (across - placed.acrossMm - wander.meanAcross) / acrossWanderMm;
    const bent = wander.isStraight && beside.length > 0 ? (across - between) / bendMm : 0;
    return -(far * far + off * off + bent * bent) / 2;
  };
  const likely = (along: number, across: number) => {
    let log = 0;
    const at = [along, across] as const;
    if (before) log += logOddsOf(laid, contrast, [before.along, before.across], at, reach.placesMm);
    if (after) log += logOddsOf(laid, contrast, at, [after.along, after.across], reach.placesMm);
    return log;
  };
  const alongSteps = Math.round(reach.alongMm / reach.stepsMm);
  const acrossSteps = Math.round(reach.acrossMm / reach.stepsMm);
  let best = { log: -Infinity, along: at.along, across: at.across };
  const tried: { across: number; log: number }[] = [];
  for (let j = -acrossSteps; j <= acrossSteps; j++) {
    const across = at.across + j * reach.stepsMm;
    let most = -Infinity;
    for (let i = -alongSteps; i <= alongSteps; i++) {
      const along = at.along + i * reach.stepsMm;
      const log = likely(along, across) + cost(along, across);
      if (log > most) most = log;
      if (log > best.log) best = { log, along, across };
    }
    tried.push({ across, log: most });
  }
  at.along = best.along;
  at.across = best.across;
  at.logOdds = best.log - cost(best.along, best.across);
  let [weight, sum, square] = [0, 0, 0];
  for (const { across, log } of tried) {
    const share = exp(log - best.log);
    weight += share;
    sum += share * across;
    square += share * across * across;
  }
  const mean = sum / weight;
  // Of all places where it may lie the mean is off by less than the likeliest, which lies on one of the steps.
  if (reach.isLast) at.across = mean;
  at.spread = sqrt(max(square / weight - mean * mean, (reach.stepsMm / 4) ** 2));
}

/** A thread that was followed from afar. */
export interface Following {
  /** How likely its way is thread: the log of how much likelier than bare cloth, of all holes that are. */
  readonly likely: number;
  /** Follows it closely. */
  closely(): TracedHole[];
}

/**
 * Follows a thread from hole to hole: each hole is moved to where the two lines that meet in it are
 * likeliest thread, weighed by how far stitches wander; from coarse to fine.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param field what stands out of the window, 8 px a mm or more
 * @returns how likely its way is, seen from afar; where it lies when it is looked at closely
 */
export function following(field: Field, seen: Seen, seam: FoundSeam): Following {
  const laid = laidField(field, seam, seam.lighter ? 1 : -1);
  const look = lookOn(laid);
  const placed = placedHoles(seen, seam, field.width / field.pxPerMm);
  const needles = [...new Set(placed.map(({ hole }) => hole.needle))];
  const lines = needles.map((needle) => placed.filter(({ hole }) => hole.needle === needle));
  const spread = spreadIn(field);
  const pitchMm = seam.repeatMm / seen.stitches;
  const swings = !isLine(seen);
  // A straight line shows no hole; only how far across it lies.
  const alongMm = swings ? alongWander * pitchMm : 0;
  const [afar, ...closer]: readonly [Reach, ...Reach[]] = [
    // A line was looked for by itself; farther off is the fold beside it.
    { alongMm: 2 * alongMm, acrossMm: swings ? 1.5 : 0.6, stepsMm: 0.15, placesMm: roughlyMm },
    { alongMm: alongMm, acrossMm: 0.45, stepsMm: 0.09 },
    { alongMm: alongMm / 2, acrossMm: 0.25, stepsMm: 0.04, isLast: swings },
  ];
  const moving = lines.map((line) =>
    line.map((one): Moving => ({
      placed: one,
      ...{ along: one.alongMm, across: one.acrossMm },
      ...{ spread: acrossWanderMm, logOdds: 0 },
    })),
  );
  const atHole = atHoleOf(seen);
  let contrast = contrastOf(look, lines, spread, atHole);
  const settleAll = (reach: Reach, meanAcross: number) => {
    for (const line of moving) {
      // At last each by where the others lay before: the same whichever way the scrap lies.
      const others = reach.isLast ? line.map((one) => ({ ...one })) : line;
      line.forEach((at, i) => {
        const wander = { alongMm: max(0.05, alongMm), meanAcross, isStraight: !swings };
        settle(laid, contrast, [others[i - 1], at, others[i + 1]], reach, wander);
      });
    }
    contrast = contrastOf(
      look,
      moving.map((line) =>
        line.map(({ placed: one, along, across }) => ({
          ...one,
          ...{ alongMm: along, acrossMm: across },
        })),
      ),
      spread,
      atHole,
    );
  };
  settleAll(afar, 0);
  const closely = () => {
    for (const reach of closer) {
      const offs = moving.flat().map(({ across, placed: { acrossMm } }) => across - acrossMm);
      settleAll(reach, middleOf(offs));
    }
    return moving.flatMap((line) =>
      line.map(({ placed: one, along, across, logOdds, spread: own }, i) => {
        const before = line[i - 1];
        const from = [before?.along ?? along, before?.across ?? across] as const;
        return {
          ...one,
          linePlain: linePlain(look, from, [along, across]),
          ...{ alongMm: along, acrossMm: across, logOdds, acrossSpreadMm: own },
          lineLogOdds:
            before === undefined
              ? null
              : logOddsOf(laid, contrast, [before.along, before.across], [along, across]),
        };
      }),
    );
  };
  const likely = moving.flat().reduce((sum, { logOdds }) => sum + max(0, logOdds), 0);
  return { likely, closely };
}

/** Follows a thread at once from afar and closely. */
export const traced = (field: Field, seen: Seen, seam: FoundSeam): TracedHole[] =>
  following(field, seen, seam).closely();

/** Cloth lies so far beside a thread’s middle, mm. */
const besideMm = 0.35;

/** How far a line stands out from both its sides at once, and how they differ, at places along it. */
function besideLine(
  look: LookAt,
  [s1, t1]: readonly [number, number],
  [s2, t2]: readonly [number, number],
) {
  const [ds, dt] = [s2 - s1, t2 - t1];
  const length = max(1e-6, hypot(ds, dt));
  const [os, ot] = [(-dt / length) * besideMm, (ds / length) * besideMm];
  return [0.3, 0.5, 0.7].map((share) => {
    const [s, t] = [s1 + ds * share, t1 + dt * share];
    const [one, other] = [look(s + os, t + ot), look(s - os, t - ot)];
    return { plain: look(s, t) - max(one, other), unlike: one - other };
  });
}

/** How far a line stands out from both its sides at once. */
export function linePlain(
  look: LookAt,
  from: readonly [number, number],
  to: readonly [number, number],
): number {
  const sides = besideLine(look, from, to);
  return sides.reduce((sum, { plain }) => sum + plain, 0) / sides.length;
}

/**
 * How plainly a thread stands out on both its sides at once, in spreads of the cloth: what follows
 * the shadow of a fold does not.
 */
export function plainness(field: Field, seam: FoundSeam, thread: readonly TracedHole[]): number {
  const look = lookOn(laidField(field, seam, seam.lighter ? 1 : -1));
  const needles = [...new Set(thread.map(({ hole }) => hole.needle))];
  let [sum, unlike, count] = [0, 0, 0];
  for (const needle of needles) {
    const own = thread.filter(({ hole }) => hole.needle === needle);
    for (let i = 1; i < own.length; i++) {
      const [a, b] = [own[i - 1]!, own[i]!];
      for (const side of besideLine(look, [a.alongMm, a.acrossMm], [b.alongMm, b.acrossMm])) {
        sum += side.plain;
        unlike += side.unlike;
        count++;
      }
    }
  }
  // A thread lies on one cloth; the shadow of a fold has a lighter one on one side.
  const plain = (sum - abs(unlike)) / max(1, count);
  return plain / max(1e-6, spreadIn(field));
}
