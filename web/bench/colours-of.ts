import type { CSSProperties } from 'react';
import { ownColours } from '../pictures/own-colours';
import type { KeptPart } from './bench';

/** The colours of an edge's cloth, thread and strip, for the element that its pictures stand in. */
export function coloursOf({ cloth, strip, record }: Pick<KeptPart, 'cloth' | 'strip' | 'record'>): {
  readonly style: CSSProperties;
  readonly 'data-coloured'?: '';
} {
  const { colour } = cloth;
  const { thread, threadColour } = record;
  return {
    style: ownColours({
      cloth: colour,
      thread: threadColour ?? (thread === 'matching' ? colour : null),
      strip: strip?.colour ?? null,
    }),
    ...(colour === null ? {} : { 'data-coloured': '' }),
  };
}
