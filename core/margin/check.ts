import type { DialSettings } from '../kit/dial-steps';

/** What lets the value of a check wander. Drift of different sources is independent. */
export const driftSources = ['guide', 'press', 'feed', 'wrap'] as const;
export type DriftSource = (typeof driftSources)[number];

/** The faults that wait at either end of a check. Wording belongs to the interface. */
export type Fault = string;

/**
 * A value that must stay within bounds while the cloth wanders by ε: v = v0 + k·ε, and v0 is
 * linear in the dials, so that an engine can move them without knowing the finish.
 */
export interface Check {
  readonly name: string;
  readonly source: DriftSource;
  /** The sign with which drift to the right enters. */
  readonly k: 1 | -1;
  readonly loMm: number;
  /** Infinity where nothing goes wrong above. */
  readonly hiMm: number;
  readonly below: Fault;
  readonly above: Fault;
  /** v0 = constant + width·W + needlePosition·p + guide·x_g, all mm. */
  readonly v0: {
    readonly constantMm: number;
    readonly width: number;
    readonly needlePosition: number;
    readonly guide: number;
  };
}

/** A check's value with no drift, mm. */
export function undriftedMm(check: Check, dials: Omit<DialSettings, 'lengthMm'>): number {
  const { constantMm, width, needlePosition, guide } = check.v0;
  return (
    constantMm +
    width * dials.widthMm +
    needlePosition * dials.needlePositionMm +
    guide * dials.guideMm
  );
}

/** The drift that a check allows, mm to the right; ends may be infinite. */
export function allowedDrift(check: Check, v0Mm: number): readonly [number, number] {
  return check.k === 1
    ? [check.loMm - v0Mm, check.hiMm - v0Mm]
    : [v0Mm - check.hiMm, v0Mm - check.loMm];
}
