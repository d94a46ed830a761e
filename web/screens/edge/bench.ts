import { useLayoutEffect, useMemo } from 'react';
import { finishById } from '../../../core/finish/catalogue';
import type { Finish } from '../../../core/finish/finish';
import type { FinishMargin } from '../../../core/finish/finish-margin';
import type { FoldPlan } from '../../../core/finish/fold-plan';
import type { SewingPlan } from '../../../core/finish/sewing-plan';
import type { WorkRequest } from '../../../core/finish/work';
import { Impossible, type Issue } from '../../../core/impossible';
import type { Dial, DialSettings } from '../../../core/kit/dial-steps';
import type { SetUp } from '../../../core/margin/set-up';
import { foldPlanOf } from '../../../core/plan/fold-plan';
import type { Judgement } from '../../../core/plan/judge';
import type { Carried } from '../../../core/plan/carried';
import { learnedBeliefs, type Learned, type Lesson } from '../../../core/plan/learn-plan';
import { sameForLearning } from '../../../core/plan/same-set-up';
import { setUpOf } from '../../../core/plan/set-up-of';
import { sewnWith } from '../../../core/plan/sewn-with';
import { workRequestOf } from '../../../core/plan/of-records';
import type { PlannedPass } from '../../../core/plan/passes';
import type {
  AttemptRecord,
  ClothRecord,
  EdgeRecord,
  FootRecord,
  MachineRecord,
} from '../../../contract/records';
import type { WorkedBefore } from '../../../contract/book';
import { useList, useRecord } from '../../app/records';
import { propose } from './plan-change';
import { usePasses } from './use-passes';
import { footOn } from './foot-on';
import { useKeptPlan, type PlanChoices, type PlanMoves, type TakenPlan } from './use-kept-plan';
import { useSewingPlan } from './use-sewing-plan';
import { useProposal } from './use-proposal';
import { useLessons } from './use-lessons';
import { useTurning } from './use-turning';

/** The choices of a plan with a finish, without where its dials stand. */
type Chosen = PlanChoices & { readonly finish: string };

/** How the dials of a proposal stand: they are solved, and nothing is ticked. */
const noMoves: PlanMoves = { settings: null, ticks: [] };
const noSchools = {};

/** Everything an edge's stations show, computed from what is stored. */
export interface Bench {
  readonly edge: EdgeRecord;
  /** The plan; while no finish is taken, as the first of the list would make it. */
  readonly record: TakenPlan;
  /** No finish is taken yet: whatever is shown of one is a proposal. */
  readonly proposed: boolean;
  readonly cloth: ClothRecord;
  readonly machine: MachineRecord;
  readonly foot: FootRecord;
  /** Which other pass of the work this is the bench of; null for the line itself. */
  readonly pass: PlannedPass | null;
  /** What a scrap that is being written down is kept under. */
  readonly draftKey: string;
  /** Every scrap of this plan, whatever pass it is of. */
  readonly everyAttempt: readonly AttemptRecord[];
  /** Every scrap of this pass, oldest first. */
  readonly attempts: readonly AttemptRecord[];
  /** Those that were sewn with the present set-up, and so teach something about it. */
  readonly pooled: readonly AttemptRecord[];
  readonly finish: Finish;
  /** What the dials are solved by; null where the finish has starting values only. */
  readonly margin: FinishMargin | null;
  readonly plan: SewingPlan;
  /** What the starting values are worked out from; the same while a dial is turned. */
  readonly request: WorkRequest;
  /** What the steps are worked out from: with the setting in force and the other passes. */
  readonly work: WorkRequest;
  /** The other passes of the work, each planned with its own dials. */
  readonly passes: readonly PlannedPass[];
  /** The cloth a binding is made of; null for the cloth of the edge. */
  readonly strip: ClothRecord | null;
  /** Allowance, marks and stages at the present setting; null while they contradict each other. */
  readonly folds: FoldPlan | null;
  /** Why the plan cannot be sewn; empty when it can. */
  readonly issues: readonly Issue[];
  readonly set: SetUp | null;
  readonly solved: DialSettings | null;
  /** True while a solve or a lesson is under way. */
  readonly busy: boolean;
  readonly dials: DialSettings | null;
  readonly judgement: Judgement | null;
  readonly lesson: Lesson | null;
  /** What is believed of each source by scraps, of this edge or of others. */
  readonly learned: Learned;
  /** What other edges taught that is taken over here; null while it is left out or not there. */
  readonly worked: WorkedBefore | null;
  readonly carried: Carried;
  /** Whether something of it is in the sums here. */
  readonly learnedElsewhere: boolean;
  /** The share of stitches this person is content to sew again. */
  readonly acceptedShare: number;
  /** Turns a dial; kept unless the needle would meet metal there. */
  readonly turn: (dial: Dial, mm: number) => void;
  /** Turns several at once; while `dragging` they are shown and not yet kept. */
  readonly moveTo: (patch: Partial<DialSettings>, dragging?: boolean) => void;
}

/** What the page shows while it can't show the bench. */
export type BenchState =
  | { readonly state: 'ready'; readonly bench: Bench }
  | { readonly state: 'loading' }
  | { readonly state: 'failed'; readonly error: Error };

/**
 * Loads an edge with everything its plan points at, and keeps the sums over it up to date.
 * Solving and learning run in the worker; judging a setting is done here, at once.
 */
export function useEdgeBench(edgeId: string): BenchState {
  const edge = useRecord('edges', edgeId);
  const kept = useKeptPlan(edgeId);
  const stored = kept.choices;
  const attempts = useList('attempts', stored ? { planId: stored.id } : { planId: 'none' });
  const cloths = useList('cloths');
  const machines = useList('machines');
  const feet = useList('feet');
  const preferences = useRecord('preferences', 'mine');

  const cloth = cloths.data?.find(({ id }) => id === edge.data?.clothId);
  const proposal = useProposal(stored, edge.data, cloth);
  useLayoutEffect(() => {
    if (stored) propose(stored.id, proposal ?? null);
  }, [stored, proposal]);
  // Where the dials stand is no part of what is chosen: a nudge must not make everything anew.
  const chosen = useMemo((): Chosen | undefined => {
    if (!stored || proposal === undefined) return undefined;
    const { settings: _none, ticks: _ticks, ...taking } = proposal ?? {};
    const whole = { ...stored, ...taking };
    return whole.finish === null ? undefined : { ...whole, finish: whole.finish };
  }, [stored, proposal]);
  const record = useMemo(
    (): TakenPlan | undefined =>
      chosen && kept.moves && { ...chosen, ...(proposal ? noMoves : kept.moves) },
    [chosen, kept.moves, proposal],
  );
  const machine = machines.data?.find(({ id }) => id === chosen?.machineId);
  const chosenFoot = feet.data?.find(({ id }) => id === chosen?.footId);
  // A machine of loopers keeps its own foot on, whichever was chosen before.
  const foot = useMemo(
    () => chosenFoot && machine && footOn(machine, chosenFoot),
    [chosenFoot, machine],
  );
  const finish = chosen && finishById(chosen.finish);
  // A finish may make its margin anew each time it is asked; here it is one as long as it is asked
  // for the same variant, since whatever is worked out from it is known by it.
  const variant = chosen?.fold.variant;
  const margin = useMemo(
    () => (finish && variant !== undefined ? finish.margin(variant) : null),
    [finish, variant],
  );

  const strip = cloths.data?.find(({ id }) => id === chosen?.stripClothId) ?? null;
  const { plan, records } = useSewingPlan({
    edge: edge.data,
    chosen,
    ...{ cloth, strip, machine, foot, finish },
  });
  // Drawn and named as it is led.
  const led = useMemo(() => foot && plan && { ...foot, specs: plan.foot }, [foot, plan]);
  const own = useMemo(
    () => (attempts.data ?? []).filter(({ pass }) => pass === null),
    [attempts.data],
  );
  // A scrap brings the checks of the set-up it was sewn with; the hand and the guide must be these.
  const pooled = useMemo(
    () =>
      plan
        ? own.filter((one) => one.finish === finish?.id && sameForLearning(one.setUp, plan))
        : [],
    [own, plan, finish],
  );
  const acceptedShare = (preferences.data?.acceptedPercent ?? 2) / 100;
  const { solved, solveIssues, lesson, learned, worked, carried, busy } = useLessons(
    { record: chosen, finish, margin, plan, pooled },
    acceptedShare,
  );

  const use = useMemo(
    () => ({ purpose: edge.data?.purpose, oldHem: edge.data?.oldHem }),
    [edge.data?.purpose, edge.data?.oldHem],
  );
  const [set, issues] = useMemo((): [SetUp | null, readonly Issue[]] => {
    if (!finish || !plan) return [null, []];
    try {
      if (!margin) {
        foldPlanOf(finish, {
          wish: plan.fold,
          cloth: plan.cloth,
          strip: plan.strip,
          edge: use,
        });
        return [null, []];
      }
      return [setUpOf(finish, plan, learnedBeliefs(learned)), []];
    } catch (error) {
      if (error instanceof Impossible) return [null, error.issues];
      throw error;
    }
  }, [finish, margin, plan, learned, use]);

  const { dials, judgement, turn, moveTo } = useTurning(record, set, solved, margin !== null);

  const folds = useMemo(() => {
    if (!finish || !plan) return null;
    const sewn = judgement
      ? Object.fromEntries(judgement.checks.map(({ name, v0Mm }) => [name, v0Mm]))
      : undefined;
    try {
      return foldPlanOf(finish, {
        wish: plan.fold,
        cloth: plan.cloth,
        strip: plan.strip,
        edge: use,
        sewn,
      });
    } catch (error) {
      if (error instanceof Impossible) return null;
      throw error;
    }
  }, [finish, plan, judgement, use]);
  const defaults = preferences.data?.schools;
  const request = useMemo(
    () =>
      records && plan && finish
        ? workRequestOf(records, plan, finish, defaults ?? noSchools)
        : null,
    [records, plan, finish, defaults],
  );
  const passes = usePasses(finish, request);
  const work = useMemo((): WorkRequest | null => {
    if (!request || !finish || !plan) return null;
    const sewn =
      judgement && foot && !judgement.blocked ? sewnWith(finish, plan, judgement, foot) : null;
    return { ...request, sewn, passes: Object.fromEntries(passes.map((pass) => [pass.id, pass])) };
  }, [request, finish, plan, judgement, foot, passes]);
  const error =
    edge.error ?? kept.error ?? cloths.error ?? machines.error ?? feet.error ?? attempts.error;
  if (
    !edge.data ||
    !record ||
    !cloth ||
    !machine ||
    !foot ||
    !led ||
    !finish ||
    !plan ||
    !request ||
    !work
  ) {
    return error ? { state: 'failed', error } : { state: 'loading' };
  }
  return {
    state: 'ready',
    bench: {
      edge: edge.data,
      record,
      proposed: stored?.finish === null,
      cloth,
      machine,
      foot: led,
      pass: null,
      draftKey: record.id,
      everyAttempt: attempts.data ?? [],
      attempts: own,
      pooled,
      finish,
      margin,
      plan,
      request,
      work,
      passes,
      strip,
      folds,
      issues: issues.length > 0 ? issues : record.settings || !margin ? [] : solveIssues,
      set,
      solved,
      busy,
      dials,
      judgement,
      lesson,
      learned,
      worked,
      carried,
      learnedElsewhere: Object.keys(carried).length > 0,
      acceptedShare,
      turn,
      moveTo,
    },
  };
}
