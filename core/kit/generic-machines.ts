import type { Machine, MachineKind } from './machine';

/** A machine of each kind as such machines usually are. Starting guesses. */
export const genericMachines: Readonly<Record<MachineKind, Machine>> = {
  lockstitch: {
    kind: 'lockstitch',
    maxWidthMm: 7,
    widthStepMm: 0.5,
    maxLengthMm: 4,
    lengthStepMm: 0.1,
    needleRangeMm: [-3.5, 3.5],
    needleStepMm: 0.5,
  },
  'straight-stitch': {
    kind: 'straight-stitch',
    maxWidthMm: 0,
    widthStepMm: 0.5,
    maxLengthMm: 5,
    lengthStepMm: 0.1,
    needleRangeMm: [0, 0],
    needleStepMm: 0.5,
    plateHoleMm: [-1, 1],
  },
  overlocker: {
    kind: 'overlocker',
    maxWidthMm: 7,
    widthStepMm: 0.5,
    maxLengthMm: 4,
    lengthStepMm: 0.1,
    needleRangeMm: [0, 0],
    needleStepMm: 0.5,
  },
  coverstitch: {
    kind: 'coverstitch',
    maxWidthMm: 6,
    widthStepMm: 0.5,
    maxLengthMm: 4,
    lengthStepMm: 0.1,
    needleRangeMm: [0, 0],
    needleStepMm: 0.5,
  },
};
