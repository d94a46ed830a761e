/** What a join's seam takes on each side, mm. Starting guess. */
export const usualJoinSeamMm = 6;

/** A piece as there often is one, across and along the grain, where nobody said what is left, mm. */
export const usualPieceMm = [1400, 300] as const;

/** How a strip's two ends meet. */
export const stripEnds = ['turned', 'overlap', 'diagonal'] as const;
export type StripEnds = (typeof stripEnds)[number];

/** Turned in where it begins, and laid under where it ends, mm. Starting guesses. */
export const turnedInMm = { start: 12.7, end: 25.4 } as const;

/**
 * What a strip takes for its two ends beyond the edge: turned in, 12.7 and 25.4 mm; lapped or joined
 * on the diagonal, twice its width. Source: docs/formulas.md, “Strips”.
 *
 * @param stripMm how wide it is cut, mm
 */
export const endsMm = (ends: StripEnds, stripMm: number): number =>
  ends === 'turned' ? turnedInMm.start + turnedInMm.end : 2 * stripMm;

/**
 * How long a strip is cut for a length of edge.
 *
 * @param shorterShare so much shorter than the edge: a knit strip on an inside curve, elastic
 * @example neededMm({ edgeMm: 3556, ends: 'turned', stripMm: 50 }) // 3594.1, 141.5 in
 */
export function neededMm(it: {
  readonly edgeMm: number;
  readonly ends: StripEnds;
  readonly stripMm: number;
  readonly shorterShare?: number;
}): number {
  return it.edgeMm * (1 - (it.shorterShare ?? 0)) + endsMm(it.ends, it.stripMm);
}
