import { coverPatterns, lockPatterns, overedgePatterns, type Pattern } from '../stitch/stitch';
import type { IntervalMm } from './foot';
import type { Shank } from './shank';

export const machineKinds = ['lockstitch', 'straight-stitch', 'overlocker', 'coverstitch'] as const;
export type MachineKind = (typeof machineKinds)[number];

/** Starting guess: how high a home machine's presser foot lifts, mm. */
export const usualPresserLiftMm = 6;
/** Starting guess: what pushing the lever further gives beyond that, mm. */
export const usualExtraLiftMm = 2;

/** What the sums need to know of a machine. */
export interface Machine {
  readonly kind: MachineKind;
  readonly maxWidthMm: number;
  readonly widthStepMm: number;
  readonly maxLengthMm: number;
  readonly lengthStepMm: number;
  readonly needleRangeMm: IntervalMm;
  readonly needleStepMm: number;
  /** The hole in the needle plate, when it was measured. */
  readonly plateHoleMm?: IntervalMm | null | undefined;
  /** How high the presser foot lifts, when it was measured. */
  readonly presserLiftMm?: number | null | undefined;
  /** How high it goes with the lever pushed further, when it was measured. */
  readonly presserLiftHighMm?: number | null | undefined;
  /** What the differential feed can be set to, least and most, where there is one. */
  readonly differentialRange?: readonly [number, number] | null | undefined;
  readonly differentialStep?: number | null | undefined;
  /** Whether the length dial means one stitch, as usual, or a whole repeat. */
  readonly lengthMeans?: 'stitch' | 'repeat' | undefined;
  /** The stitches it has; all of its kind when nobody said. */
  readonly patterns?: readonly Pattern[] | null | undefined;
  /** How its feet are held; any foot goes on when nobody said. */
  readonly shanks?: readonly Shank[] | null | undefined;
}

/** How high a machine's presser foot lifts, and how high with the lever pushed further, mm. */
export function liftsOf(machine: Pick<Machine, 'presserLiftMm' | 'presserLiftHighMm'>): {
  readonly liftMm: number;
  readonly highLiftMm: number;
} {
  const liftMm = machine.presserLiftMm ?? usualPresserLiftMm;
  return { liftMm, highLiftMm: machine.presserLiftHighMm ?? liftMm + usualExtraLiftMm };
}

/** The stitches that a kind of machine can have at all. */
const byKind: Readonly<Record<MachineKind, readonly Pattern[]>> = {
  lockstitch: lockPatterns,
  'straight-stitch': ['straight', 'tacking'],
  overlocker: overedgePatterns,
  coverstitch: coverPatterns,
};

/** The stitches of a kind of machine. */
export function patternsOfKind(kind: MachineKind): readonly Pattern[] {
  return byKind[kind];
}

/** The stitches a machine has. */
export function patternsOf({ kind, patterns }: Pick<Machine, 'kind' | 'patterns'>): Pattern[] {
  return byKind[kind].filter((pattern) => patterns?.includes(pattern) ?? true);
}
