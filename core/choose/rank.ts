import type { Finish } from '../finish/finish';
import { consider, type Considered } from './consider';
import type { SolvedChances } from './reach';
import type { ChooseRequest } from './request';
import { rankConsidered, type Ranking } from './score';

/** Everything in a catalogue, considered for this cloth, edge and kit. */
export function considerAll(catalogue: readonly Finish[], request: ChooseRequest): Considered[] {
  const known: SolvedChances = new Map();
  return catalogue.flatMap((finish) =>
    finish.variants.map(({ id }) => consider(finish, id, request, known)),
  );
}

/** The ranking of a catalogue for this cloth, edge, kit and wishes. */
export function rank(catalogue: readonly Finish[], request: ChooseRequest): Ranking {
  return rankConsidered(considerAll(catalogue, request), request.wishes);
}
