import type { StripWay } from '../../core/strip/cut';
import { stripWays } from '../../core/strip/cut';
import type { StripEnds } from '../../core/strip/needed';
import { changePlan } from './plan-change';
import type { KeptPart } from './bench';

/** How a strip is cut, as the plan keeps it; how its ends meet is a part of its length. */
export interface StripChoice {
  /** Null for the usual way of this strip. */
  readonly way: StripWay | null;
  setEnds(ends: StripEnds): void;
  setWay(way: StripWay): void;
  /** From how many pieces it is joined; null for the fewest. */
  readonly strips: number | null;
  setStrips(strips: number): void;
}

const endsKey = 'strip-ends';
const wayKey = 'strip-way';
const stripsKey = 'strip-pieces';

/** What the plan says of how its strip is cut; a change of it is one step of undo. */
export function stripChoiceOf({ record }: Pick<KeptPart, 'record'>): StripChoice {
  const { schools } = record;
  const set = (patch: Record<string, string>) =>
    changePlan(record.id, { schools: { ...schools, ...patch } });
  return {
    way: stripWays.find((one) => one === schools[wayKey]) ?? null,
    setEnds: (ends) => set({ [endsKey]: ends }),
    setWay: (way) => set({ [wayKey]: way }),
    strips: Number(schools[stripsKey]) || null,
    setStrips: (strips) => set({ [stripsKey]: String(strips) }),
  };
}
