import { useMemo } from 'react';
import { firstProposal, type Proposal } from '../../core/choose/proposal';
import { rankConsidered } from '../../core/choose/score';
import { bestPresser } from '../../core/kit/presser-beside';
import { catalogue } from '../../core/finish/catalogue';
import type {
  ClothRecord,
  EdgeRecord,
  FootRecord,
  MachineRecord,
  PlanRecord,
} from '../../contract/records';
import { useList } from '../app/records';
import type { PlanChoices } from './use-kept-plan';
import { useConsidered } from './use-considered';
import { useWishes } from './use-wishes';
import { asItIs } from './what-if';

/** What of a plan taking a finish sets. */
export type Taking = Pick<
  PlanRecord,
  | 'finish'
  | 'fold'
  | 'machineId'
  | 'footId'
  | 'attachmentId'
  | 'placing'
  | 'stitch'
  | 'schools'
  | 'settings'
  | 'keptAttemptId'
  | 'ticks'
>;

/** What presses and what folds: an attachment needs a foot of the drawer behind it. */
function feetOf(
  found: FootRecord | undefined,
  { footId }: PlanChoices,
  feet: readonly FootRecord[],
): Pick<Taking, 'footId' | 'attachmentId' | 'placing'> {
  if (found?.kind !== 'binder-attachment') {
    return { footId: found?.id ?? footId, attachmentId: null, placing: null };
  }
  const presser = bestPresser(feet, found.soleMm.widthMm / 4, null);
  return { footId: presser?.id ?? footId, attachmentId: found.id, placing: null };
}

/** A proposal as a change of the plan; its dials and ticks start anew. */
export function takingOf(
  { finish, fold, machine, foot, stitch, schools }: Proposal,
  record: PlanChoices,
  kit: { readonly machines: readonly MachineRecord[]; readonly feet: readonly FootRecord[] },
): Taking {
  return {
    finish,
    fold,
    machineId: (machine === null ? undefined : kit.machines[machine]?.id) ?? record.machineId,
    ...feetOf(foot === null ? undefined : kit.feet[foot], record, kit.feet),
    stitch: stitch ?? record.stitch,
    schools: { ...schools, ...record.schools },
    settings: null,
    keptAttemptId: null,
    ticks: [],
  };
}

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
