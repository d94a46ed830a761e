/** The middle of a list of numbers, the upper of two; 0 of none. */
export function middleOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[sorted.length >> 1] ?? 0;
}
