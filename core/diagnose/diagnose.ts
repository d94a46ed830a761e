import { Impossible } from '../impossible';
import { causeTable, weightOf, type Cause } from './causes';
import { dialsOf, stepMmOf, type DialId, type Direction } from './move';
import { lopsided } from '../stitch/repeat';
import type { Situation } from './situation';
import { symptoms, type SymptomId } from './symptom';

/** One move against what was seen, with every reason for it. */
export interface SuggestedMove {
  readonly dial: DialId;
  readonly direction: Direction;
  /** How far at first, mm; null where the step has no number. */
  readonly stepMm: number | null;
  /** Share of all that was seen that this accounts for, 0 to 1. */
  readonly share: number;
  readonly reasons: readonly {
    readonly symptom: SymptomId;
    readonly reason: string;
    readonly expect: string;
  }[];
}

interface Counted {
  readonly symptom: SymptomId;
  readonly cause: Cause;
  readonly weight: number;
}

/** The dials whose left and right change places when a stitch swings out the other way. */
const sided: readonly DialId[] = ['guide', 'needlePosition'];

/** The way a dial goes here: the table is written for a stitch whose bite or run swings as usual. */
function directionOf({ dial, direction }: Cause, { stitch }: Situation): Direction {
  // The mirror image of a stitch that is alike on both sides is the same stitch.
  if (!stitch.mirror || !lopsided(stitch) || !sided.includes(dial)) return direction;
  if (direction === 'left') return 'right';
  return direction === 'right' ? 'left' : direction;
}

/** The causes of one symptom that the machine can do something about; their weights add to 1. */
function causesOf(symptom: SymptomId, situation: Situation): Counted[] {
  const dials = dialsOf(situation);
  const counted = causeTable[symptom]
    .map((cause) => ({ symptom, cause, weight: weightOf(cause, situation) }))
    .filter(({ cause, weight }) => weight > 0 && dials.includes(cause.dial));
  const total = counted.reduce((sum, { weight }) => sum + weight, 0);
  return counted.map((it) => ({ ...it, weight: it.weight / total }));
}

/**
 * What to change, from what was seen: every symptom spreads one vote over its causes, and moves of
 * the same dial in the same direction are one move. The best first; ties keep the table's order.
 *
 * @throws Impossible at a symptom that cannot occur here
 */
export function diagnose(situation: Situation, seen: readonly SymptomId[]): SuggestedMove[] {
  seen.forEach((id, i) => {
    const symptom = symptoms.find((one) => one.id === id);
    if (symptom?.occurs(situation)) return;
    const message = `“${symptom?.name ?? id}” cannot happen with this finish and set-up.`;
    throw new Impossible([{ path: `symptoms.${i}`, message }]);
  });
  const moves = new Map<string, Counted[]>();
  for (const counted of [...new Set(seen)].flatMap((symptom) => causesOf(symptom, situation))) {
    const key = `${counted.cause.dial} ${directionOf(counted.cause, situation)}`;
    moves.set(key, [...(moves.get(key) ?? []), counted]);
  }
  const votes = new Set(seen).size;
  return [...moves.values()]
    .map((counted): SuggestedMove => {
      const [first] = counted;
      const { dial } = first!.cause;
      return {
        dial,
        direction: directionOf(first!.cause, situation),
        stepMm: stepMmOf(dial, situation),
        share: counted.reduce((sum, { weight }) => sum + weight, 0) / votes,
        reasons: counted.map(({ symptom, cause: { reason, expect } }) => ({
          ...{ symptom, reason, expect },
        })),
      };
    })
    .sort((a, b) => b.share - a.share);
}
