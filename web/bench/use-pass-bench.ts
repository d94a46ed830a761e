import { useMemo } from 'react';
import type { AttemptRecord, MachineRecord } from '../../contract/records';
import { finishById } from '../../core/finish/catalogue';
import type { Finish } from '../../core/finish/finish';
import type { FinishMargin } from '../../core/finish/finish-margin';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { foldPlanOf } from '../../core/plan/fold-plan';
import { judge } from '../../core/plan/judge';
import { learnedBeliefs } from '../../core/plan/learn-plan';
import type { PlannedPass } from '../../core/plan/passes';
import { sameForLearning } from '../../core/plan/same-set-up';
import { setUpOf } from '../../core/plan/set-up-of';
import { useList } from '../ground/records';
import type { Bench } from './bench';
import type { TakenPlan } from './use-kept-plan';
import { useLessons } from './use-lessons';

/** A sole that nobody measured across, mm. */
const usualSoleWidthMm = 18;
const noMachines: readonly MachineRecord[] = [];
/** One list, so that nothing is worked out anew for it. */
const noScraps: readonly AttemptRecord[] = [];

/** Nothing is turned here: the next scrap of a pass stands where the last one's lesson says. */
const nothing = () => undefined;

/** A pass that can be sewn, with the scraps of it. */
interface PassParts {
  readonly pass: PlannedPass;
  readonly finish: Finish;
  readonly margin: FinishMargin | null;
  readonly plan: SewingPlan;
  readonly record: TakenPlan;
  readonly attempts: readonly AttemptRecord[];
  readonly pooled: readonly AttemptRecord[];
}

type Known = Pick<Bench, 'passes' | 'everyAttempt' | 'record'>;

function partsOf({ passes, everyAttempt, record }: Known, passId: string | null): PassParts | null {
  const pass = passes.find(({ id }) => id === passId);
  const finish = pass && finishById(pass.finish);
  if (!pass?.plan || !pass.machine || !pass.foot || !finish) return null;
  const { plan } = pass;
  const attempts = everyAttempt.filter((one) => one.pass === passId);
  return {
    ...{ pass, finish, plan, attempts },
    margin: finish.margin(plan.fold.variant),
    pooled: attempts.filter(({ setUp }) => sameForLearning(setUp, plan)),
    record: {
      ...record,
      finish: pass.finish,
      fold: plan.fold,
      stitch: plan.stitch,
      machineId: pass.machine.id,
      footId: pass.foot.id,
      settings: null,
      carryOver: false,
    },
  };
}

/** The bench of a pass, from the line's own. */
function benchOf(
  bench: Bench,
  { pass, finish, margin, plan, record, attempts, pooled }: PassParts,
  { lesson, learned, busy }: Pick<Bench, 'lesson' | 'learned' | 'busy'>,
  machines: readonly MachineRecord[],
): Bench {
  const set = setUpOf(finish, plan, learnedBeliefs(learned));
  const dials = lesson?.next.settings ?? attempts.at(-1)?.settings ?? pass.sewn?.settings ?? null;
  const request = {
    ...bench.request,
    wish: plan.fold,
    machineKind: plan.machine.kind,
    schools: {},
  };
  const foot = pass.foot ?? bench.foot;
  return {
    ...bench,
    ...{ pass, record, finish, plan, attempts, pooled, set, dials, lesson, learned, busy },
    margin,
    attachment: null,
    machine: machines.find(({ id }) => id === pass.machine?.id) ?? bench.machine,
    foot: {
      ...bench.foot,
      ...{ id: foot.id, name: foot.name, kind: foot.kind },
      specs: plan.foot,
      soleMm: { widthMm: usualSoleWidthMm, ...foot.soleMm },
    },
    draftKey: `${bench.record.id} ${pass.id}`,
    ...{ request, work: request, passes: [] },
    folds: foldPlanOf(finish, { wish: plan.fold, cloth: plan.cloth }),
    issues: [],
    solved: pass.sewn?.settings ?? null,
    judgement: dials && judge(set, dials),
    ...{ worked: null, carried: {}, learnedElsewhere: false },
    ...{ turn: nothing, moveTo: nothing },
  };
}

/**
 * The bench of another pass of the same work: its own finish, machine, foot and dials, and the
 * scraps that were sewn of it. The line's own bench where there is no such pass.
 */
export function usePassBench(bench: Bench, passId: string | null): Bench {
  const machines = useList('machines').data ?? noMachines;
  const { passes, everyAttempt, record } = bench;
  const parts = useMemo(
    () => partsOf({ passes, everyAttempt, record }, passId),
    [passes, everyAttempt, record, passId],
  );
  const lessons = useLessons(
    {
      record: parts?.record,
      finish: parts?.finish,
      margin: parts?.margin ?? null,
      plan: parts?.plan ?? null,
      pooled: parts?.pooled ?? noScraps,
    },
    bench.acceptedShare,
  );
  return useMemo(
    () => (parts ? benchOf(bench, parts, lessons, machines) : bench),
    [bench, parts, lessons, machines],
  );
}
