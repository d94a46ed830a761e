import * as z from 'zod';
import { roundings } from '../core/measure/format-length';
import { lengthUnits } from '../core/measure/unit';

/** `/api/compute/measure`. */
export const measureRequest = z.strictObject({
  text: z.string({ error: 'Give the length as text.' }).max(200, 'At most 200 characters.'),
  unit: z.enum(lengthUnits, { error: 'A unit is in, cm or mm.' }),
  round: z.enum(roundings, { error: `A rounding is ${roundings.join(', ')}.` }).default('1/16'),
});
