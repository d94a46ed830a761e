import { useMemo } from 'react';
import { finishById } from '../../core/finish/catalogue';
import type { Finish } from '../../core/finish/finish';
import type { WorkRequest } from '../../core/finish/work';
import { passesOf, type PlannedPass } from '../../core/plan/passes';
import { useList } from '../ground/records';

const none: readonly PlannedPass[] = [];

/** The other passes of some work, planned with whatever the drawer holds. */
export function usePasses(
  finish: Finish | undefined,
  request: WorkRequest | null,
): readonly PlannedPass[] {
  const machines = useList('machines').data;
  const feet = useList('feet').data;
  return useMemo(
    () =>
      finish && request && machines && feet
        ? passesOf(finish, request, { machines, feet }, finishById)
        : none,
    [finish, request, machines, feet],
  );
}
