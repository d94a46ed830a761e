import { useMemo } from 'react';
import type { ClothRecord, EdgeRecord, FootRecord, MachineRecord } from '../../contract/records';
import type { Finish } from '../../core/finish/finish';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { sewingPlanOf, type PlanRecords } from '../../core/plan/of-records';
import { alongBestOrFirst } from '../../core/plan/ride';
import { wholePlan } from '../../core/plan/whole-plan';
import { useList } from '../ground/records';
import type { PlanChoices } from './use-kept-plan';

interface Parts {
  readonly chosen: PlanChoices | undefined;
  readonly edge: EdgeRecord | undefined;
  readonly cloth: ClothRecord | undefined;
  readonly strip: ClothRecord | null;
  readonly machine: MachineRecord | undefined;
  readonly foot: FootRecord | undefined;
  readonly attachment: FootRecord | null;
  readonly finish: Finish | undefined;
}

/** What is kept of a plan, as the sums take it; null until all of it is here. */
export function useSewingPlan(parts: Parts): {
  readonly plan: SewingPlan | null;
  readonly records: PlanRecords | null;
} {
  const { edge, chosen, cloth, strip, machine, foot, attachment, finish } = parts;
  const threads = useList('threads');
  // A plan of which a part is still on its way would be solved twice; without threads it can be sewn.
  const isWaiting = threads.isPending;
  const threadFibre =
    threads.data?.find(({ use }) => use === 'all-purpose' || use === 'fine')?.fibre ?? null;
  const records = useMemo((): PlanRecords | null => {
    if (!edge || !cloth || !machine || !foot || !chosen || isWaiting) return null;
    return { edge, plan: chosen, cloth, strip, machine, foot, attachment, threadFibre };
  }, [edge, cloth, strip, machine, foot, attachment, chosen, isWaiting, threadFibre]);
  const plan = useMemo(
    () =>
      records && finish ? wholePlan(finish, alongBestOrFirst(finish, sewingPlanOf(records))) : null,
    [records, finish],
  );
  return { plan, records };
}
