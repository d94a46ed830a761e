import type { OnCloth } from './piece';

/**
 * The strip of a continuous tube: a rectangle seamed into a slanting tube and cut round and round,
 * about A·B/s long, less one width at each end; it has no join to sew.
 * Source: docs/formulas.md, “Strips”.
 */
export const tubeMm = ([wide, high]: OnCloth, stripMm: number): number =>
  Math.max(0, (wide * high) / stripMm - 2 * stripMm);

/** How a tube is drawn before it is sewn. */
export interface TubeDrawn {
  /** The slanted piece: a corner at 45° was moved from one end to the other. */
  readonly outline: readonly OnCloth[];
  /** The cut, drawn on it: lines on the bias, a strip apart. */
  readonly lines: readonly (readonly [OnCloth, OnCloth])[];
}

/**
 * A rectangle whose corner was cut off at 45° and set against its other end: its slanted sides are
 * on the bias, its straight ones are sewn to each other one strip further, and the lines become one.
 *
 * @param cloth across and along the grain, mm
 */
export function tubeDrawn([wide, high]: OnCloth, stripMm: number): TubeDrawn {
  const apart = stripMm * Math.SQRT2;
  const count = Math.max(0, Math.floor(wide / apart + 1e-9) - 1);
  return {
    outline: [
      [0, 0],
      [wide, 0],
      [wide + high, high],
      [high, high],
    ],
    lines: Array.from({ length: count }, (_, i) => {
      const x = (i + 1) * apart;
      return [
        [x, 0],
        [x + high, high],
      ] as const;
    }),
  };
}
