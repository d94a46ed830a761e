import { useState } from 'react';

/**
 * What a picture shows all of: it stays as it is while that will do, so that axes and windows stand still while a dial
 * goes to and fro.
 *
 * @param next what would be shown anew
 * @param willDo whether what is shown already shows that as well; it must of `next` itself
 */
export function useSteady<T>(next: T, willDo: (shown: T) => boolean): T {
  const [shown, show] = useState(next);
  if (willDo(shown)) return shown;
  // React draws the component once more before anything of it is seen.
  show(next);
  return next;
}

/** An interval of an axis, mm. */
type Span = readonly [fromMm: number, toMm: number];

/** Shows a span whole for as long as it is not much narrower than what is shown. */
export function useSteadySpan([from, to]: Span, spareMm: number): Span {
  return useSteady<Span>(
    [from, to],
    ([shownFrom, shownTo]) =>
      shownFrom <= from && shownTo >= to && shownTo - shownFrom <= to - from + spareMm,
  );
}
