/** The mean of some values and how far they spread about it; 0 and 0 of none. */
export function meanAndSpread(values: readonly number[]): { mean: number; sd: number } {
  const mean = values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
  const square = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return { mean, sd: values.length > 1 ? Math.sqrt(square / (values.length - 1)) : 0 };
}

/** The mean of some values without so many of the least and as many of the greatest, as a share of all; NaN of none. */
export function meanWithin(values: readonly number[], leftOut: number): number {
  const cut = Math.floor(values.length * leftOut);
  const within = [...values].sort((a, b) => a - b).slice(cut, values.length - cut);
  return within.reduce((sum, value) => sum + value, 0) / within.length;
}
