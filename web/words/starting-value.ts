import type { StartingValue } from '../../core/finish/work';
import type { Lengths } from '../../core/measure/lengths';
import { codeInWords } from './value-codes';

/** Machines are set in tenths at the finest. */
const dialStepMm = 0.1;

/** A starting value as one would set it, without its unit. */
export const valueInWords = (
  { id, value, unit }: Pick<StartingValue, 'id' | 'value' | 'unit'>,
  { stepped }: Pick<Lengths, 'stepped'>,
): string => {
  if (typeof value === 'string') return codeInWords(id, value);
  return unit === 'mm' ? stepped(value, dialStepMm) : String(value);
};
