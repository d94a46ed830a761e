import type { Considered } from './consider';
import { fact, type Contribution } from './contribution';
import { wishNames, type WishName, type Wishes } from './request';

/** A reason: a true part of the score, and whether every other candidate shares it. */
export interface Reason extends Contribution {
  /** All that are ranked have it alike, so that it decides nothing. */
  readonly shared: boolean;
}

/** A place on the list. */
export interface Ranked extends Considered {
  /** The sum of its reasons; 0 to 100. */
  readonly score: number;
  /** What the score is made of, the largest part first. */
  readonly reasons: readonly Reason[];
}

/** The places, best first, and what is out. */
export interface Ranking {
  readonly ranked: readonly Ranked[];
  readonly ruledOut: readonly Considered[];
}

/** What every candidate starts with, and the most that wishes add to it or take from it. */
const startPoints = 45;
const wishPoints = 90;
/** A raw edge is an ornament, and a showy edge no surprise, from this wish on. */
const wishedToBeSeen = 0.5;
/** As much as this is show, share of its decorative rating. */
const showy = 0.8;
const unaskedPoints = -34;

/** How much each wish counts, adding up to 1: even, but for show, where nothing is wished. */
export function wishWeights(wishes: Wishes): Wishes {
  const total = wishNames.reduce((sum, name) => sum + wishes[name], 0);
  const share = (name: WishName) =>
    total > 0 ? wishes[name] / total : name === 'decorative' ? 0 : 1 / (wishNames.length - 1);
  return Object.fromEntries(wishNames.map((name) => [name, share(name)])) as Wishes;
}

/** The wishes' part of a score: how far each is answered beyond half. */
function wishContributions({ answers }: Considered, weights: Wishes): Contribution[] {
  return wishNames.flatMap((name) => {
    const points = wishPoints * weights[name] * (answers[name].share - 0.5);
    return points === 0 ? [] : [{ fact: answers[name].why, points }];
  });
}

/** Show that nobody asked for. */
function unasked({ answers }: Considered, { decorative }: Wishes): Contribution[] {
  if (answers.decorative.share < showy || decorative >= wishedToBeSeen) return [];
  return [
    {
      fact: fact('unasked', 'It is there to be looked at, and nobody asked for that.'),
      points: unaskedPoints * (1 - decorative / wishedToBeSeen),
    },
  ];
}

const start: Contribution = {
  fact: fact('start', 'What every finish starts with.'),
  points: startPoints,
};

/** No score is below nothing, and none above a hundred; what that takes is told like the rest. */
function bounded(contributions: readonly Contribution[]): Contribution[] {
  const sum = contributions.reduce((total, { points }) => total + points, 0);
  const over = sum < 0 ? -sum : sum > 100 ? 100 - sum : 0;
  if (over === 0) return [...contributions];
  const text = over > 0 ? 'No score is less than nothing.' : 'No score is more than a hundred.';
  return [...contributions, { fact: fact('bound', text), points: over }];
}

/** A raw edge is out while nobody wants to look at it. */
const neverSeen = fact('raw-hem', 'A raw edge that is only held is no hem.');

function ifWished(it: Considered, { decorative }: Wishes): Considered {
  if (!it.onlyToBeSeen || decorative >= wishedToBeSeen) return it;
  const because =
    it.contributions.find(({ fact: { about } }) => about === neverSeen.about)?.fact ?? neverSeen;
  const wouldNeed = fact(
    'to-be-seen',
    'cloth that neither frays nor rolls, or a wish for a raw edge to look at',
  );
  return { ...it, hindrances: [...it.hindrances, { because, wouldNeed }] };
}

/** Points that differ by less are the same: what is left of adding up. */
const sameWithin = 1e-6;

/** Whether every one of several lists of contributions has one alike: about the same, and worth the same. */
const isShared =
  (lists: readonly (readonly Contribution[])[]) =>
  ({ fact: { about }, points }: Contribution): boolean =>
    lists.every((list) =>
      list.some((one) => one.fact.about === about && Math.abs(one.points - points) < sameWithin),
    );

/** Scores what was considered; cheap, so that a wish can be moved under the finger. */
export function rankConsidered(considered: readonly Considered[], wishes: Wishes): Ranking {
  const weights = wishWeights(wishes);
  const all = considered.map((it) => ifWished(it, wishes));
  const left = all.filter(({ hindrances }) => hindrances.length === 0);
  const lists = left.map((it) =>
    bounded([
      start,
      ...it.contributions,
      ...unasked(it, wishes),
      ...wishContributions(it, weights),
    ]),
  );
  const shared = isShared(lists);
  const ranked = left
    .map((it, i): Ranked => {
      const reasons = (lists[i] ?? [])
        .map((one): Reason => ({ ...one, shared: shared(one) }))
        .sort((a, b) => Math.abs(b.points) - Math.abs(a.points));
      return { ...it, reasons, score: reasons.reduce((sum, { points }) => sum + points, 0) };
    })
    .sort((a, b) => b.score - a.score);
  return { ranked, ruledOut: all.filter(({ hindrances }) => hindrances.length > 0) };
}
