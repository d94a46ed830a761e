import type { Machine } from '../kit/machine';
import { repeatOf } from './repeat';
import type { Stitch } from './stitch';

/** What a machine's length dial measures. */
type LengthDial = Pick<Machine, 'lengthMeans'>;

/**
 * The advance from one stitch to the next, mm: the length dial itself, or its share of a repeat on
 * a machine whose dial means the repeat.
 */
export function pitchMm(stitch: Stitch, lengthMm: number, machine: LengthDial): number {
  return machine.lengthMeans === 'repeat' ? lengthMm / repeatOf(stitch).stitches : lengthMm;
}

/** The advance of a whole repeat, mm. */
export function repeatLengthMm(stitch: Stitch, lengthMm: number, machine: LengthDial): number {
  return pitchMm(stitch, lengthMm, machine) * repeatOf(stitch).stitches;
}

/** Where the length dial of a machine stands for a stitch length, mm; not yet on its steps. */
export function lengthDialMm(stitch: Stitch, stitchLengthMm: number, machine: LengthDial): number {
  return machine.lengthMeans === 'repeat'
    ? stitchLengthMm * repeatOf(stitch).stitches
    : stitchLengthMm;
}
