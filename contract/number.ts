import * as z from 'zod';

/** The ranges of lengths behind the refusals of {@link within}, by what they say. */
const rangesInMm = new Map<string, { readonly leastMm: number; readonly mostMm: number }>();

/**
 * A refusal of a length as a fact, for whoever words it in another unit; null for any other.
 *
 * @param message as a schema gave it
 */
export function rangeFact(message: string): {
  readonly code: string;
  readonly text: string;
  readonly values: Readonly<Record<string, number>>;
} | null {
  const range = rangesInMm.get(message);
  if (!range) return null;
  const needed = message.startsWith('A number');
  return {
    code: 'out-of-range',
    text: `${needed ? 'A number is needed. ' : ''}It can be {leastMm:fine} to {mostMm:fine}.`,
    values: { ...range },
  };
}

/**
 * A finite number within a range, whose refusal names the range.
 *
 * @param unit shown behind the numbers, e.g. ` mm`
 */
export function within(least: number, most: number, unit = '') {
  const message = `It can be ${least} to ${most}${unit}.`;
  if (unit === ' mm') {
    rangesInMm.set(message, { leastMm: least, mostMm: most });
    rangesInMm.set(`A number is needed. ${message}`, { leastMm: least, mostMm: most });
  }
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
