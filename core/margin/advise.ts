import { dialField, dialTravel, marginDials, type MarginDial } from '../kit/dial-steps';
import { beliefFor, type DriftBelief } from './belief';
import { undriftedMm } from './check';
import { costFunction } from './cost';
import { chanceOf, marginsOf, outcomeOf } from './margin';
import { needleMayGo } from '../stitch/clearance';
import { dialSpace, type MarginSettings, type SetUp } from './set-up';
import { tieWithin } from './solve';

/** One dial, one move. */
export interface DialChange {
  readonly dial: MarginDial;
  readonly fromMm: number;
  readonly toMm: number;
}

/** What a setting is expected to sew. */
export interface Prediction {
  /** Chance that a stitch is sound in every check. */
  readonly ok: number;
  /** Chances of ending below and above the counted check. */
  readonly short: number;
  readonly over: number;
  /** Unsound stitches over the whole edge. */
  readonly expectedFaults: number;
}

export interface Move {
  readonly settings: MarginSettings;
  readonly change: DialChange | null;
  readonly cost: number;
}

/** Starting guess: the share of stitches one is content to sew again. */
export const acceptedFaultShare = 0.02;

/**
 * The best move of each dial alone, best first, as the samples suggest. Of moves that are
 * equally good the finer dial is preferred, then the shorter way.
 * Source: docs/formulas.md, “Learning from a sewn sample”.
 *
 * @param now the setting just sewn
 * @returns staying where it is counts as a move, with `change` null, and wins a tie
 */
export function rankMoves(set: SetUp, now: MarginSettings): Move[] {
  const space = dialSpace(set);
  const mayGo = needleMayGo(set.stitch, set.foot, set.machine, set.needleSize);
  const costOf = costFunction(set.checks, set.beliefs, set.faultWeights);
  const costAt = ({ widthMm, needlePositionMm, guideMm }: MarginSettings) =>
    costOf(widthMm, needlePositionMm, guideMm);
  const stay: Move = { settings: now, change: null, cost: costAt(now) };
  const moves = marginDials.flatMap((dial): Move[] => {
    const field = dialField[dial];
    const candidates = space[dial]
      .filter((toMm) => Math.abs(toMm - now[field]) > 1e-9)
      .map((toMm) => ({ ...now, [field]: toMm }))
      .filter(({ widthMm, needlePositionMm }) => mayGo(widthMm, needlePositionMm))
      .map((settings) => ({
        settings,
        change: { dial, fromMm: now[field], toMm: settings[field] },
        cost: costAt(settings),
      }));
    const least = Math.min(...candidates.map(({ cost }) => cost));
    const nearest = candidates
      .filter(({ cost }) => cost <= least + tieWithin)
      .sort((a, b) => travelled(a) - travelled(b));
    return nearest.slice(0, 1);
  });
  const stepOf = ({ change }: Move) =>
    change ? dialTravel(change.dial, set.machine, set.foot.guide).stepMm : 0;
  const least = Math.min(stay.cost, ...moves.map(({ cost }) => cost));
  const near = (move: Move) => (move.cost <= least + tieWithin ? 0 : 1);
  return [stay, ...moves].sort(
    (a, b) =>
      near(a) - near(b) ||
      (near(a) === 0
        ? Number(a.change !== null) - Number(b.change !== null) || stepOf(a) - stepOf(b)
        : 0) ||
      a.cost - b.cost ||
      travelled(a) - travelled(b),
  );
}

function travelled({ change }: Move): number {
  return change ? Math.abs(change.toMm - change.fromMm) : 0;
}

/**
 * What a setting will probably sew over the real edge.
 *
 * @param checkName the check whose sides are reported as short and over
 * @param stitches how many stitches of that kind the edge takes; need not be whole
 */
export function predict(
  set: SetUp,
  dials: MarginSettings,
  checkName: string,
  stitches: number,
): Prediction {
  const margins = marginsOf(set.checks, dials);
  const ok = chanceOf(margins, set.beliefs);
  const check = set.checks.find(({ name }) => name === checkName);
  if (!check) throw new RangeError(`No check is called “${checkName}”.`);
  const belief: DriftBelief = beliefFor(set.beliefs, check.source);
  const { belowChance, aboveChance } = outcomeOf(check, undriftedMm(check, dials), belief);
  return { ok, short: belowChance, over: aboveChance, expectedFaults: stitches * (1 - ok) };
}

/**
 * Whether the setting just sewn is good enough for the real edge: less than one fault expected in
 * all, or no more than the share of its stitches that one is content to sew again.
 */
export function isEnough(prediction: Prediction, acceptedShare = acceptedFaultShare): boolean {
  return prediction.expectedFaults < 1 || 1 - prediction.ok <= acceptedShare;
}
