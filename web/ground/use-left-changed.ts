import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { LeftChanged } from '../../contract/put-back';
import type { MachineRecord, PlanRecord } from '../../contract/records';
import { send } from './api';
import { useList } from './records';

const versionsOf = (records: readonly (MachineRecord | PlanRecord)[]) =>
  records.map(({ id, version }) => `${id} ${version}`).join();

/**
 * What plans have changed on a machine and nobody put back yet. It is asked for by the versions it
 * hangs on: an answer that was under way while one of them changed is no answer.
 */
export function useLeftChanged(machineId: string): readonly LeftChanged[] {
  const machines = useList('machines', {}, versionsOf).data;
  const plans = useList('plans', {}, versionsOf).data;
  const left = useQuery({
    queryKey: ['put-back', machineId, machines, plans],
    queryFn: () => send<LeftChanged[]>('GET', `machines/${machineId}/put-back`),
    enabled: machines !== undefined && plans !== undefined,
    placeholderData: keepPreviousData,
  });
  return left.data ?? [];
}
