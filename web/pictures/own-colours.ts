import type { CSSProperties } from 'react';

/** Colours of a cloth and its thread, as `#rrggbb`; null where nobody said. */
export interface OwnColours {
  readonly cloth: string | null;
  readonly thread: string | null;
  /** Of a strip that goes round the edge, where it is another cloth. */
  readonly strip?: string | null;
}

/** How light a colour looks, 0 to 255; by the usual weights of red, green and blue. */
export function brightness(hex: string): number {
  const at = (from: number) => Number.parseInt(hex.slice(from, from + 2), 16);
  return 0.299 * at(1) + 0.587 * at(3) + 0.114 * at(5);
}

/** Darker than this a cloth wants light outlines. */
const darkBelow = 120;

/** An outline that is seen on a colour: lighter on dark, darker on light. */
const outlineOn = (hex: string, share: number) =>
  `color-mix(in oklab, ${hex} ${share}%, ${brightness(hex) < darkBelow ? '#f7f1e5' : '#26272b'})`;

/**
 * The cloth's and the thread's own colours, for every picture below an element: folded layers are
 * darker, outlines are lighter on a dark cloth and darker on a light one, and a
 * thread of the cloth's own colour keeps a rim. Where nothing is known the unbleached ones stay.
 */
export function ownColours({ cloth, thread, strip = null }: OwnColours): CSSProperties {
  return {
    ...(cloth
      ? {
          '--cloth-1': cloth,
          '--cloth-2': `color-mix(in oklab, ${cloth} 82%, #2b2115)`,
          '--cloth-3': `color-mix(in oklab, ${cloth} 68%, #2b2115)`,
          '--cloth-edge': outlineOn(cloth, 60),
          '--cloth-line': outlineOn(cloth, 45),
          '--mark-halo': '#fbf7ee',
        }
      : {}),
    ...(strip
      ? {
          '--color-strip': strip,
          '--color-strip-grain': outlineOn(strip, 55),
        }
      : {}),
    ...(thread
      ? {
          '--thread': thread,
          '--thread-rim': outlineOn(thread, 35),
        }
      : {}),
  } as CSSProperties;
}
