/**
 * The strip of a continuous tube: a rectangle seamed into a slanting tube and cut round and round,
 * about A·B/s long, less one width at each end; it has no join to sew.
 * Source: docs/formulas.md, “Strips”.
 */
export const tubeMm = ([wide, high]: readonly [number, number], stripMm: number): number =>
  Math.max(0, (wide * high) / stripMm - 2 * stripMm);
