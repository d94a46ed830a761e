import type { Considered } from './consider';
import { rankConsidered } from './score';
import { wishNames, type WishName, type Wishes } from './request';

/** The nearest place of a wish at which another finish takes the lead. */
export interface Overtaking {
  readonly wish: WishName;
  /** Where the wish would have to stand, 0 to 1. */
  readonly at: number;
  readonly finishId: string;
  readonly variant: string;
}

/** Wishes are moved in tenths. */
const steps = 10;

const leader = (considered: readonly Considered[], wishes: Wishes) =>
  rankConsidered(considered, wishes).ranked[0];

/**
 * What would overtake when one wish moves and the others stand: for each wish the smallest move,
 * up or down, that puts another construction first.
 *
 * @returns an entry for each wish that can change the lead at all
 */
export function overtakings(considered: readonly Considered[], wishes: Wishes): Overtaking[] {
  const first = leader(considered, wishes);
  if (!first) return [];
  return wishNames.flatMap((wish) => {
    const places = Array.from({ length: steps + 1 }, (_, i) => i / steps)
      .filter((at) => Math.abs(at - wishes[wish]) > 0.001)
      .sort((a, b) => Math.abs(a - wishes[wish]) - Math.abs(b - wishes[wish]) || a - b);
    for (const at of places) {
      const next = leader(considered, { ...wishes, [wish]: at });
      if (next && next.group !== first.group) {
        return [{ wish, at, finishId: next.finishId, variant: next.variant }];
      }
    }
    return [];
  });
}
