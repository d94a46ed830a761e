import type { SewingPlan } from '../finish/sewing-plan';

/** The set-up that the compute API documents: a medium woven on a home machine. */
export const examplePlan: SewingPlan = {
  cloth: {
    construction: 'woven',
    weightGsm: 240,
    thicknessMm: 0.6,
    stretchPercent: 2,
    fray: 2,
    curl: 0,
    slip: 0,
  },
  edge: { lengthMm: 1400, minRadiusMm: null },
  fold: { variant: 'flat', depthMm: 40, extensionMm: 8 },
  machine: {
    kind: 'lockstitch',
    maxWidthMm: 7,
    widthStepMm: 0.5,
    maxLengthMm: 5,
    lengthStepMm: 0.1,
    needleRangeMm: [-3.5, 3.5],
    needleStepMm: 0.5,
  },
  foot: { slotMm: [-4.5, 4.5], guidance: 'blade', guide: { atMm: -1 } },
  stitch: { pattern: 'blind-woven', anchor: 'right', runStitches: 5 },
  needleSize: 80,
  pickMm: 1,
  faultWeights: { below: 1, above: 1 },
  skill: 1,
};
