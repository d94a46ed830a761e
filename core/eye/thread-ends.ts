import { spreadIn, type Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { middleOf } from './middle';
import { laidField, lookOn, placedHoles } from './on-seam';
import { hasBites, type Seen } from './seen';
import { sewnLines } from './sewn-part';
import {
  alongWander,
  atHoleOf,
  contrastOf,
  linePlain,
  logOddsOf,
  settle,
  type Moving,
  type Reach,
  type TracedHole,
} from './trace';

const { abs, hypot, max } = Math;

/** A line at an end belongs to the seam if it is as likely thread, as plain on both sides, and at a bite as far across, as so much of its usual one. */
const likeAShare = 0.5;

/**
 * The ends of a thread, settled by themselves: a first or last hole has one line, and is no longer drawn towards where
 * a next one would be. A bite that was lost for that, before the first or after the last, is looked for once more.
 *
 * @param all of the thread as it was followed through the whole window
 * @param sewn the part of it that is there, in sewing order
 */
export function endsSettled(
  field: Field,
  seen: Seen,
  seam: FoundSeam,
  all: readonly TracedHole[],
  sewn: readonly TracedHole[],
): TracedHole[] {
  const laid = laidField(field, seam, seam.lighter ? 1 : -1);
  const look = lookOn(laid);
  const alongMm = (alongWander * seam.repeatMm) / seen.stitches;
  const wander = {
    ...{ alongMm, isStraight: false },
    meanAcross: middleOf(
      sewn.map(({ acrossMm, hole }) => acrossMm - seam.acrossMm - seam.turned[1] * hole.acrossMm),
    ),
  };
  const contrast = contrastOf(look, [[...sewn]], spreadIn(field), atHoleOf(seen));
  const placed = placedHoles(seen, seam, field.width / field.pxPerMm);
  const moving = (one: TracedHole): Moving => ({
    placed: placed.find(({ hole, repeat }) => hole === one.hole && repeat === one.repeat) ?? one,
    ...{ along: one.alongMm, across: one.acrossMm },
    ...{ spread: one.acrossSpreadMm, logOdds: one.logOdds },
  });
  const rounds: readonly Reach[] = [
    { alongMm: 2 * alongMm, acrossMm: 1.5, stepsMm: 0.1 },
    { alongMm: alongMm / 2, acrossMm: 0.25, stepsMm: 0.04, isLast: true },
  ];
  const settledAs = (one: TracedHole, { along, across, spread, logOdds }: Moving): TracedHole => ({
    ...one,
    ...{ alongMm: along, acrossMm: across, acrossSpreadMm: spread, logOdds },
  });
  /** Holes one after the other, of which the first lies where it does and the last has none after it. */
  const settledFrom = (first: TracedHole, others: readonly TracedHole[]): TracedHole[] => {
    const [fixed, ...line] = [first, ...others].map(moving);
    for (const reach of rounds) {
      line.forEach((at, i) =>
        settle(laid, contrast, [line[i - 1] ?? fixed, at, line[i + 1]], reach, wander),
      );
    }
    return others.map((one, i) => settledAs(one, line[i]!));
  };
  const usual = sewnLines(sewn);
  const isLikeUsual = (from: TracedHole, to: TracedHole): boolean => {
    const [one, other] = [from, to].map(({ alongMm, acrossMm }) => [alongMm, acrossMm] as const);
    const swingMm = abs(other![1] - one![1]);
    const length = max(0.1, hypot(other![0] - one![0], swingMm));
    const isBite = from.hole.role === 'bite' || to.hole.role === 'bite';
    return (
      logOddsOf(laid, contrast, one!, other!) / length >= likeAShare * usual.perMm &&
      linePlain(look, one!, other!) >= likeAShare * usual.plain &&
      (!isBite || swingMm >= likeAShare * usual.swingMm)
    );
  };
  /** The thread from its end up to its next bite; nothing where it does not go on. */
  const nextBite = (end: TracedHole, by: -1 | 1): TracedHole[] => {
    const from = all.findIndex(({ hole, repeat }) => hole === end.hole && repeat === end.repeat);
    const beyond: TracedHole[] = [];
    for (let at = from + by; all[at] && beyond.at(-1)?.hole.role !== 'bite'; at += by) {
      const { hole, repeat } = all[at]!;
      const own = placed.find((one) => one.hole === hole && one.repeat === repeat)!;
      // Where it was followed to may be the shadow of a fold.
      beyond.push({
        ...all[at]!,
        alongMm: own.alongMm,
        acrossMm: own.acrossMm + wander.meanAcross,
      });
    }
    if (from < 0 || beyond.at(-1)?.hole.role !== 'bite') return [];
    const thread = [end, ...settledFrom(end, beyond)];
    // Every line of it: along a fold’s shadow one or the other would do.
    const isThread = thread.slice(1).every((to, i) => isLikeUsual(thread[i]!, to));
    return isThread ? thread.slice(1) : [];
  };
  const [first, last] = [sewn[0], sewn.at(-1)];
  if (!first || !last) return [...sewn];
  const thread = hasBites(seen)
    ? [...nextBite(first, -1).toReversed(), ...sewn, ...nextBite(last, 1)]
    : sewn;
  if (thread.length < 2) return [...thread];
  const [start] = settledFrom(thread[1]!, [thread[0]!]);
  const [end] = settledFrom(thread.at(-2)!, [thread.at(-1)!]);
  return [start!, ...thread.slice(1, -1), end!];
}
