import * as z from 'zod';

/**
 * A finite number within a range, whose refusal names the range.
 *
 * @param unit shown behind the numbers, e.g. ` mm`
 */
export function within(least: number, most: number, unit = '') {
  const message = `It can be ${least} to ${most}${unit}.`;
  return z
    .number({ error: `A number is needed. ${message}` })
    .min(least, message)
    .max(most, message);
}

/** A step of a dial: more than nothing, and no finer than a hundredth. */
export const stepMm = within(0.01, 5, ' mm');

/** An interval written `[left, right]`, left of right. */
export const intervalMm = z
  .tuple([within(-60, 60, ' mm'), within(-60, 60, ' mm')])
  .refine(([left, right]) => left < right, {
    error: 'The first number must be less than the second.',
  });
