import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { finishById } from '../../../core/finish/catalogue';
import type { Finish, SewingPlan } from '../../../core/finish/finish';
import { Impossible, type Issue } from '../../../core/impossible';
import { dialField, type Dial, type DialSettings } from '../../../core/kit/dial-steps';
import { learnedBelief } from '../../../core/margin/learn';
import type { SetUp } from '../../../core/margin/set-up';
import { judge, type Judgement } from '../../../core/plan/judge';
import type { Lesson, SewnSample } from '../../../core/plan/learn-plan';
import { sameForLearning } from '../../../core/plan/same-set-up';
import { setUpOf } from '../../../core/plan/set-up-of';
import type {
  AttemptRecord,
  ClothRecord,
  EdgeRecord,
  FootRecord,
  MachineRecord,
  PlanRecord,
} from '../../../contract/records';
import { change, useList, useRecord } from '../../app/records';
import { solver } from '../../workers/solver';
import type { Outcome } from '../../workers/solver-tasks';

/** Everything an edge's stations show, computed from what is stored. */
export interface Bench {
  readonly edge: EdgeRecord;
  readonly record: PlanRecord;
  readonly cloth: ClothRecord;
  readonly machine: MachineRecord;
  readonly foot: FootRecord;
  /** Every scrap of this plan, oldest first. */
  readonly attempts: readonly AttemptRecord[];
  /** Those that were sewn with the present set-up, and so teach something about it. */
  readonly pooled: readonly AttemptRecord[];
  readonly finish: Finish;
  readonly plan: SewingPlan;
  /** Why the plan cannot be sewn; empty when it can. */
  readonly issues: readonly Issue[];
  readonly set: SetUp | null;
  readonly solved: DialSettings | null;
  /** True while a solve or a lesson is under way. */
  readonly busy: boolean;
  readonly dials: DialSettings | null;
  readonly judgement: Judgement | null;
  readonly lesson: Lesson | null;
  /** Turns a dial; kept unless the needle would meet metal there. */
  readonly turn: (dial: Dial, mm: number) => void;
}

function sewingPlanOf(
  edge: EdgeRecord,
  record: PlanRecord,
  cloth: ClothRecord,
  machine: MachineRecord,
  foot: FootRecord,
): SewingPlan {
  const { recoveryPercent: _recovery, estimated: _estimated, ...properties } = cloth.properties;
  return {
    cloth: properties,
    edge: { lengthMm: edge.lengthMm, minRadiusMm: edge.minRadiusMm },
    fold: record.fold,
    machine: machine.specs,
    foot: foot.specs,
    stitch: record.stitch,
    needleSize: record.needleSize,
    pickMm: record.pickMm,
    faultWeights: record.faultWeights,
    skill: 1,
  };
}

/** The counted samples of attempts, as the lesson takes them. */
function samplesOf(attempts: readonly AttemptRecord[]): SewnSample[] {
  return attempts.flatMap(({ settings, counts }) =>
    counts.map((counted) => ({ settings, ...counted })),
  );
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
  const plans = useList('plans', { edgeId });
  const record = plans.data?.[0];
  const attempts = useList('attempts', record ? { planId: record.id } : { planId: 'none' });
  const cloths = useList('cloths');
  const machines = useList('machines');
  const feet = useList('feet');

  const cloth = cloths.data?.find(({ id }) => id === edge.data?.clothId);
  const machine = machines.data?.find(({ id }) => id === record?.machineId);
  const foot = feet.data?.find(({ id }) => id === record?.footId);
  const finish = record && finishById(record.finish);

  // Where the dials stand is no part of the set-up: a nudge must not make everything else anew.
  const { settings: _settings, version: _version, updatedAt: _at, ...chosen } = record ?? {};
  const chosenText = JSON.stringify(chosen);
  const plan = useMemo(
    () =>
      edge.data && cloth && machine && foot && chosenText !== '{}'
        ? sewingPlanOf(edge.data, JSON.parse(chosenText) as PlanRecord, cloth, machine, foot)
        : null,
    [edge.data, chosenText, cloth, machine, foot],
  );
  const planText = useMemo(() => JSON.stringify(plan), [plan]);
  const pooled = useMemo(
    () => (plan ? (attempts.data ?? []).filter(({ setUp }) => sameForLearning(setUp, plan)) : []),
    [attempts.data, plan],
  );
  const samples = useMemo(() => samplesOf(pooled), [pooled]);

  const lessonQuery = useQuery({
    queryKey: ['lesson', finish?.id, planText, samples],
    queryFn: async (): Promise<Outcome<Lesson>> =>
      solver.lesson(finish?.id ?? '', plan as SewingPlan, samples),
    enabled: Boolean(finish && plan && samples.length > 0),
    staleTime: Infinity,
    networkMode: 'always',
  });
  const lesson = samples.length > 0 && lessonQuery.data?.ok ? lessonQuery.data.value : null;
  const solveQuery = useQuery({
    queryKey: ['solve', finish?.id, planText, lesson?.posterior.shiftMm, lesson?.posterior.sigmaMm],
    queryFn: async (): Promise<Outcome<{ settings: DialSettings }>> =>
      solver.solve(finish?.id ?? '', plan as SewingPlan, lesson?.posterior ?? null),
    enabled: Boolean(finish && plan) && (samples.length === 0 || !lessonQuery.isLoading),
    staleTime: Infinity,
    networkMode: 'always',
    placeholderData: keepPreviousData,
  });
  const solved = solveQuery.data?.ok ? solveQuery.data.value.settings : null;

  const [set, issues] = useMemo((): [SetUp | null, readonly Issue[]] => {
    if (!finish || !plan) return [null, []];
    try {
      const learned = lesson ? { guide: learnedBelief(lesson.posterior) } : {};
      return [setUpOf(finish, plan, learned), []];
    } catch (error) {
      if (error instanceof Impossible) return [null, error.issues];
      throw error;
    }
  }, [finish, plan, lesson]);

  const stored = record?.settings ?? null;
  // Dials turned into metal are shown but not kept, until what they were turned from changes.
  const standing = record
    ? JSON.stringify([record.id, record.machineId, record.footId, record.settings])
    : '';
  const [blockedTurn, setBlockedTurn] = useState<{ settings: DialSettings; from: string } | null>(
    null,
  );
  const turned = blockedTurn?.from === standing ? blockedTurn.settings : null;
  const dials = turned ?? stored ?? solved;
  const judgement = useMemo(() => (set && dials ? judge(set, dials) : null), [set, dials]);

  const latest = useRef<{ planId: string; set: SetUp; dials: DialSettings; standing: string }>(
    null,
  );
  useLayoutEffect(() => {
    latest.current = record && set && dials ? { planId: record.id, set, dials, standing } : null;
  });
  // Always the same function, so that a dial that did not move need not be drawn again.
  const turn = useCallback((dial: Dial, mm: number) => {
    if (!latest.current) return;
    const { planId, set: now, dials: from, standing: onTopOf } = latest.current;
    const next = { ...from, [dialField[dial]]: mm };
    if (judge(now, next).blocked) setBlockedTurn({ settings: next, from: onTopOf });
    else {
      setBlockedTurn(null);
      change('plans', planId, { settings: next });
    }
  }, []);

  const error =
    edge.error ?? plans.error ?? cloths.error ?? machines.error ?? feet.error ?? attempts.error;
  if (!edge.data || !record || !cloth || !machine || !foot || !finish || !plan) {
    return error ? { state: 'failed', error } : { state: 'loading' };
  }
  const solveIssues = solveQuery.data?.ok === false ? solveQuery.data.issues : [];
  return {
    state: 'ready',
    bench: {
      edge: edge.data,
      record,
      cloth,
      machine,
      foot,
      attempts: attempts.data ?? [],
      pooled,
      finish,
      plan,
      issues: issues.length > 0 ? issues : stored ? [] : solveIssues,
      set,
      solved,
      busy: solveQuery.isFetching || lessonQuery.isFetching,
      dials,
      judgement,
      lesson,
      turn,
    },
  };
}
