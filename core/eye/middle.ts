/** The middle of how far values lie from theirs, times this, is their spread, if they lie as a normal has them. */
export const spreadOfMiddle = 1.4826;

/** The middle of a list of numbers, the upper of two; 0 of none. */
export function middleOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[sorted.length >> 1] ?? 0;
}
