import { useQuery } from '@tanstack/react-query';
import type { WorkedBefore } from '../../contract/book';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { send } from '../ground/api';
import type { PlanChoices } from './use-kept-plan';
import { identityOf } from './identity';

/**
 * What worked on other edges, as far as this plan can start from it. Asked again when the set-up
 * becomes another, and when scraps are recorded.
 */
export function useWorked(record: PlanChoices | undefined, plan: SewingPlan | null) {
  return useQuery({
    // Under the attempts, so that whatever changes them asks anew.
    queryKey: [
      'attempts',
      'worked',
      record?.id,
      record?.finish,
      record?.footId,
      record?.machineId,
      identityOf(plan),
    ],
    queryFn: () => send<WorkedBefore>('GET', `plans/${record?.id}/worked`),
    enabled: Boolean(record && plan),
    staleTime: Infinity,
    // Away from the server one sews by the rule, as before anything was learned.
    retry: false,
  });
}
