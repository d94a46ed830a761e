import { useCallback } from 'react';
import { presets, wishNames, type Wishes } from '../../core/choose/request';
import { keepHere, keptHere, useKeptHere } from '../ground/kept-here';

/** Wishes as this browser kept them; those of nobody in particular when it kept none, or something else. */
function read(kept: unknown): Wishes {
  const wishes = kept as Wishes | null | undefined;
  const whole = wishNames.every((name) => wishes && wishes[name] >= 0 && wishes[name] <= 1);
  return whole && wishes ? wishes : presets[0]!.wishes;
}

/**
 * What is wished of an edge's finish; table and slip see the same, at once, and this browser keeps
 * it for the next visit.
 */
export function useWishes(planId: string): [Wishes, (patch: Partial<Wishes>) => void] {
  const place = `wishes ${planId}`;
  const [wishes] = useKeptHere(place, read);
  const set = useCallback(
    (patch: Partial<Wishes>) => keepHere(place, { ...read(keptHere(place)), ...patch }),
    [place],
  );
  return [wishes, set];
}
