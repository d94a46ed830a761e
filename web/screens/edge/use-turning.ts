import { useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import type { PlanRecord } from '../../../contract/records';
import { dialField, type Dial, type DialSettings } from '../../../core/kit/dial-steps';
import type { SetUp } from '../../../core/margin/set-up';
import { judge, type Judgement } from '../../../core/plan/judge';
import { changePlan } from './plan-change';

/** Where the dials stand, what is judged of it, and how they are turned. */
interface Turning {
  readonly dials: DialSettings | null;
  readonly judgement: Judgement | null;
  readonly turn: (dial: Dial, mm: number) => void;
  readonly moveTo: (patch: Partial<DialSettings>, dragging?: boolean) => void;
}

/**
 * The dials of a plan: as turned, else as kept, else as solved.
 *
 * @param solved null while nothing is solved, and for a finish that has no dials
 */
export function useTurning(
  record: PlanRecord | undefined,
  set: SetUp | null,
  solved: DialSettings | null,
  hasDials: boolean,
): Turning {
  // Dials under a finger that drags them, or turned into metal, are shown but not kept, until what
  // they were turned from changes.
  const standing = record
    ? JSON.stringify([record.id, record.machineId, record.footId, record.settings])
    : '';
  const [held, setHeld] = useState<{ settings: DialSettings; from: string } | null>(null);
  const turned = held?.from === standing ? held.settings : null;
  const dials = hasDials ? (turned ?? record?.settings ?? solved) : null;
  const judgement = useMemo(() => (set && dials ? judge(set, dials) : null), [set, dials]);

  const latest = useRef<{ planId: string; set: SetUp; dials: DialSettings; standing: string }>(
    null,
  );
  useLayoutEffect(() => {
    latest.current = record && set && dials ? { planId: record.id, set, dials, standing } : null;
  });
  // Always the same function, so that a dial that did not move need not be drawn again.
  const moveTo = useCallback((patch: Partial<DialSettings>, dragging = false) => {
    if (!latest.current) return;
    const { planId, set: now, dials: from, standing: onTopOf } = latest.current;
    const next = { ...from, ...patch };
    if (dragging || judge(now, next).blocked) setHeld({ settings: next, from: onTopOf });
    else {
      setHeld(null);
      changePlan(planId, { settings: next });
    }
  }, []);
  const turn = useCallback((dial: Dial, mm: number) => moveTo({ [dialField[dial]]: mm }), [moveTo]);
  return { dials, judgement, turn, moveTo };
}
