import type { IntervalMm } from './foot';

export const machineKinds = ['lockstitch', 'straight-stitch', 'overlocker', 'coverstitch'] as const;
export type MachineKind = (typeof machineKinds)[number];

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
}
