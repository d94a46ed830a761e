import { useMemo } from 'react';
import { finishById } from '../../../core/finish/catalogue';
import { learnedBeliefs } from '../../../core/plan/learn-plan';
import { judge } from '../../../core/plan/judge';
import { foldPlanOf } from '../../../core/plan/fold-plan';
import { sameForLearning } from '../../../core/plan/same-set-up';
import { setUpOf } from '../../../core/plan/set-up-of';
import type { MachineRecord } from '../../../contract/records';
import { useList } from '../../app/records';
import type { Bench, TakenPlan } from './bench';
import { useLessons } from './use-lessons';

const noMachines: readonly MachineRecord[] = [];
/** A sole that nobody measured across, mm. */
const usualSoleWidthMm = 18;

/** Nothing is turned here: the next scrap of a pass stands where the last one's lesson says. */
const nothing = () => undefined;

/**
 * The bench of another pass of the same work: its own finish, machine, foot and dials, and the
 * scraps that were sewn of it. The line's own bench where there is no such pass.
 */
export function usePassBench(bench: Bench, passId: string | null): Bench {
  const pass = bench.passes.find(({ id, plan }) => id === passId && plan !== null) ?? null;
  const finish = pass ? finishById(pass.finish) : undefined;
  const plan = pass?.plan ?? null;
  const attempts = useMemo(
    () => bench.everyAttempt.filter((one) => one.pass === passId),
    [bench.everyAttempt, passId],
  );
  const pooled = useMemo(
    () => (plan ? attempts.filter(({ setUp }) => sameForLearning(setUp, plan)) : []),
    [attempts, plan],
  );
  const record = useMemo(
    (): TakenPlan | undefined =>
      pass && plan
        ? {
            ...bench.record,
            finish: pass.finish,
            fold: plan.fold,
            stitch: plan.stitch,
            machineId: pass.machine?.id ?? bench.record.machineId,
            footId: pass.foot?.id ?? bench.record.footId,
            settings: null,
            carryOver: false,
          }
        : undefined,
    [pass, plan, bench.record],
  );
  const margin = (plan && finish?.margin(plan.fold.variant)) ?? null;
  const machines = useList('machines').data ?? noMachines;
  const lessons = useLessons({ record, finish, margin, plan, pooled }, bench.acceptedShare);
  return useMemo((): Bench => {
    const machine = pass?.machine;
    const foot = pass?.foot;
    if (!pass || !plan || !finish || !record || !machine || !foot) return bench;
    const { lesson, learned, busy } = lessons;
    const set = setUpOf(finish, plan, learnedBeliefs(learned));
    const dials = lesson?.next.settings ?? attempts.at(-1)?.settings ?? pass.sewn?.settings ?? null;
    const request = {
      ...bench.request,
      wish: plan.fold,
      machineKind: machine.specs.kind,
      schools: {},
    };
    return {
      ...bench,
      ...{ record, finish, margin, plan, attempts, pooled, set, dials, lesson, learned, busy },
      machine: machines.find(({ id }) => id === machine.id) ?? bench.machine,
      foot: {
        ...bench.foot,
        ...foot,
        specs: plan.foot,
        soleMm: { widthMm: usualSoleWidthMm, ...foot.soleMm },
      },
      pass,
      draftKey: `${bench.record.id} ${pass.id}`,
      request,
      work: request,
      passes: [],
      folds: foldPlanOf(finish, { wish: plan.fold, cloth: plan.cloth }),
      issues: [],
      solved: pass.sewn?.settings ?? null,
      judgement: dials && judge(set, dials),
      worked: null,
      carried: {},
      learnedElsewhere: false,
      turn: nothing,
      moveTo: nothing,
    };
  }, [bench, pass, plan, finish, record, margin, attempts, pooled, lessons, machines]);
}
