import type { Cloth } from '../cloth/cloth';

/** How an edge lies that the feed has stretched or drawn in. */
export interface EdgeWave {
  /** How much longer the sewn edge is than the cloth beside it, as a share; negative is drawn in. */
  readonly excess: number;
  readonly look: 'flat' | 'waved' | 'gathered';
  /** Height of the waves from their middle, mm; 0 for a flat or gathered edge. */
  readonly amplitudeMm: number;
}

/** A wave of an edge is about this long, mm. Starting guess. */
export const waveLengthMm = 14;
/** Less than half a step of a differential, which goes in tenths, is pressed away. */
const pressedAway = 0.05;

/**
 * What the differential makes of an edge. Under the foot a cloth is drawn out by its stretch, and
 * the differential feeds as much more in: (1 + stretch/100) / differential − 1 is left over. A
 * share e too long stands up in waves y = a·sin(2πx/λ), whose arc is about (πa/λ)² longer.
 * Source: docs/formulas.md, “The swatch”.
 */
export function edgeWave(
  { construction, stretchPercent }: Pick<Cloth, 'construction' | 'stretchPercent'>,
  differential: number,
): EdgeWave {
  const drawnOut = construction === 'knit' ? stretchPercent / 100 : 0;
  const excess = (1 + drawnOut) / differential - 1;
  if (Math.abs(excess) <= pressedAway) return { excess, look: 'flat', amplitudeMm: 0 };
  if (excess < 0) return { excess, look: 'gathered', amplitudeMm: 0 };
  return { excess, look: 'waved', amplitudeMm: (waveLengthMm / Math.PI) * Math.sqrt(excess) };
}
