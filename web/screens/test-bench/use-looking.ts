import { startTransition, useEffect, useRef, useState } from 'react';
import type { Issue } from '../../../core/impossible';
import { eyeReady } from '../../workers/eye';

/** What came of a photo, or why nothing did. */
export type Looked<Found> =
  | { readonly ok: true; readonly found: Found }
  | { readonly ok: false; readonly issues: readonly Issue[] };

/** Nothing came of a photo, for this reason. */
export const refusedFor = (message: string): { readonly ok: false; readonly issues: Issue[] } => ({
  ok: false,
  issues: [{ path: 'picture', message }],
});

/** How far looking at a photo is. */
export type Stage<Found> =
  | { readonly is: 'asking'; readonly issues: readonly Issue[] }
  /** So much of it is done, 0 … 1; null where that is not told. */
  | { readonly is: 'looking'; readonly share: number | null }
  | { readonly is: 'found'; readonly found: Found };

/**
 * Looks at one photo at a time on the eye’s thread, which is held as long as this is on the page; a new photo takes the
 * place of one that is still looked at.
 *
 * @param looked what there is to be seen in a photo
 */
export function useLooking<Found>(
  looked: (
    file: File,
    told: (share: number) => void,
    signal: AbortSignal,
  ) => Promise<Looked<Found>>,
) {
  const [stage, setStage] = useState<Stage<Found>>({ is: 'asking', issues: [] });
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  useEffect(eyeReady, []);
  const look = async (file: File) => {
    running.current?.abort();
    const run = new AbortController();
    running.current = run;
    const show = (next: Stage<Found>) => {
      if (!run.signal.aborted) setStage(next);
    };
    show({ is: 'looking', share: null });
    try {
      const seen = await looked(file, (share) => show({ is: 'looking', share }), run.signal);
      // Rings, choices and counts are more than a frame’s work.
      if (seen.ok) startTransition(() => show({ is: 'found', found: seen.found }));
      else show({ is: 'asking', issues: seen.issues });
    } catch (error) {
      const why = error instanceof Error ? error.message : 'It could not be measured.';
      show({ is: 'asking', issues: refusedFor(why).issues });
    }
  };
  return {
    stage,
    look: (file: File) => void look(file),
    show: (found: Found) => setStage({ is: 'found', found }),
    /** Asks for a photo; what is looked at is given up. */
    ask() {
      running.current?.abort();
      setStage({ is: 'asking', issues: [] });
    },
  };
}
