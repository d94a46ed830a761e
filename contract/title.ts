import * as z from 'zod';

/**
 * A name as a person gives it. Control characters can't be seen, break a line of a list or of a
 * file, and are never meant; a letter that turns the direction of what follows is none of a name either.
 *
 * @param what named in the refusal of an empty one
 */
export function title(what: string, most = 120) {
  return z
    .string()
    .trim()
    .min(1, `Give the ${what} a name.`)
    .max(most, `At most ${most} characters.`)
    .regex(
      /^[^\p{Cc}\u2028\u2029\u202a-\u202e\u2066-\u2069]*$/u,
      'A name holds no line breaks or other control characters.',
    );
}
