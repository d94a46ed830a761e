import { useMemo } from 'react';
import { firstProposal } from '../../core/choose/proposal';
import { rankConsidered } from '../../core/choose/score';
import { takingOf, type Taking } from '../../core/choose/of-records';
import { catalogue } from '../../core/finish/catalogue';
import type { ClothRecord, EdgeRecord } from '../../contract/records';
import { useList } from '../ground/records';
import type { PlanChoices } from './use-kept-plan';
import { useConsidered } from './use-considered';
import { useWishes } from './use-wishes';
import { asItIs } from './what-if';

/**
 * What the first of the list would make of a plan that has no finish yet; null for one that has,
 * and undefined until it is worked out.
 */
export function useProposal(
  record: PlanChoices | undefined,
  edge: EdgeRecord | undefined,
  cloth: ClothRecord | undefined,
): Taking | null | undefined {
  const waits = record?.finish === null;
  const [wishes] = useWishes(record?.id ?? '');
  const machines = useList('machines').data;
  const feet = useList('feet').data;
  const { request, considered } = useConsidered(waits ? edge : undefined, cloth, asItIs, 'asItIs');
  return useMemo(() => {
    if (!record || !waits) return null;
    if (!considered || !request || !machines || !feet) return undefined;
    const proposal = firstProposal(rankConsidered(considered, wishes), catalogue, request);
    return proposal ? takingOf(proposal, record, { machines, feet }) : undefined;
  }, [record, waits, considered, request, wishes, machines, feet]);
}
