import { useMemo } from 'react';
import type {
  ClothRecord,
  EdgeRecord,
  FootRecord,
  MachineRecord,
  PlanRecord,
} from '../../../contract/records';
import type { Finish } from '../../../core/finish/finish';
import type { SewingPlan } from '../../../core/finish/sewing-plan';
import { sewingPlanOf, type PlanRecords } from '../../../core/plan/of-records';
import { alongBestOrFirst } from '../../../core/plan/ride';
import { wholePlan } from '../../../core/plan/whole-plan';
import { useList } from '../../app/records';

interface Parts {
  readonly edge: EdgeRecord | undefined;
  readonly cloth: ClothRecord | undefined;
  readonly strip: ClothRecord | null;
  readonly machine: MachineRecord | undefined;
  readonly foot: FootRecord | undefined;
  readonly finish: Finish | undefined;
}

/**
 * What is kept of a plan, as the sums take it; null until all of it is here.
 *
 * @param chosenText the plan without its dials, as text, so that a nudge makes nothing anew
 */
export function useSewingPlan(
  { edge, cloth, strip, machine, foot, finish }: Parts,
  chosenText: string,
): { readonly plan: SewingPlan | null; readonly records: PlanRecords | null } {
  const threads = useList('threads').data;
  const threadFibre =
    threads?.find(({ use }) => use === 'all-purpose' || use === 'fine')?.fibre ?? null;
  const records = useMemo((): PlanRecords | null => {
    if (!edge || !cloth || !machine || !foot || chosenText === '{}') return null;
    const plan = JSON.parse(chosenText) as PlanRecord;
    return { edge, plan, cloth, strip, machine, foot, threadFibre };
  }, [edge, cloth, strip, machine, foot, chosenText, threadFibre]);
  const plan = useMemo(
    () =>
      records && finish ? wholePlan(finish, alongBestOrFirst(finish, sewingPlanOf(records))) : null,
    [records, finish],
  );
  return { plan, records };
}
