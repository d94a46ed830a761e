import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { WorkedBefore } from '../../contract/book';
import type { AttemptRecord } from '../../contract/records';
import type { Finish } from '../../core/finish/finish';
import type { FinishMargin } from '../../core/finish/finish-margin';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import type { Issue } from '../../core/impossible';
import type { DialSettings } from '../../core/kit/dial-steps';
import type { Carried } from '../../core/plan/carried';
import type { Learned, Lesson } from '../../core/plan/learn-plan';
import { solver } from '../workers/solver';
import type { Outcome } from '../workers/solver-tasks';
import { samplesOf } from '../../core/plan/of-records';
import type { TakenPlan } from './use-kept-plan';
import { identityOf } from './identity';
import { useWorked } from './use-worked';

/** What was learned, as far as it tells one lesson from another. */
export function taught(learned: Learned): readonly number[] {
  return Object.values(learned).flatMap(({ shiftMm, sigmaMm }) => [shiftMm, sigmaMm]);
}

/** Nothing is carried over; one object, so that nothing is worked out anew for it. */
const nothingCarried: Carried = {};
const nothingLearned: Learned = {};

interface Taught {
  readonly record: Omit<TakenPlan, 'settings' | 'ticks'> | undefined;
  readonly finish: Finish | undefined;
  readonly margin: FinishMargin | null;
  readonly plan: SewingPlan | null;
  /** Scraps that were sewn with the present set-up. */
  readonly pooled: readonly AttemptRecord[];
}

interface Lessons {
  readonly solved: DialSettings | null;
  /** Why nothing could be solved. */
  readonly solveIssues: readonly Issue[];
  readonly lesson: Lesson | null;
  readonly learned: Learned;
  readonly worked: WorkedBefore | null;
  readonly carried: Carried;
  /** True while a solve or a lesson is under way. */
  readonly busy: boolean;
}

const noIssues: readonly Issue[] = [];

/** What the scraps teach, and the dials solved with it; both are worked out in the worker. */
export function useLessons(
  { record, finish, margin, plan, pooled }: Taught,
  acceptedShare: number,
): Lessons {
  // A plan that was once for another finish may hold counts that say nothing about this one.
  const samples = useMemo(() => {
    const known = Object.keys(margin?.words.checks ?? {});
    return samplesOf(pooled).filter(({ check }) => known.includes(check));
  }, [pooled, margin]);
  const workedQuery = useWorked(record, plan);
  const worked = workedQuery.data ?? null;
  const carried = (record?.carryOver && worked?.carried) || nothingCarried;
  const teaches = samples.length > 0 || Object.keys(carried).length > 0;
  const lessonQuery = useQuery({
    queryKey: ['lesson', finish?.id, ...[plan, samples, carried].map(identityOf), acceptedShare],
    queryFn: async (): Promise<Outcome<{ learned: Learned; lesson: Lesson | null }>> =>
      solver.lesson(finish?.id ?? '', plan as SewingPlan, samples, carried, acceptedShare),
    enabled: Boolean(margin && plan && teaches),
    staleTime: Infinity,
    networkMode: 'always',
  });
  const taughtHere = teaches && lessonQuery.data?.ok ? lessonQuery.data.value : null;
  const learned = taughtHere?.learned ?? nothingLearned;
  const solveQuery = useQuery({
    queryKey: ['solve', finish?.id, identityOf(plan), taught(learned)],
    queryFn: async (): Promise<Outcome<{ settings: DialSettings }>> =>
      solver.solve(finish?.id ?? '', plan as SewingPlan, learned),
    enabled:
      Boolean(margin && plan) &&
      (!teaches || !lessonQuery.isLoading) &&
      !(record?.carryOver && workedQuery.isLoading),
    staleTime: Infinity,
    networkMode: 'always',
    placeholderData: keepPreviousData,
  });
  return {
    solved: margin && solveQuery.data?.ok ? solveQuery.data.value.settings : null,
    solveIssues: solveQuery.data?.ok === false ? solveQuery.data.issues : noIssues,
    lesson: taughtHere?.lesson ?? null,
    ...{ learned, worked, carried },
    busy: solveQuery.isFetching || lessonQuery.isFetching || workedQuery.isLoading,
  };
}
