import type { StartingValue } from '../../core/finish/work';
import type { Lengths } from '../app/lengths';

/** Machines are set in tenths at the finest. */
const dialStepMm = 0.1;

/** A starting value as one would set it, without its unit. */
export const valueInWords = (
  { value, unit }: Pick<StartingValue, 'value' | 'unit'>,
  { stepped }: Pick<Lengths, 'stepped'>,
): string =>
  unit === 'mm' && typeof value === 'number' ? stepped(value, dialStepMm) : String(value);
