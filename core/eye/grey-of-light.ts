/** Greys of a picture grow slower than light. Source: the exponent of sRGB, about. */
const encoded = 1 / 2.2;
/** What is darker is as good as black: what it is off by would count without end. */
const leastGrey = 0.02;

/** The grey of so much light; black is 0, and what is as light as 1 is as grey. */
export const greyOf = (light: number): number => light ** encoded;

/** So much light has a grey. */
export const lightOf = (grey: number): number => grey ** (1 / encoded);

/**
 * What was blurred: a lens blurs the light, and what a picture goes through afterwards its greys. Where much darker
 * meets much lighter, their border seems to lie farther to the dark side in the first, by a third of the blur.
 */
export type Blurs = 'greys' | 'light';

/** What is seen, in what was blurred. */
export interface SeenIn {
  readonly values: Float64Array;
  /** What being off by 1 there counts, squared: being off by 1 in greys counts 1. */
  readonly weights: Float64Array;
}

/** Greys in what was blurred. @param greys above black */
export function seenIn(greys: Float64Array, blurs: Blurs): SeenIn {
  if (blurs === 'greys') return { values: greys, weights: greys.map(() => 1) };
  const values = greys.map((grey) => lightOf(Math.max(leastGrey, grey)));
  // By how fast grey grows with light there.
  return { values, weights: values.map((light) => (encoded * greyOf(light)) ** 2 / light ** 2) };
}
