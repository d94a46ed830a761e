import type { Purpose } from '../../core/edge/purpose';
import type { Joining, OldHemSewing, Pairing } from '../../core/edge/state';

/** What an edge is for, in a word. */
export const purposeNames: Readonly<Record<Purpose, string>> = {
  hem: 'Hem',
  opening: 'Opening',
  allowance: 'Allowance',
  seam: 'Seam',
};

/** What each of them is, in a line. */
export const purposeMeanings: Readonly<Record<Purpose, string>> = {
  hem: 'the lower or outer end: skirt, leg, scarf, curtain',
  opening: 'something passes through: neck, armhole, waist',
  allowance: 'inside, along a seam that is sewn',
  seam: 'two raw edges, still to be joined',
};

export const oldHemSewingNames: Readonly<Record<OldHemSewing, string>> = {
  chain: 'in a chain, which pulls out',
  lock: 'locked, unseen',
  topstitched: 'topstitched, to be seen',
};

export const joiningNames: Readonly<Record<Joining, string>> = {
  flat: 'flat, open',
  round: 'sewn into a round',
};

export const pairingNames: Readonly<Record<Pairing, string>> = {
  alone: 'alone',
  pair: 'one of two',
};
