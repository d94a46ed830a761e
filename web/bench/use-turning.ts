import { useCallback, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { dialField, type Dial, type DialSettings } from '../../core/kit/dial-steps';
import type { SetUp } from '../../core/margin/set-up';
import { judge, type Judgement } from '../../core/plan/judge';
import type { TakenPlan } from './use-kept-plan';
import { changePlan } from './plan-change';

/** Where the dials stand, what is judged of it, and how they are turned. */
interface Turning {
  readonly dials: DialSettings | null;
  readonly judgement: Judgement | null;
  readonly turn: (dial: Dial, mm: number) => void;
  readonly moveTo: (patch: Partial<DialSettings>, dragging?: boolean) => void;
}

/** What dials were turned from: held dials are let go when any of it becomes another. */
type Standing = Pick<TakenPlan, 'id' | 'machineId' | 'footId' | 'settings'>;

function isStill(from: Standing, now: Standing): boolean {
  return (
    from.id === now.id &&
    from.machineId === now.machineId &&
    from.footId === now.footId &&
    from.settings === now.settings
  );
}

interface Latest {
  readonly record: TakenPlan;
  readonly judged: (dials: DialSettings) => Judgement;
  readonly dials: DialSettings;
}

const dialFields = Object.values(dialField);

/** Judges the dials of a set-up, the same ones after one another only once: asked, then shown. */
function judgedOnce(set: SetUp): (dials: DialSettings) => Judgement {
  let last: Judgement | null = null;
  return (dials) => {
    const same = last && dialFields.every((field) => last?.settings[field] === dials[field]);
    last = same && last ? last : judge(set, dials);
    return last;
  };
}

/**
 * The dials of a plan: as turned, else as kept, else as solved.
 *
 * @param solved null while nothing is solved, and for a finish that has no dials
 */
export function useTurning(
  record: TakenPlan | undefined,
  set: SetUp | null,
  solved: DialSettings | null,
  hasDials: boolean,
): Turning {
  // Dials under a finger that drags them, or turned into metal, are shown but not kept, until what
  // they were turned from changes.
  const [held, setHeld] = useState<{ settings: DialSettings; from: Standing } | null>(null);
  const turned = held && record && isStill(held.from, record) ? held.settings : null;
  const dials = hasDials ? (turned ?? record?.settings ?? solved) : null;
  const judged = useMemo(() => set && judgedOnce(set), [set]);
  const judgement = useMemo(() => (judged && dials ? judged(dials) : null), [judged, dials]);

  const latest = useRef<Latest>(null);
  useLayoutEffect(() => {
    latest.current = record && judged && dials ? { record, judged, dials } : null;
  });
  // Always the same function, so that a dial that did not move need not be drawn again.
  const moveTo = useCallback((patch: Partial<DialSettings>, dragging = false) => {
    if (!latest.current) return;
    const { record: now, judged: judgedNow, dials: from } = latest.current;
    const next = { ...from, ...patch };
    if (dragging || judgedNow(next).blocked) setHeld({ settings: next, from: now });
    else {
      setHeld(null);
      changePlan(now.id, { settings: next });
    }
  }, []);
  const turn = useCallback((dial: Dial, mm: number) => moveTo({ [dialField[dial]]: mm }), [moveTo]);
  return { dials, judgement, turn, moveTo };
}
