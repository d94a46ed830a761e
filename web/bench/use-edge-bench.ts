import { useMemo } from 'react';
import { sameForLearning } from '../../core/plan/same-set-up';
import type { Bench, LessonPart } from './bench';
import { foldsAt, setUpOrIssues, type Sewn } from './set-up';
import type { Kept } from './use-kept';
import { useLessons } from './use-lessons';
import { useTurning } from './use-turning';
import { useWork } from './use-work';

/** The scraps of the line itself, and those of them that were sewn with the present set-up. */
function useScraps({ everyAttempt, finish, plan }: Kept): Pick<LessonPart, 'attempts' | 'pooled'> {
  const attempts = useMemo(() => everyAttempt.filter(({ pass }) => pass === null), [everyAttempt]);
  // A scrap brings the checks of the set-up it was sewn with; the hand and the guide must be these.
  const pooled = useMemo(
    () => attempts.filter((one) => one.finish === finish.id && sameForLearning(one.setUp, plan)),
    [attempts, plan, finish],
  );
  return { attempts, pooled };
}

/**
 * Keeps the sums over what is kept of an edge up to date. Solving and learning run in the worker;
 * judging a setting is done here, at once.
 */
export function useEdgeBench(kept: Kept): Bench {
  const { edge, chosen, record, finish, plan, acceptedShare } = kept;
  // A finish may make its margin anew each time it is asked; here it is one as long as it is asked
  // for the same variant, since whatever is worked out from it is known by it.
  const { variant } = chosen.fold;
  const margin = useMemo(() => finish.margin(variant), [finish, variant]);
  const scraps = useScraps(kept);
  const { solved, solveIssues, lesson, learned, worked, carried, busy } = useLessons(
    { record: chosen, finish, margin, plan, pooled: scraps.pooled },
    acceptedShare,
  );
  const { purpose, oldHem } = edge;
  const sewn = useMemo(
    (): Sewn => ({ finish, plan, use: { purpose, oldHem } }),
    [finish, plan, purpose, oldHem],
  );
  const [set, issues] = useMemo(() => setUpOrIssues(sewn, learned), [sewn, learned]);
  const turning = useTurning(record, set, solved, margin !== null);
  const { judgement } = turning;
  const folds = useMemo(() => foldsAt(sewn, judgement), [sewn, judgement]);
  const work = useWork(kept, judgement);
  const { cloth, machine, foot, attachment, strip, proposed, everyAttempt } = kept;
  return {
    ...{ edge, record, proposed, cloth, machine, foot, attachment, strip },
    ...{ finish, margin, plan, set, folds },
    issues: issues.length > 0 ? issues : record.settings || !margin ? [] : solveIssues,
    ...work,
    pass: null,
    ...{ draftKey: record.id, everyAttempt, ...scraps },
    ...{ lesson, learned, worked, carried, acceptedShare },
    learnedElsewhere: Object.keys(carried).length > 0,
    ...{ solved, busy, ...turning },
  };
}
