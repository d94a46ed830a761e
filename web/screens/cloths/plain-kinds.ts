import { genericCloths, type GenericCloth } from '../../../core/cloth/generic-cloths';
import { saysAll } from './says-all';

/** The plain kinds of cloth that say all of some words. */
export const plainKinds = (words: string): readonly GenericCloth[] =>
  genericCloths.filter(({ name, fibre, construction }) =>
    saysAll(`${name} ${fibre} ${construction}`, words),
  );
