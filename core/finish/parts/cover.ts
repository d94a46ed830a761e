import type { Machine } from '../../kit/machine';
import type { Reasoned } from '../../fact';
import { said } from './said';

/** Outer needles of a coverstitch stand no further apart than this, mm. Starting guess. */
const farthestOuterMm = 6;

/**
 * The width of a coverstitch: its outer needles' own distance, which no dial changes. The middle
 * needle stands between them, so that a narrow pair has half of it. Source: docs/formulas.md, “Fair chances”.
 */
export function coverSpan({ maxWidthMm }: Pick<Machine, 'maxWidthMm'>): Reasoned<number> {
  return {
    value: Math.min(farthestOuterMm, maxWidthMm),
    because: [said('cover-span', 'The needles’ own distance; no dial changes it.')],
    startingGuess: true,
  };
}
