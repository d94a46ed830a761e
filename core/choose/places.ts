import type { Ranking } from './score';

/** The constructions in order, each at the place of its best variant; 1 is the best. */
export function placesOf({ ranked }: Ranking): ReadonlyMap<string, number> {
  const groups = [...new Set(ranked.map(({ group }) => group))];
  return new Map(groups.map((group, i) => [group, i + 1]));
}
