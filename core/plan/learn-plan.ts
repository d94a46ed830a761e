import { Impossible, refusal, type Issue } from '../impossible';
import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import type { DialSettings } from '../kit/dial-steps';
import {
  acceptedFaultShare,
  isEnough,
  predict,
  rankMoves,
  type DialChange,
  type Prediction,
} from '../margin/advise';
import type { Beliefs } from '../margin/belief';
import { driftSources, type Check, type DriftSource } from '../margin/check';
import { faultRange, type FaultRange } from '../margin/fault-range';
import { learnedBelief, summarised, type Posterior } from '../margin/learn';
import type { Prior } from '../margin/prior';
import {
  driftCount,
  posteriorOfCounts,
  type DriftCount,
  type PosteriorGrid,
  type Sample,
} from '../margin/posterior-grid';
import { priorsOf, type Carried } from './carried';
import { dialIssues } from './dial-issues';
import { countedAlongEdge } from './judge';
import { marginOfPlan } from './margin-of-plan';
import { setUpOf } from './set-up-of';
import { wholePlan } from './whole-plan';

/** A sewn sample with the whole setting it was sewn at. */
export interface SewnSample extends Omit<Sample, 'settings'> {
  readonly settings: DialSettings;
  /** What it was sewn with; the plan itself when left out. */
  readonly plan?: SewingPlan | undefined;
}

/** The checks of the set-up a sample was sewn with. */
function checksOf(finish: Finish, plan: SewingPlan, sample: SewnSample): Check[] {
  const sewn = sample.plan ?? plan;
  return marginOfPlan(finish, sewn.fold.variant).checks(wholePlan(finish, sewn));
}

/** What samples say of the drift of one source, each by the checks it was sewn under. */
export function countsOfSource(
  finish: Finish,
  plan: SewingPlan,
  samples: readonly SewnSample[],
  source: DriftSource,
): DriftCount[] {
  return samples.flatMap((sample): DriftCount[] => {
    const check = checksOf(finish, plan, sample).find(({ name }) => name === sample.check);
    return check?.source === source ? [driftCount(check, sample)] : [];
  });
}

/** What samples say about the drift of each source that any of them informs. */
export type Learned = Partial<Readonly<Record<DriftSource, Posterior>>>;

/** The beliefs that samples have changed. */
export function learnedBeliefs(learned: Learned): Beliefs {
  return Object.fromEntries(
    Object.entries(learned).map(([source, posterior]) => [source, learnedBelief(posterior)]),
  );
}

/** What the samples teach, and the one move that follows. */
export interface Lesson {
  /** About the drift that the last sample informs. */
  readonly posterior: Posterior;
  readonly learned: Learned;
  /** The setting of the last sample, and what it would sew over the real edge. */
  readonly now: {
    readonly settings: DialSettings;
    readonly predicted: Prediction;
    readonly range: FaultRange;
  };
  /** The best setting one dial away; the same setting when nothing is gained. */
  readonly next: {
    readonly settings: DialSettings;
    readonly change: DialChange | null;
    readonly predicted: Prediction;
    readonly range: FaultRange;
  };
  /** The best move of another dial, for those who would rather move that one. */
  readonly instead: Lesson['next'] | null;
  /** True when the setting just sewn is good enough for the real edge. */
  readonly enough: boolean;
}

function sampleIssues(finish: Finish, plan: SewingPlan, samples: readonly SewnSample[]): Issue[] {
  if (samples.length === 0) {
    return [{ path: 'samples', message: 'Nothing to learn from: give at least one sewn sample.' }];
  }
  return samples.flatMap((sample, i): Issue[] => {
    const { check, n, short, over, settings } = sample;
    const names = checksOf(finish, plan, sample).map(({ name }) => name);
    const issues: Issue[] = dialIssues(sample.plan ?? plan, settings).map((issue) => ({
      ...issue,
      path: `samples.${i}.settings.${issue.path}`,
    }));
    if (!names.includes(check)) {
      issues.push(
        refusal(
          `samples.${i}.check`,
          'no-such-check',
          '“{check}” is not a check of {finish}; it has {names}.',
          { check, finish: finish.id, names: names.join(', ') },
        ),
      );
    }
    if (short + over > n) {
      issues.push(
        refusal(
          `samples.${i}.short`,
          'more-than-counted',
          '{short} short and {over} over are more than the {n} that were counted.',
          { short, over, n },
        ),
      );
    }
    const measured = sample.depths?.length ?? 0;
    if (measured > n) {
      issues.push(
        refusal(
          `samples.${i}.depths`,
          'more-than-counted',
          '{measured} stitches were measured, more than the {n} that were counted.',
          { measured, n },
        ),
      );
    }
    return issues;
  });
}

/** The posterior of every source that a sample informs, or that something was carried over for. */
function gridsOf(
  finish: Finish,
  plan: SewingPlan,
  samples: readonly SewnSample[],
  carried: Carried,
): Partial<Record<DriftSource, PosteriorGrid>> {
  const priors = priorsOf(finish, plan, carried);
  // Sources are independent: each learns from the samples of its own checks alone.
  const gridOf = (source: DriftSource, prior: Prior | undefined, anyway: boolean) => {
    const counts = countsOfSource(finish, plan, samples, source);
    if (!prior || (counts.length === 0 && !carried[source] && !anyway)) return null;
    return posteriorOfCounts(counts, prior);
  };
  const grids: Partial<Record<DriftSource, PosteriorGrid>> = {};
  for (const source of driftSources) {
    const grid = gridOf(source, priors[source], false);
    if (grid) grids[source] = grid;
  }
  // But one: what a binder folds comes out aside as a whole, so that where its front was found to
  // run is where its back is looked for.
  const { guide } = grids;
  if (!plan.binder || !guide || !priors.wrap) return grids;
  const { shiftMm } = summarised(guide);
  const { reachMm } = priors.guide ?? {};
  const aside = { ...priors.wrap, shiftMm: priors.wrap.shiftMm + shiftMm };
  const wrap = gridOf('wrap', reachMm === undefined ? aside : { ...aside, reachMm }, true);
  return wrap ? { ...grids, wrap } : grids;
}

/** Posteriors summed up. */
function learnedOf(grids: Partial<Record<DriftSource, PosteriorGrid>>): Learned {
  return Object.fromEntries(
    Object.entries(grids).map(([source, grid]) => [source, summarised(grid)]),
  );
}

/**
 * What is believed of each source after some samples, or before any where something was carried
 * over.
 *
 * @param samples sewn with this plan's cloth, kit and stitch; may be none
 * @throws Impossible for plans that cannot be sewn
 */
export function learnedFrom(
  finish: Finish,
  plan: SewingPlan,
  samples: readonly SewnSample[],
  carried: Carried = {},
): Learned {
  return learnedOf(gridsOf(finish, plan, samples, carried));
}

/**
 * Learns from sewn samples and chooses the next setting, one dial away from the last.
 * Source: docs/formulas.md, “Learning from a sewn sample”.
 *
 * @param samples oldest first, all sewn with this plan's cloth, kit and stitch
 * @param carried what was learned before, elsewhere
 * @param acceptedShare the share of stitches one is content to sew again
 * @throws Impossible for counts that contradict each other and plans that cannot be sewn
 */
export function lessonOf(
  finish: Finish,
  plan: SewingPlan,
  samples: readonly SewnSample[],
  carried: Carried = {},
  acceptedShare = acceptedFaultShare,
): Lesson {
  setUpOf(finish, plan);
  const issues = sampleIssues(finish, plan, samples);
  const last = samples.at(-1);
  if (!last || issues.length > 0) throw new Impossible(issues);

  const source =
    checksOf(finish, plan, last).find(({ name }) => name === last.check)?.source ?? 'guide';
  const grids = gridsOf(finish, plan, samples, carried);
  const learned = learnedOf(grids);
  const posterior = learned[source]!;
  const set = setUpOf(finish, plan, learnedBeliefs(learned));

  // What is counted now, where the last scrap was counted by a check that this fold has not.
  const reported = set.checks.some(({ name }) => name === last.check)
    ? last.check
    : marginOfPlan(finish, plan.fold.variant).countedCheck;
  const at = (settings: DialSettings) => {
    const stitches = countedAlongEdge(plan, settings.lengthMm);
    return {
      settings,
      predicted: predict(set, settings, reported, stitches),
      range: faultRange(set.checks, grids, set.beliefs, settings, stitches),
    };
  };
  const now = at(last.settings);
  const [first, ...others] = rankMoves(set, last.settings);
  const seen = (move: (typeof others)[number]) => ({
    ...at({ ...move.settings, lengthMm: last.settings.lengthMm }),
    change: move.change,
  });
  const next = first?.change ? seen(first) : { ...now, change: null };
  const other =
    next.change === null
      ? undefined
      : others.find(({ change }) => change !== null && change.dial !== next.change?.dial);
  const instead = other ? seen(other) : null;
  const enough = isEnough(now.predicted, acceptedShare);
  return { posterior, learned, now, next, instead, enough };
}
