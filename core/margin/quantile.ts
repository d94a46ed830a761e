/**
 * Where the running total of weights passes a share, taking each weight as spread evenly over its
 * cell.
 *
 * @param share 0 to 1
 * @param cellEdge where cell i begins; cell i ends where the next one begins
 * @example quantile([1, 1], 0.25, (i) => i) // 0.25: weights need not add to 1
 */
export function quantile(
  weights: ArrayLike<number>,
  share: number,
  cellEdge: (i: number) => number,
): number {
  let below = 0;
  for (let i = 0; i < weights.length; i++) {
    const weight = weights[i] ?? 0;
    if (below + weight >= share && weight > 0) {
      const [left, right] = [cellEdge(i), cellEdge(i + 1)];
      return left + ((share - below) / weight) * (right - left);
    }
    below += weight;
  }
  return cellEdge(weights.length);
}
