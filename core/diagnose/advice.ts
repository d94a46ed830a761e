import type { DialSettings, MarginDial } from '../kit/dial-steps';
import type { DialChange, Prediction } from '../margin/advise';
import { marginDials } from '../kit/dial-steps';
import type { DialId, Direction } from './move';
import type { SuggestedMove } from './diagnose';

/** What counts advise, as far as it is ranked beside what was only seen. */
export interface CountedMove {
  readonly settings: DialSettings;
  readonly change: DialChange | null;
  readonly predicted: Prediction;
}

/** One move, with what speaks for it. */
export interface Advice {
  readonly dial: DialId;
  readonly direction: Direction;
  /** Where counts say how far: from, to and what to expect. */
  readonly counted: CountedMove | null;
  /** Where something seen speaks for it. */
  readonly seen: SuggestedMove | null;
}

export interface RankedAdvice {
  /** The best first. */
  readonly moves: readonly Advice[];
  /** What was seen would move a dial of the margin where the counts would not. */
  readonly overruled: readonly SuggestedMove[];
}

/** Which way a dial goes; width up is wider, a place up is to the right. */
export function directionOf({ dial, fromMm, toMm }: DialChange): Direction {
  if (dial === 'width') return toMm > fromMm ? 'more' : 'less';
  return toMm > fromMm ? 'right' : 'left';
}

const isMargin = (dial: DialId): dial is MarginDial => marginDials.some((one) => one === dial);

/**
 * One ranked list from counts and from what was seen. Where something was counted, the dials that
 * move the margin are the counts' to move: what was seen adds its reasons where it agrees and is
 * overruled where it does not. Every other dial is the cause table's.
 *
 * @param counted the counts' moves, the best first; null where nothing was counted. A first move
 *   without a change says that no dial of the margin gains anything
 * @param seen the cause table's moves, the best first
 * @param enough whether the counts are good enough as they are
 */
export function rankAdvice(
  counted: readonly CountedMove[] | null,
  seen: readonly SuggestedMove[],
  enough: boolean,
): RankedAdvice {
  if (!counted) {
    return { moves: seen.map((move) => bySight(move)), overruled: [] };
  }
  const moving = counted.flatMap((move) => (move.change ? [{ ...move, change: move.change }] : []));
  const byCount = moving.map((move): Advice => {
    const { dial } = move.change;
    const direction = directionOf(move.change);
    const agrees = seen.find((one) => one.dial === dial && one.direction === direction) ?? null;
    return { dial, direction, counted: move, seen: agrees };
  });
  const agreed = byCount.flatMap((advice) => (advice.seen ? [advice.seen] : []));
  const others = seen.filter((move) => !agreed.includes(move));
  const bySeen = others.filter(({ dial }) => !isMargin(dial)).map(bySight);
  const overruled = others.filter(({ dial }) => isMargin(dial));
  // Counts that are good already have no say before what the eye minds.
  // Else the counts' best move comes first; its alternatives mend the same thing, and come last.
  const moves = enough
    ? [...bySeen, ...byCount]
    : [...byCount.slice(0, 1), ...bySeen, ...byCount.slice(1)];
  return { moves, overruled };
}

function bySight(seen: SuggestedMove): Advice {
  return { dial: seen.dial, direction: seen.direction, counted: null, seen };
}
