import { useDeferredValue, useMemo } from 'react';
import type { Finish } from '../../core/finish/finish';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import type { WorkRequest } from '../../core/finish/work';
import type { Judgement } from '../../core/plan/judge';
import { workRequestOf, type PlanRecords } from '../../core/plan/of-records';
import { sewnWith } from '../../core/plan/sewn-with';
import type { KeptPart, WorkPart } from './bench';
import { usePasses } from './use-passes';

interface Worked {
  readonly finish: Finish;
  readonly plan: SewingPlan;
  readonly records: PlanRecords;
  readonly ways: Readonly<Record<string, string>>;
  readonly foot: KeptPart['foot'];
}

/** What the work is worked out from: as planned, and with the setting in force. */
export function useWork(
  { finish, plan, records, ways, foot }: Worked,
  judgement: Judgement | null,
): Omit<WorkPart, 'pass'> {
  const request = useMemo(
    () => workRequestOf(records, plan, finish, ways),
    [records, plan, finish, ways],
  );
  // The other passes are solved anew whenever the edge changes; what is under the finger is drawn first.
  const asked = useMemo(() => ({ finish, request }), [finish, request]);
  const later = useDeferredValue(asked);
  const passes = usePasses(later.finish, later.request);
  const work = useMemo((): WorkRequest => {
    const sewn = judgement && !judgement.blocked ? sewnWith(finish, plan, judgement, foot) : null;
    return { ...request, sewn, passes: Object.fromEntries(passes.map((pass) => [pass.id, pass])) };
  }, [request, finish, plan, judgement, foot, passes]);
  return { request, work, passes };
}
