/** What is believed of offset and spread before a sample of the set-up is sewn. */
export interface Prior {
  /** Offset: normal around `shiftMm`. */
  readonly shiftMm: number;
  readonly shiftSdMm: number;
  /** Spread: log-normal around `sigmaMm`. */
  readonly sigmaMm: number;
  readonly logSigmaSd: number;
  /** How far to either side an offset is looked for, mm; 2 when left out. */
  readonly reachMm?: number;
}

/** Starting guess: standard deviation of an offset nobody has met yet, mm. */
export const plainShiftSdMm = 0.5;
/** Starting guess: standard deviation of ln σ around the rule. */
export const plainLogSigmaSd = 0.35;

/** Starting guess: the same for where an attachment was screwed on by eye, mm. */
export const placedShiftSdMm = 1;

/** The prior of a person of whom nothing is known. */
export function plainPrior(sigmaMm: number, shiftSdMm = plainShiftSdMm): Prior {
  return {
    ...{ shiftMm: 0, shiftSdMm, sigmaMm, logSigmaSd: plainLogSigmaSd },
    // Four standard deviations, as of a plain offset.
    ...(shiftSdMm > plainShiftSdMm ? { reachMm: 4 * shiftSdMm } : {}),
  };
}
