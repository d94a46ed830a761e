import type { Ranking } from './rank';

/** The finishes in order, each at the place of its best variant; 1 is the best. */
export function placesOf({ ranked }: Ranking): ReadonlyMap<string, number> {
  const ids = [...new Set(ranked.map(({ finishId }) => finishId))];
  return new Map(ids.map((id, i) => [id, i + 1]));
}
