import type { Finish } from '../finish/finish';
import { consider, type Considered } from './consider';
import { wishNames, type ChooseRequest, type WishName, type Wishes } from './request';
import type { Reason } from './weigh';

/** A place on the list. */
export interface Ranked extends Considered {
  /** 0 to 100. */
  readonly score: number;
  /** How well it answers each wish, 0 to 1. */
  readonly answers: Wishes;
}

/** The places, best first, and what is out. */
export interface Ranking {
  readonly ranked: readonly Ranked[];
  readonly ruledOut: readonly Considered[];
}

/** Starting guesses: a bulk and a time that halve what a wish for lightness or haste is worth. */
const halfBulkMm = 1.2;
const halfMinutes = 7;
/** How much of a score the wishes decide; the rest is how well it suits at all. */
const wishShare = 0.75;

/** How well a variant answers each wish. */
export function answersOf({ nature, bulkMm, minutesPerMetre }: Considered): Wishes {
  const { hidden, sturdy, decorative } = nature;
  return {
    hidden,
    sturdy,
    decorative,
    light: 1 / (1 + bulkMm / halfBulkMm),
    quick: 1 / (1 + minutesPerMetre / halfMinutes),
  };
}

/** The weighted mean of how the wishes are answered; an even mean where nothing is wished. */
function answered(answers: Wishes, wishes: Wishes): number {
  const total = wishNames.reduce((sum, name) => sum + wishes[name], 0);
  const weight = (name: WishName) => (total > 0 ? wishes[name] / total : 1 / wishNames.length);
  return wishNames.reduce((sum, name) => sum + weight(name) * answers[name], 0);
}

const wishTexts: Readonly<Record<WishName, string>> = {
  hidden: 'Not seen: {percent} of 100.',
  sturdy: 'Sturdy: {percent} of 100.',
  light: 'Light: {bulkMm:fine} at its thickest.',
  quick: 'Quick: about {minutes} minutes a metre.',
  decorative: 'To be looked at: {percent} of 100.',
};

/** The wishes as reasons, heaviest first, where they were wished for. */
function wishReasons(it: Considered, answers: Wishes, wishes: Wishes): Reason[] {
  return wishNames
    .filter((name) => wishes[name] > 0.05)
    .map((name) => ({
      fact: {
        about: name,
        text: wishTexts[name],
        values: {
          percent: Math.round(answers[name] * 100),
          bulkMm: it.bulkMm,
          minutes: Math.round(it.minutesPerMetre),
        },
      },
      weight: (answers[name] - 0.5) * wishes[name],
    }));
}

/** Scores what was considered; cheap, so that a wish can be moved under the finger. */
export function rankConsidered(considered: readonly Considered[], wishes: Wishes): Ranking {
  const ranked = considered
    .filter(({ hindrances }) => hindrances.length === 0)
    .map((it): Ranked => {
      const answers = answersOf(it);
      const share = 1 - wishShare + wishShare * answered(answers, wishes);
      const reasons = [...it.reasons, ...wishReasons(it, answers, wishes)].sort(
        (a, b) => Math.abs(b.weight) - Math.abs(a.weight),
      );
      return { ...it, answers, reasons, score: 100 * it.fit * share };
    })
    .sort((a, b) => b.score - a.score);
  return { ranked, ruledOut: considered.filter(({ hindrances }) => hindrances.length > 0) };
}

/** Everything in a catalogue, considered for this cloth, edge and kit. */
export function considerAll(catalogue: readonly Finish[], request: ChooseRequest): Considered[] {
  return catalogue.flatMap((finish) =>
    finish.variants.map(({ id }) => consider(finish, id, request)),
  );
}

/** The ranking of a catalogue for this cloth, edge, kit and wishes. */
export function rank(catalogue: readonly Finish[], request: ChooseRequest): Ranking {
  return rankConsidered(considerAll(catalogue, request), request.wishes);
}
